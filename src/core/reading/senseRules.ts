import {
  type Card,
  type Cue,
  type Found,
  otherSide,
  REGIONS,
  type Rule,
  type Side,
  usualRule,
} from '../card'
import { type Figure, isOfProp, keyframesOf, showsProp } from '../figure'
import {
  type BodyPart,
  inEach,
  IN_THE_MIDDLE,
  type Instruction,
  type Reader,
  readerOf,
  rememberWith,
  type RULE_WORDS,
  SAY,
  type Way,
} from '../language'
import { sidedLines } from '../sides'
import { bothForms, type Form } from './draft'
import { familyFits } from './familyRule'
import { SIDES } from './moves/stance'
import { lineAt, partsIn, propsIn, readCard, type ReadLine, readLine, stepLines } from './readLine'
import { limbOf, oneSide } from './settle'
import { angle, ARM_ON, CLEARLY, LEG_ON, onFloor, raised, restsOn } from './shownLimbs'
import { wordsAndFigure } from './wordsAndFigure'

/** A rule that reads the words of a card: it says nothing in a language that cannot be read. */
const reading =
  (check: Rule['check']): Rule['check'] =>
  (card, school) =>
    readerOf(card.language) ? check(card, school) : []

const cues = (card: Card) => readCard(card).filter(({ field }) => field === 'alignment')

/** Which of its list a line is of. */
const indexIn = (where: string) => Number(/\[(\d+)\]/.exec(where)![1])

// Steps

const GOES = new Set<Instruction['action']>([
  'bend',
  'straighten',
  'lift',
  'lower',
  'place',
  'step',
  'cross',
])

function alreadyThere(card: Card): Found[] {
  return bothForms(card).kept.flatMap(({ where, idle, did }, i) => {
    // The first step may tell the set-up again.
    if (i < 2 || idle.length < did.filter((each) => each === 'moved').length) return []
    return idle
      .filter(
        (n) =>
          GOES.has(n.action) &&
          limbOf(n.part) !== null &&
          !['toes', 'hip', 'thigh'].includes(n.part)
      )
      .slice(0, 1)
      .map((n) => ({
        where,
        message: SAY.sense.already(SAY.sense.sided(n.side, n.word)),
      }))
  })
}

const USES = new Set<Instruction['action']>([
  'place',
  'lift',
  'lower',
  'reach',
  'hold',
  'step',
  'clasp',
])

/** The prop that a line moves and that may carry something; null when it moves none. */
const movedProp = ({ prop }: Instruction) => (prop && prop !== 'strap' ? prop : null)

function stillBusy(card: Card): Found[] {
  const { kept } = bothForms(card)
  // The first form is that of the start: the one before a step has the step's own number.
  return stepLines(card).flatMap((line, i) =>
    usesSome(line) ? busyIn(line, kept[i]!, card.setUp.props, card.language) : []
  )
}

/** Whether a line moves one limb, or a prop. */
const usesSome = ({ instructions }: ReadLine) =>
  instructions.some((n) => (USES.has(n.action) && oneSide(n.side)) || movedProp(n))

const busyIn = rememberWith(
  (
    { where, instructions, text }: ReadLine,
    { figure }: Form,
    props: readonly string[],
    language: string
  ): readonly Found[] => {
    const names = propsIn(text, language)
    const hops = readerOf(language)!.hops(text)
    const found: Found[] = []
    for (const n of instructions) {
      const limb = limbOf(n.part)
      if (!USES.has(n.action) || !oneSide(n.side)) continue
      const strap = figure.straps.some((ends) => ends.some((end) => end === `${n.side} hand`))
      if (limb === 'arm' && strap && !names.includes('strap'))
        found.push({ where, message: SAY.sense.holdsStrap(n.side) })
      const alone =
        onFloor(figure, n.side) &&
        figure.contacts.every(
          ({ part }) =>
            LEG_ON.exec(part)?.[1] === n.side ||
            /^(?:left|right) (?:hand|forearm|elbow)$/.test(part) ||
            (LEG_ON.exec(part) !== null && !onFloor(figure, otherSide(n.side as Side)))
        ) &&
        !onFloor(figure, otherSide(n.side))
      const lifts = n.action === 'lift' || (n.action === 'step' && limb === 'leg')
      if (limb === 'leg' && lifts && ['foot', 'leg', 'knee'].includes(n.part) && alone && !hops)
        found.push({ where, message: SAY.sense.carries(n.side) })
    }
    for (const n of instructions) {
      const prop = movedProp(n)
      if (!prop) continue
      const used = figure.contacts.find(({ on }) => isOfProp(on, prop))
      const many =
        props.filter((each) => propsIn(each, language).includes(prop)).length > 1 ||
        props.some((each) => readerOf(language)!.several(each, prop))
      if (used && !many && !used.part.includes(n.part))
        found.push({ where, message: SAY.sense.propBusy(prop, used.part) })
    }
    return found.slice(0, 1)
  }
)

