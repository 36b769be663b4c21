import { type Card, otherSide, type Side } from '../card'
import {
  askedAngles,
  bodyOf,
  type Figure,
  finalPlace,
  keyframesOf,
  mirroredFigure,
  norm,
  place,
  solved,
  type Solved,
  sub,
  USUAL_STATURE,
} from '../figure'
import { type Instruction, keeping, rememberOf, rememberWith } from '../language'
import { apply, type Done } from './moves/apply'
import { overTheFeet } from './moves/balance'
import * as legs from './moves/legs'
import {
  drop,
  figureOf,
  put,
  setOn,
  SIDES,
  type Stance,
  stanceOf,
  startFigure,
  takeStart,
  touches,
} from './moves/stance'
import { lineAt, readCard, type ReadLine, startIn, stepLines } from './readLine'

/** One form of a card as its words move it, before a body is found for it. */
export interface Form {
  /** `start`, `step s3`: as the form is called on the card. */
  id: string
  /** Path of the words. */
  where: string
  /** Made when it is asked for. */
  readonly figure: Figure
  /** How many straps it has, and hands that hold each other or a limb. */
  straps: number
  /** What each instruction of the line did. */
  did: Done[]
  /** Whether all that was read was done: a form that is not sure moves nothing by itself. */
  sure: boolean
  /** Whether it is as the trainer keeps it, and not as the words say. */
  kept: boolean
  /** The instructions of the line that changed nothing, though they name a movement. */
  idle: Instruction[]
}

/** A form with the body that stands in it. */
export interface Draft extends Form {
  solved: Solved
}

/** The form that each base begins with, when no set-up line tells it. */
const OF_BASE: Record<Card['base'], string> = {
  standing: 'standing',
  kneeling: 'kneeling',
  seated: 'long-seat',
  prone: 'prone',
  supine: 'supine',
  'side-lying': 'side-lying',
  hands: 'hands-and-knees',
  inverted: 'supine',
}

const swapSide = <T extends Instruction['side'] | undefined>(side: T): T =>
  (side === 'left' ? 'right' : side === 'right' ? 'left' : side) as T

/** An instruction as its mirror has it. */
export const mirroredInstruction = (n: Instruction): Instruction => ({
  ...n,
  side: swapSide(n.side),
  ways: n.ways.map((way) => (way === 'left' ? 'right' : way === 'right' ? 'left' : way)),
  places: n.places.map((place) =>
    place.side === undefined ? place : { ...place, side: swapSide(place.side) }
  ),
})

/** The side that a card’s words name first: of a card and its mirror always the same one is drafted. */
function leadOf(card: Card, lines: readonly ReadLine[], start: Side | null): Side {
  if (card.sides === 'sided') return card.writtenFor
  if (start) return otherSide(start)
  for (const { instructions } of lines)
    for (const { side, ways, places } of instructions)
      for (const each of [side, ...ways, ...places.map((place) => place.side)])
        if (each === 'left' || each === 'right') return each
  return 'right'
}

/** What a set-up line does beside telling where one begins. */
const BEGINS = new Set(['stand', 'kneel', 'sit', 'lie', 'roll'])

function begin(s: Stance, start: string, instructions: readonly Instruction[]): void {
  if (start === 'bound-seat' || start === 'seat-knees-bent' || start === 'seat') {
    takeStart(s, 'long-seat')
    if (start === 'seat') {
      drop(s, /heel$/)
      for (const side of SIDES) put(s, `${side} heel`, 'floor')
    }
    for (const side of SIDES)
      if (start === 'seat-knees-bent') {
        legs.stand(s, side)
        setOn(s, side, 'Hip', { flexion: 102, abduction: 3 })
        setOn(s, side, 'Knee', { flexion: 105 })
      }
  } else takeStart(s, start, start === 'side-lying' && s.lead === 'left')
  for (const instruction of instructions) {
    const { action, places, part } = instruction
    if (action === 'rotate' && part === 'whole body')
      s.acrossMat = places.some(({ thing }) => thing === 'long edge')
    const on = places.find(({ relation }) => relation === 'on' || relation === 'over')?.thing
    if (action === 'lie' && on && on !== 'floor' && on !== 'mat' && touches(s, /^back$/)) {
      drop(s, /^back$/)
      put(s, 'back', legs.surfaceOf(on))
    }
    const leg = places.find(
      (place) => (place.part === 'leg' || place.part === 'foot') && place.relation === 'on'
    )?.side
    if (action === 'stand' && (leg === 'left' || leg === 'right'))
      legs.lift(s, { ...instruction, part: 'foot', ways: [], places: [] }, otherSide(leg))
    if (
      action === 'sit' &&
      on &&
      ['blanket', 'block', 'bolster'].includes(on) &&
      touches(s, /^sit bones$/)
    ) {
      drop(s, /^sit bones$/)
      put(s, 'sit bones', legs.surfaceOf(on))
    }
  }
}