/** Whether a way out says something of a limb or a prop that was not understood. */
function untold(card: Card, about: RegExp): boolean {
  return stepLines(card).some(
    ({ where, text, notUnderstood, instructions }) =>
      where.startsWith('exit') &&
      about.test(text) &&
      (instructions.length === 0 ||
        notUnderstood.some(([from, until]) => about.test(text.slice(from, until))))
  )
}

/** Whether a body is carried by its hands and legs alone: it does not lie or sit. */
const onLimbs = ({ contacts }: Figure) =>
  contacts.every(({ part }) => LEG_ON.test(part) || ARM_ON.test(part))

const sits = ({ contacts }: Figure) => contacts.some(({ part }) => part === 'sit bones')
/** Knees of a leg that is long, and of one that is folded, in degrees. */
const STRAIGHT = 20
const FOLDED = 70

/** Whether a strap that the way in puts on is never taken off: who rolls over loses it, unsaid. */
function strapStays(card: Card, kept: readonly Form[]): boolean {
  const [start] = kept as [Form]
  const on = ({ straps }: Form) => straps > start.straps
  const off = kept.findIndex((form, i) => i > 0 && !on(form) && on(kept[i - 1]!))
  if (off < 0) return on(kept.at(-1)!)
  const line = lineAt(card).get(kept[off]!.where)
  return line?.instructions.some(({ action }) => action === 'roll' || action === 'lie') ?? false
}

function takenBack(card: Card): Found[] {
  const { kept } = bothForms(card)
  if (card.exit.length === 0) return []
  const [start, end] = [kept[0]!.figure, kept.at(-1)!.figure]
  const where = `exit[${card.exit.length - 1}].text`
  const { speaksOf } = readerOf(card.language)!
  const props = propsOf(card)
  const say = SAY.sense.left
  const found: string[] = []
  // Who gets up, or lies down, on the way folds the legs as they come.
  const seated = kept.every(({ figure }) => sits(figure))
  const lifts = (side: Side) =>
    stepLines(card).some(({ instructions }) =>
      instructions.some(
        (n) =>
          ['arm', 'hand', 'elbow', 'fingers'].includes(n.part) &&
          (n.action === 'lift' || (n.action === 'reach' && n.ways.includes('up'))) &&
          (n.side === side || n.side === 'both')
      )
    )
  const exits = stepLines(card).filter((line) => line.where.startsWith('exit'))
  const says = (about: RegExp) => exits.some(({ text }) => about.test(text))
  for (const side of SIDES) {
    const up = (figure: Figure) => raised(figure, side) > CLEARLY
    if (up(end) && !up(start) && lifts(side) && !untold(card, speaksOf.arm))
      found.push(say.arm(side))
    const turned = (figure: Figure) =>
      figure.contacts.some(({ part }) => part === `${side} sole`) &&
      angle(figure, `${side}Hip`, 'rotation') > 30 &&
      Math.abs(angle(figure, `${side}Knee`, 'flexion')) < 30
    if (turned(end) && !turned(start) && !says(speaksOf.turning) && !untold(card, speaksOf.foot))
      found.push(say.foot(side))
    if (
      onLimbs(end) &&
      !onFloor(end, side) &&
      onFloor(end, otherSide(side)) &&
      onFloor(start, side) &&
      !untold(card, speaksOf.leg)
    )
      found.push(say.lifted(side))
    const knee = (figure: Figure) => angle(figure, `${side}Knee`, 'flexion')
    if (seated && knee(start) < STRAIGHT && knee(end) > FOLDED && !untold(card, speaksOf.leg))
      found.push(say.leg(side))
    const held = restsOn(end, side, ARM_ON)
    if (held && !restsOn(start, side, ARM_ON) && !untold(card, speaksOf.armOrElbow))
      found.push(say.hand(side, held.on))
  }
  if (strapStays(card, kept) && !exits.some(({ text }) => props(text).includes('strap')))
    found.push(say.strap)
  return found.slice(0, 2).map((message) => ({ where, message }))
}