/** Where the words of a set-up line begin, as a stance; null when they tell no position that is known. */
export function startStance(
  text: string,
  language: string,
  instructions: readonly Instruction[],
  lead: Side | null,
  mirrored = false
): { stance: Stance; did: Done[]; start: string } | null {
  const told = startIn(text, language)
  if (!told) return null
  const s = stanceOf(startFigure('standing')!, lead)
  begin(s, told.start, instructions)
  const lies = told.side === null ? null : mirrored ? otherSide(told.side) : told.side
  if (told.start === 'side-lying' && lies) takeStart(s, 'side-lying', lies === 'right')
  const did = instructions
    .filter((n) => !(BEGINS.has(n.action) && n.part === 'whole body'))
    .map((n) => settledStart(s, n, told.start))
  return { stance: s, did, start: told.start }
}

/** A part that already is where the set-up line says stays there. */
function settledStart(s: Stance, n: Instruction, start: string): Done {
  const legsAre = ['leg', 'knee', 'foot'].includes(n.part)
  if (start.startsWith('supine') && n.part === 'foot' && n.action === 'place') return 'holds'
  if (start === 'hands-and-knees' && n.action === 'place' && n.part !== 'forearm') return 'holds'
  if (start === 'cross-legged' && (n.action === 'place' || n.action === 'cross') && legsAre)
    return 'holds'
  if (start === 'cross-legged' && n.part === 'shin') return 'holds'
  if (start === 'supine-knees-bent' && n.action === 'bend') return 'holds'
  if (start === 'wide' && n.action === 'spread') return 'holds'
  if (start === 'seat-knees-bent' && legsAre) return 'holds'
  return apply(s, n)
}

/** What the note of a set-up does to the body: it loops a strap. */
const byNote = (n: Instruction) =>
  n.places.some(({ thing }) => thing === 'strap') && n.part === 'foot'

export interface DraftOptions {
  /** Whether forms that the trainer keeps take the place of the words. Default true. */
  kept?: boolean
  /** In cm. */
  stature?: number
}

const copyOf = (s: Stance): Stance => ({
  ...s,
  angles: [...s.angles],
  contacts: [...s.contacts],
})

/** Whether nothing was moved from one stance to the next. */
const alike = (a: Stance, b: Stance): boolean =>
  a.angles.every((angle, i) => Math.abs(angle - b.angles[i]!) < 0.05) &&
  a.straps.length === b.straps.length &&
  a.contacts.length === b.contacts.length &&
  a.contacts.every(({ part, on, along }) =>
    b.contacts.some((each) => each.part === part && each.on === on && each.along === along)
  )

/** What instructions made of a stance; stances are never changed once they are reached. */
interface Reached {
  stance: Stance
  did: Done[]
  /** Places of those that changed nothing. */
  idle: number[]
}

/** By what is asked. */
const reached = rememberOf((_: Stance) => keeping<string, Reached>(60))
const starts = keeping<string, { stance: Stance; did: Done[]; known: boolean }>(60)

/** What instructions ask for, in letters, wherever they stand in whatever line. */
const asked = rememberOf((all: readonly Instruction[]) =>
  JSON.stringify(all.map(({ from: _, until: _until, ...told }) => told))
)

const stances = keeping<string, Stance>(1000)

/** One stance for all that are alike, so that what comes after a line serves again while it is typed. */
function oneOf(s: Stance): Stance {
  const spelled = JSON.stringify({ ...s, body: undefined })
  return stances.get(spelled) ?? stances.set(spelled, s)
}

/** Does a line on a stance. What was asked before, on the same stance, is not done again. */
function go(from: Stance, instructions: readonly Instruction[]): Reached {
  const known = reached(from)
  const before = known.get(asked(instructions))
  if (before) return before
  const idle: number[] = []
  let s = from
  const did = instructions.map((n, i) => {
    const next = copyOf(s)
    const what = apply(next, n)
    // A line that moves nothing leaves the stance that there was.
    if (!alike(next, s)) s = next
    else if (what === 'moved') idle.push(i)
    return what
  })
  return known.set(asked(instructions), { stance: s === from ? s : oneOf(s), did, idle })
}

const acrossOf = rememberOf(mirroredFigure)
const mirroredLine = rememberOf((all: readonly Instruction[]) => all.map(mirroredInstruction))
const asRead = ({ instructions }: ReadLine, turned: boolean) =>
  turned ? mirroredLine(instructions) : instructions

/** Where a card begins, by its set-up; the same set-up begins with the same stance. */
function beginOf(card: Card, turned: boolean) {
  const [place, note] = ['setUp.place', 'setUp.note'].map((where) => lineAt(card).get(where))
  const own: Side | null = card.sides === 'sided' ? 'right' : null
  const key = JSON.stringify([
    card.base,
    own,
    turned,
    place && [startIn(place.text, card.language), asked(asRead(place, turned))],
    note && asked(asRead(note, turned)),
  ])
  const before = starts.get(key)
  if (before) return before
  const begun = place
    ? startStance(place.text, card.language, asRead(place, turned), own, turned)
    : null
  const s = begun?.stance ?? stanceOf(startFigure(OF_BASE[card.base])!, own)
  if (!begun && card.base === 'side-lying') takeStart(s, 'side-lying', false)
  if (note) for (const n of asRead(note, turned)) if (byNote(n)) apply(s, n)
  return starts.set(key, { stance: s, did: begun?.did ?? [], known: begun !== null })
}

const kepts = new WeakMap<Figure, Map<string, Stance>>()

/** A form that the trainer keeps, as a stance: the words go on from it. */
function stanceKept(figure: Figure, { lead, acrossMat }: Stance): Stance {
  const known = kepts.get(figure) ?? new Map<string, Stance>()
  kepts.set(figure, known)
  const key = [lead, acrossMat].join()
  const before = known.get(key)
  if (before) return before
  const now = { ...stanceOf(figure, lead), acrossMat }
  known.set(key, now)
  return now
}

/** Where the figure of a line stands that the trainer keeps. */
const figureAt = rememberOf(({ where }: ReadLine) => where.replace(/\.text$/, '.figure'))
const figureOnce = rememberOf((stance: Stance) => figureOf(overTheFeet(stance)))

const asLed = (figure: Figure, turned: boolean) => (turned ? acrossOf(figure) : figure)

/** A form of a chain, and what its words go on from. */
interface Link {
  stance: Stance
  form: Form
}

/** The form of a stance, or the one that the trainer keeps there; the words go on from what is kept. */
function reachedForm(
  stance: Stance,
  keeps: Figure | undefined,
  turned: boolean,
  { id, where, did, idle }: Pick<Form, 'id' | 'where' | 'did' | 'idle'>,
  known: boolean
): Link {
  const now = keeps ? stanceKept(asLed(keeps, turned), stance) : stance
  const form = {
    id,
    where,
    get figure() {
      return keeps ?? asLed(figureOnce(now), turned)
    },
    straps: now.straps.length,
    did,
    sure: known && !did.includes('unsure'),
    kept: keeps !== undefined,
    idle,
  }
  return { stance: now, form }
}

/** What a step makes of a stance, and the form that it leads to: the same one as long as both are. */
const stepsFrom = () =>
  rememberWith((line: ReadLine, from: Stance, keeps: Figure | undefined, turned: boolean) => {
    const { where, instructions } = line
    const { stance, did, idle } = go(from, asRead(line, turned))
    const told = { id: `step ${line.id}`, where, did, idle: idle.map((i) => instructions[i]!) }
    return reachedForm(stance, keeps, turned, told, did.length > 0)
  })
/** A card is drafted in turns with what is kept and without: each keeps its own. */
const keptFrom = stepsFrom()
const wordsFrom = stepsFrom()

/** Where a card begins, and whether its forms are drafted as their mirror. */
const begunOf = rememberOf((card: Card) => {
  const place = lineAt(card).get('setUp.place')
  const told = place ? startIn(place.text, card.language) : null
  // Led from the right, always; the other is its mirror.
  const turned = leadOf(card, readCard(card), told?.side ?? null) === 'left'
  return { turned, ...beginOf(card, turned) }
})

const NONE: ReadonlyMap<string, Figure> = new Map()