/** Whether a line asks the body for nothing. */
const isStill = ({ instructions, minds }: ReadLine) =>
  instructions.length > 0
    ? instructions.every(
        (n) => n.keeps === true || (n.action === 'stay' && n.part === 'whole body')
      )
    : minds === true
const stillLines = inEach(() => (line: ReadLine) => (isStill(line) ? [line] : []))

function doesNothing(card: Card): Found[] {
  return stillLines(stepLines(card)).flatMap(({ field, where }) => {
    const at = indexIn(where)
    if (field !== 'enter' || at === card.enter.length - 1) return []
    const { breath } = card.enter[at]!
    return breath === 'in' || breath === 'out' ? [{ where, message: SAY.sense.nothing }] : []
  })
}

// Props

const propsOf = (card: Card) => (text: string) => propsIn(text, card.language)

function propsNamed(card: Card): Found[] {
  const props = propsOf(card)
  const { setUp } = card
  // A set-up that is not written lists nothing yet.
  if (!setUp.place && setUp.props.length === 0) return []
  const listed = new Set([...setUp.props, setUp.place].flatMap(props))
  // What only a rung uses is in the list of that rung, and a note may speak of it.
  const ofRungs = new Set([...listed, ...card.ladder.flatMap((rung) => rung.props.flatMap(props))])
  const told = new Set<string>()
  const named = propsOfLines(readCard(card), card.language)
  const ofNote = ({ where }: { where: string }) => where === 'setUp.note'
  // The note last: what a step names as well is told of the step.
  return [...named.filter((each) => !ofNote(each)), ...named.filter(ofNote)].flatMap(
    ({ where, prop }) => {
      const have = where === 'setUp.note' ? ofRungs : listed
      if (where === 'setUp.place' || have.has(prop) || told.has(prop)) return []
      told.add(prop)
      return [notListed(where, prop, 'setUp.props', setUp.props)]
    }
  )
}

/** The props that lines name. */
const namedProps = () =>
  inEach(
    (language: string) =>
      ({ where, text }: { where: string; text: string }) =>
        propsIn(text, language).map((prop) => ({ where, prop }))
  )
const propsOfLines = namedProps()
const propsOfRungs = namedProps()

const notListed = (where: string, prop: string, path: string, list: readonly string[]): Found => ({
  where,
  message: SAY.sense.noProp(prop),
  fix: {
    label: SAY.sense.addProp(prop),
    patches: [{ path, value: [...list, prop] }],
  },
})

/** Props that a rung names in its own words: its own list takes the place of the set-up's. */
function rungPropsNamed(card: Card): Found[] {
  const props = propsOf(card)
  const { setUp } = card
  const named = propsOfRungs(sidedLines(card), card.language).filter(({ where }) =>
    /^ladder\[\d+\]\.(?:steps|cues)\./.test(where)
  )
  return card.ladder.flatMap((rung, i) => {
    const mine = named.filter(({ where }) => indexIn(where) === i)
    if (mine.length === 0) return []
    const own = rung.props.length > 0 ? rung.props : setUp.props
    const have = new Set([...own, setUp.place].flatMap(props))
    return mine.flatMap(({ where, prop }) => {
      if (have.has(prop)) return []
      have.add(prop)
      return [notListed(where, prop, `ladder[${i}].props`, own)]
    })
  })
}