/** The forms of a card as far as one of its steps: those that are known, and on from the last. */
function chainOf(
  card: Card,
  kept: ReadonlyMap<string, Figure>,
  step: ReturnType<typeof stepsFrom>,
  until = Infinity,
  before: readonly Link[] = []
): Link[] {
  const { turned, stance, did, known } = begunOf(card)
  const chain = [...before]
  if (chain.length === 0) {
    const start = { id: 'start', where: 'setUp.place', did, idle: [] }
    chain.push(reachedForm(stance, kept.get('setUp.figure'), turned, start, known))
  }
  for (const line of stepLines(card).slice(chain.length - 1, until))
    chain.push(step(line, chain.at(-1)!.stance, kept.get(figureAt(line)), turned))
  return chain
}

const formsIn = (chain: readonly Link[]) => chain.map(({ form }) => form)

const stepsIn = (card: Card) => stepLines(card).filter(({ field }) => field === 'enter').length

/**
 * The forms of a card with those that are kept, and as its words alone move it: these as far as
 * its last step in and the last form that is kept. Worked out once.
 */
export const bothForms = rememberOf((card: Card): { words: Form[]; kept: Form[] } => {
  const chain = chainOf(card, keptForms(card), keptFrom)
  const kept = formsIn(chain)
  const first = kept.findIndex((form) => form.kept)
  if (first < 0) return { kept, words: kept }
  const until = Math.max(
    stepsIn(card),
    kept.findLastIndex((form) => form.kept)
  )
  // They are the same as far as none is kept.
  return { kept, words: formsIn(chainOf(card, NONE, wordsFrom, until, chain.slice(0, first))) }
})

/**
 * The chain of forms that the words of a card make: start, each step in, each step of the other
 * way, and the way out. A line that is not understood leaves the form as it is and is not sure.
 * The forms of a mirrored card are the mirrored forms.
 */
export const formsOf = (card: Card, { kept = true }: Pick<DraftOptions, 'kept'> = {}): Form[] =>
  kept ? bothForms(card).kept : formsIn(chainOf(card, NONE, wordsFrom))

/** The chain of forms that the words of a card make, each with a body that stands in it. */
export const draftsOf = (card: Card, options: DraftOptions = {}): Draft[] =>
  formsOf(card, options).map((form) => ({
    ...form,
    solved: solved(form.figure, options.stature, !form.kept),
  }))

/**
 * The form that the steps lead to: the last step in, and of a movement that is repeated the last
 * one that goes well away from where it begins.
 */
export function finalDraft<Of extends Form>(card: Card, forms: readonly Of[]): Of {
  const of = (id: string) => forms.find((form) => form.id === `step ${id}`)
  const start = forms[0]!
  const cycle = card.enter.filter((step) => step.cycle).flatMap(({ id }) => of(id) ?? [])
  const far = cycle.map((form) => anglesApart(form.figure, start.figure))
  const most = Math.max(0, ...far)
  const last = cycle[far.findLastIndex((each) => each >= most / 2)]
  if (last) return last
  return (card.enter.length > 0 ? of(card.enter.at(-1)!.id) : undefined) ?? start
}

/** Where the joints of a figure are by its angles alone, in statures. */
const jointsOf = rememberOf(
  (figure: Figure) =>
    place(bodyOf(figure.body), { root: [0, 0, 0], angles: askedAngles(figure) }).origins
)

/** How far the joints of two figures are apart by their angles alone, in statures. */
function anglesApart(a: Figure, b: Figure): number {
  const [from, to] = [jointsOf(a), jointsOf(b)]
  return from.reduce((sum, joint, i) => sum + norm(sub(joint, to[i]!)), 0) / from.length
}

/** How far the joints of two bodies are apart, on average, in cm, hips over hips. */
export function apart(a: Solved, b: Solved, stature = USUAL_STATURE): number {
  const [from, to] = [a.placed.origins, b.placed.origins]
  const hips = sub(from[0]!, to[0]!)
  const all = from.map((place, i) => norm(sub(sub(place, to[i]!), [hips[0], 0, hips[2]])))
  return (all.reduce((sum, each) => sum + each, 0) / all.length) * stature
}

/** The figures that the trainer keeps, by their paths; the final form stands at the last step in. */
function keptForms(card: Card): Map<string, Figure> {
  const forms = new Map(keyframesOf(card).frames.map(({ where, figure }) => [where, figure]))
  const final = forms.get(finalPlace(card))
  if (!final || card.enter.length === 0) return forms
  const { where } = card.enter.some((step) => step.cycle)
    ? finalDraft(card, formsIn(chainOf(card, NONE, wordsFrom, stepsIn(card))))
    : { where: `enter[${card.enter.length - 1}].text` }
  const last = where.replace(/text$/, 'figure')
  if (!forms.has(last)) forms.set(last, final)
  return forms
}