function propsUsed(card: Card): Found[] {
  // A card that is hardly written uses nothing yet.
  if (card.enter.length === 0) return []
  const { namesProp } = readerOf(card.language)!
  const props = propsOf(card)
  const texts = [
    ...sidedLines(card).map(({ text }) => text),
    ...card.ladder.flatMap((rung) => [rung.name, ...rung.props]),
  ]
  const { frames } = keyframesOf(card)
  return card.setUp.props.flatMap((prop, i) => {
    const groups = props(prop)
    const used =
      texts.some(
        (text) => namesProp(text, prop) || props(text).some((each) => groups.includes(each))
      ) ||
      frames.some(
        ({ figure }) =>
          groups.some((each) => showsProp(figure, each)) ||
          figure.contacts.some(({ on }) => namesProp(on, prop))
      )
    return used ? [] : [{ where: `setUp.props[${i}]`, message: SAY.sense.unusedProp(prop) }]
  })
}

// Cues

const whichSide = (card: Card): readonly Found[] =>
  card.sides === 'even'
    ? []
    : unsidedIn([...stepLines(card), ...cues(card)], card.writtenFor, card.language)

const unsidedIn = inEach((side: Side, language: string) => {
  const reader = readerOf(language)!
  return ({ where, text, instructions }: ReadLine): readonly Found[] => {
    const n = instructions.find(
      (each) =>
        each.side === null &&
        !each.role &&
        limbOf(each.part) !== null &&
        !IN_THE_MIDDLE.has(each.part) &&
        each.part !== 'shoulder'
    )
    if (!n) return []
    const words = text.slice(n.from, n.until)
    // A hand that is meant and not named, or two parts that come together.
    if (!words.toLowerCase().includes(n.word) || n.ways.includes('together')) return []
    const named = reader.withSide(words, n.word, side)
    // What names any limb stands before it; “a leg length” after it does not.
    if (reader.anySide.test(words.slice(0, words.toLowerCase().indexOf(n.word) + n.word.length)))
      return []
    return [
      {
        where,
        message: SAY.sense.whichSide(n.word),
        ...(named !== null
          ? {
              fix: {
                label: SAY.sense.saySide(side, n.word),
                patches: [
                  { path: where, value: text.slice(0, n.from) + named + text.slice(n.until) },
                ],
              },
            }
          : {}),
      },
    ]
  }
})

const OPPOSITE_WAYS: [Way, Way][] = [
  ['up', 'down'],
  ['in', 'out'],
  ['forward', 'back'],
  ['together', 'apart'],
  ['straight', 'bent'],
  ['high', 'low'],
  ['left', 'right'],
]
const OPPOSITE_ACTIONS: [Instruction['action'], Instruction['action']][] = [
  ['lift', 'lower'],
  ['bend', 'straighten'],
  ['turn-out', 'turn-in'],
  ['open', 'close'],
  ['spread', 'close'],
  ['point', 'flex'],
  ['arch', 'round'],
]

function opposite(a: Instruction, b: Instruction, { sameThing }: Reader): boolean {
  if (a.part !== b.part || !sameThing(a.word, b.word)) return false
  if (oneSide(a.side) && oneSide(b.side) && a.side !== b.side) return false
  const pair = <T>(one: T, other: T, [x, y]: readonly [T, T]) =>
    (one === x && other === y) || (one === y && other === x)
  if (OPPOSITE_ACTIONS.some((each) => pair(a.action, b.action, each))) return true
  return OPPOSITE_WAYS.some(
    ([x, y]) =>
      (a.ways.includes(x) && !a.ways.includes(y) && b.ways.includes(y) && !b.ways.includes(x)) ||
      (a.ways.includes(y) && !a.ways.includes(x) && b.ways.includes(x) && !b.ways.includes(y))
  )
}

/** What a cue asks for: keep the hip high while the knees straighten asks for the hip alone. */
const asks = ({ instructions }: ReadLine) =>
  instructions[0]?.keeps ? instructions.filter(({ keeps }) => keeps) : instructions

function askedOpposite(card: Card): Found[] {
  const all = cues(card)
  const reader = readerOf(card.language)!
  const onOne = (i: number) => card.alignment[indexIn(all[i]!.where)]!.on
  return all.flatMap((line, i) => {
    const before = all.findIndex(
      (other, k) =>
        k < i &&
        (onOne(k) === onOne(i) || onOne(k) === 'both' || onOne(i) === 'both') &&
        asks(other).some((a) => asks(line).some((b) => opposite(a, b, reader)))
    )
    return before < 0
      ? []
      : [{ where: line.where, message: SAY.sense.opposite(before + 1, all[before]!.text) }]
  })
}

function groundUp(card: Card): Found[] {
  const rank = (cue: Cue) => REGIONS.indexOf(cue.region)
  const at = card.alignment.findIndex((cue, i) => i > 0 && rank(cue) < rank(card.alignment[i - 1]!))
  if (at < 0) return []
  const sorted = card.alignment
    .map((cue, i) => ({ cue, i }))
    .sort((a, b) => rank(a.cue) - rank(b.cue) || a.i - b.i)
  return [
    {
      where: `alignment[${at}].region`,
      message: SAY.sense.groundUp(card.alignment[at]!.region, card.alignment[at - 1]!.region),
      fix: {
        label: SAY.sense.sortCues,
        patches: [{ path: 'alignment', value: sorted.map(({ cue }) => cue) }],
      },
    },
  ]
}

// Mistakes

const REGION_OF: Record<BodyPart, number> = {
  foot: 0,
  toes: 0,
  heel: 0,
  ankle: 1,
  shin: 2,
  knee: 2,
  thigh: 3,
  leg: 2,
  hip: 3,
  pelvis: 3,
  'low back': 4,
  ribs: 5,
  chest: 5,
  spine: 5,
  shoulder: 6,
  arm: 7,
  elbow: 7,
  forearm: 7,
  wrist: 8,
  hand: 8,
  fingers: 8,
  neck: 9,
  head: 9,
  chin: 9,
  gaze: 10,
  'whole body': -1,
}

/** Regions that a part lies in or next to: a correction of one reaches the other. */
const near = (a: number, b: number) => a < 0 || b < 0 || Math.abs(a - b) <= 1

function mistakeTouches(card: Card): Found[] {
  return card.mistakes.flatMap((mistake, i) => {
    const cue = card.alignment.find(({ id }) => id === mistake.cue)
    if (!cue || !mistake.say) return []
    const said = partsIn(mistake.say, card.language)
    if (said.length === 0) return []
    const about = [
      REGIONS.indexOf(cue.region),
      ...partsIn(cue.text, card.language).map((part) => REGION_OF[part]),
    ]
    if (said.some((part) => about.some((region) => near(REGION_OF[part], region)))) return []
    // Sitting higher or turning as a whole reaches everywhere.
    const { instructions } = readLine(mistake.say, card.language)
    if (instructions.some(({ part }) => part === 'whole body' || part === 'spine')) return []
    return [
      {
        where: `mistakes[${i}].say`,
        message: SAY.sense.mistake(said.join(', '), cue.region),
      },
    ]
  })
}

const rule = (
  id: keyof typeof RULE_WORDS & `sense/${string}`,
  severity: Rule['severity'],
  check: Rule['check']
): Rule => usualRule(id, severity, reading(check))

/** The rules about what the words of a card ask the body to do. */
export const senseRules: readonly Rule[] = [
  rule('sense/words-and-figure', 'mend', wordsAndFigure),
  rule('sense/already-there', 'note', alreadyThere),
  rule('sense/still-busy', 'mend', stillBusy),
  rule('sense/taken-back', 'mend', takenBack),
  rule('sense/props-named', 'mend', (card) => [...propsNamed(card), ...rungPropsNamed(card)]),
  rule('sense/props-used', 'note', propsUsed),
  rule('sense/which-side', 'mend', whichSide),
  rule('sense/one-thing-asked', 'mend', askedOpposite),
  rule('sense/ground-up', 'note', groundUp),
  rule('sense/does-something', 'note', doesNothing),
  rule('sense/family-fits', 'note', familyFits),
  rule('sense/mistake-meets-cue', 'note', mistakeTouches),
]
