import {
  drawnRibbon,
  paceOf,
  passSeconds,
  phaseSeconds,
  ribbonOf,
  stayNotes,
  timeOf,
  timesOf,
  repeatsOfStep,
} from '../breath'
import {
  type Card,
  conventionsOn,
  type Cue,
  DEMANDED,
  type Mistake,
  type On,
  otherSide,
  partsOf,
  type Rung,
  type School,
  type Side,
  type Step,
  type StepList,
  stepLists,
  stepsOf,
  type Verdict,
  type Want,
} from '../card'
import {
  type Figure,
  figureShown,
  finalFigure,
  handSizesOf,
  type Keyframe,
  cueCloseUp,
  faultOf,
  measuredCue,
  mirroredMark,
  measureWords,
  shownMeasures,
  sizesOf,
  sizeWords,
  STATURES,
} from '../figure'
import { type Judged, judgedCard, openBelow, STRICTNESS, stricter, traitWords } from '../cautions'
import { demandsOf } from '../ladder'
import { FIGURE, LABELS, LADDER, type Labels, namedRole, SAY_CAUTIONS } from '../language'
import { plainText, type MirrorOptions, stretches } from '../sides'
import { type Block, bold, type Drawn, ink, type Item, type Line, type Row, soft } from './blocks'

/** What the parts of a sheet are laid out from. */
export interface Laying {
  card: Card
  school: School
  labels: Labels
  /** Names of other cards by id. */
  titles: ReadonlyMap<string, string>
  sided: boolean
  firstSide: Side
  /** The card led from each side; a side that no pack can write is null. */
  led: Record<Side, Card | null>
  /** The card as what is said once is said: for the side that is led first. */
  spoken: Card
  options: MirrorOptions
  frames: readonly Keyframe[]
  title: string
}

type Lay = (of: Laying) => Block[]

const list = (...items: (Item | Item[] | null | false | undefined | '')[]): Block[] => {
  const all = items.flat().filter((each): each is Item => Boolean(each))
  return all.length ? [{ kind: 'list', items: all }] : []
}
const item = (...lines: Line[]): Item => ({
  id: '',
  lines: lines.filter((line) => line.length > 0),
})

/** A line cut into stretches; on a card with one form side words are words like others. */
const cut = ({ sided, options }: Laying, text: string): Line =>
  !text ? [] : sided ? stretches(text, options) : [ink(plainText(text, options))]

/** Words in parentheses after a line. */
const aside = (...words: (string | undefined)[]): Line => {
  const told = words.filter(Boolean)
  return told.length ? [soft(` (${told.join(', ')})`)] : []
}
const onOf = ({ labels }: Laying, { on }: { on: keyof Labels['on'] }) =>
  on === 'both' ? '' : labels.on[on]

const ledFigure = ({ card, school }: Laying, figure: Figure, side: Side) =>
  figureShown(card, figure, side, school)
const formAt = ({ frames }: Laying, id: string) => frames.find((frame) => frame.id === id)?.figure

function drawnForm(of: Laying, id: string, caption: string, side: Side): Drawn | undefined {
  const figure = formAt(of, id)
  return figure && { figure: ledFigure(of, figure, side), side, caption, letters: false }
}

const figures: Lay = (of) => {
  const final = finalFigure(of.card)?.figure
  if (!final) return []
  const sides = of.sided ? (['left', 'right'] as const) : (['right'] as const)
  const drawn = sides.map((side): Drawn => ({
    figure: ledFigure(of, final, side),
    side,
    caption: of.sided ? `${of.title}, ${of.labels.sheet.leads[side]}` : of.title,
    letters: of.sided,
    shown: shownMeasures(of.card, side),
  }))
  return [{ kind: 'figures', drawn }]
}

/** A line that both halves share, or a line for each half. */
function shared(of: Laying, label: string, pick: (half: Card) => string): Item | null {
  const { led, labels, firstSide } = of
  const [left, right] = [led.left && pick(led.left), led.right && pick(led.right)]
  const text = right ?? left ?? ''
  if (!text) return null
  if (!of.sided || left === right || left === null || right === null)
    return item([bold(`${label} `), ...cut(of, of.sided ? pick(led[firstSide] ?? of.card) : text)])
  const half = (side: Side, words: string) => [
    bold(`${label}, ${labels.sheet.leads[side]}: `),
    ...cut(of, words),
  ]
  return item(half('left', left), half('right', right))
}

const setUp: Lay = (of) => {
  const { card, labels, firstSide } = of
  const caption = labels.sheet.theStart
  const drawn = drawnForm(of, 'start', labels.sheet.figureOf(caption), firstSide)
  const props = card.setUp.props.join(', ')
  return list(
    drawn && { id: 'start', lines: [], drawn: [drawn] },
    shared(of, labels.sheet.start, (half) => half.setUp.place),
    props && item([bold(`${labels.sheet.props} `), ink(props)]),
    shared(of, labels.sheet.note, (half) => half.setUp.note)
  )
}

/** What stands beside a step: its own seconds, how often it is done in all, the cycle. */
function besides({ labels }: Laying, step: Partial<Step>, times: number): string[] {
  const once = times === repeatsOfStep(step)
  return [
    step.seconds === undefined ? '' : labels.sheet.seconds(step.seconds),
    times <= 1
      ? ''
      : once && step.repeatMost
        ? labels.sheet.times(step.repeat ?? 1, step.repeatMost)
        : labels.sheet.times(times),
    step.cycle ? labels.sheet.cycle : '',
  ].filter(Boolean)
}

const absentOf = ({ card, led, labels }: Laying) =>
  led.left && led.right ? labels.sheet.notHere : labels.sheet.notWritten(card.language)

const stepRows =
  (field: StepList): Lay =>
  (of) => {
    const { card, school, led, sided, labels } = of
    const pace = paceOf(card, school)
    const rows = card[field].map((step, i): Row => {
      const half = (side: Side) => {
        const words = led[side]?.[field][i]?.text
        if (words === undefined) return null
        const drawn = drawnForm(of, `step ${step.id}`, labels.sheet.figureOf(words), side)
        return { words: cut(of, words), ...(drawn ? { drawn } : {}) }
      }
      const repeat = timesOf(card, step)
      return {
        id: step.id,
        left: sided ? half('left') : null,
        right: half('right'),
        label: '',
        breath: step.breath,
        seconds: phaseSeconds(step, pace),
        repeat,
        beside: besides(of, step, repeat),
      }
    })
    if (rows.length === 0) return []
    const { centre } = labels.sheet
    return [{ kind: 'spread', centre: centre.breath, numbered: true, rows, absent: absentOf(of) }]
  }

function measuredOn(of: Laying, cue: Cue, side: Side): string | undefined {
  const { card, labels } = of
  if (!cue.measure) return undefined
  const { name, target, tolerance, unit } = cue.measure
  const found = measuredCue(card, card.alignment.indexOf(cue))
  return labels.sheet.wanted(
    side === card.writtenFor ? name : mirroredName(name),
    found && measureWords(found.value, found.unit),
    measureWords(target, unit),
    tolerance,
    found !== null && found.off > 0
  )
}

/** The region of a cue enlarged, with its mark. */
function closeUpOf(of: Laying, final: Figure, cue: Cue, side: Side): Drawn {
  return {
    figure: ledFigure(of, final, side),
    side,
    caption: of.labels.sheet.figureOf(of.labels.region[cue.region]),
    letters: false,
    shown: cueCloseUp(of.card, cue, side),
  }
}

const alignment: Lay = (of) => {
  const { card, led, sided, labels } = of
  const final = finalFigure(card)?.figure
  if (card.alignment.length === 0) return []
  const rows = card.alignment.map((cue): Row => {
    const half = (side: Side) => {
      const own = sided ? led[side]?.alignment.find(({ id }) => id === cue.id) : cue
      if (!own) return null
      const told = [
        cue.mark && FIGURE.markWords(side === card.writtenFor ? cue.mark : mirroredMark(cue.mark)),
        measuredOn(of, cue, side),
      ].filter(Boolean)
      const drawn = final && cue.mark && closeUpOf(of, final, cue, side)
      return {
        words: cut(of, own.text),
        ...(told.length ? { measured: told.join('; ') } : {}),
        ...(drawn ? { drawn } : {}),
      }
    }
    return {
      id: cue.id,
      left: sided ? half('left') : null,
      right: half('right'),
      label: labels.region[cue.region],
      breath: null,
      seconds: 0,
      repeat: 1,
      beside: [onOf(of, cue)].filter(Boolean),
    }
  })
  const { centre } = labels.sheet
  return [{ kind: 'spread', centre: centre.where, numbered: false, rows, absent: absentOf(of) }]
}

const stay: Lay = (of) => {
  const { card, school, labels } = of
  const told = labels.stay(card.stay)
  const { left, right, between, total } = timeOf(card, school)
  if (!told && right === 0) return []
  const time =
    right === 0
      ? ''
      : left === null
        ? labels.sheet.time(total)
        : labels.sheet.time(total, right, between)
  const ribbon = ribbonOf(card, school)
  const { parts } = drawnRibbon(ribbon, { length: 1, breadth: 1 })
  const passed = parts.map(({ part, seconds }) => ({ part: labels.passes[part] ?? part, seconds }))
  const pace = labels.sheet.paced(paceOf(card, school))
  const more = [time, ...stayNotes(card, labels)].filter(Boolean)
  return [
    ...list(
      item(
        [ink([told, pace].filter(Boolean).join(' · '))],
        more.map((each) => ink(each))
      )
    ),
    ...(passSeconds(card, school) > 0
      ? [{ kind: 'ribbon' as const, ribbon, told: labels.sheet.oneSide(passed) }]
      : []),
  ]
}

const sizes: Lay = (of) => {
  const { card, spoken, firstSide, labels, options } = of
  const final = finalFigure(card)?.figure
  const props = [...card.setUp.props, ...card.ladder.flatMap((rung) => rung.props)]
  const onRungs = spoken.ladder.flatMap((rung) => {
    const figure = rung.reference ? undefined : formAt(of, `rung ${rung.id}`)
    if (!figure) return []
    return handSizesOf(ledFigure(of, figure, firstSide)).map((row) => ({
      ...row,
      what: `${plainText(rung.name, options)}: ${row.what}`,
    }))
  })
  const own = final ? sizesOf(ledFigure(of, final, firstSide), props, firstSide) : []
  const rows = [...own, ...onRungs].map(({ what, unit, values, told }) => ({
    what,
    cells: values.map((value, i) => ({
      value: sizeWords(value, unit),
      ...(told ? { told: told[i]! } : {}),
    })),
  }))
  const head = [labels.sheet.statures, ...STATURES.map(String)]
  return rows.length
    ? [{ kind: 'table', label: labels.sheet.sizes, head, rows, note: labels.sheet.usual }]
    : []
}

const betweenSides: Lay = (of) => {
  const { card, spoken, sided, labels } = of
  const { breaths, text } = card.betweenSides
  if (!text && breaths === undefined) return []
  const told =
    sided || breaths !== undefined ? labels.stay({ breaths: breaths ?? 1, repeats: 1 }) : ''
  return list(item([ink(told ? `${told}. ` : ''), ...cut(of, spoken.betweenSides.text)]))
}

const mistakes: Lay = (of) => {
  const { spoken, card, labels, options } = of
  const [opens, closes] = labels.sheet.say
  const cueWords = (id: string) => {
    const cue = spoken.alignment.find((each) => each.id === id)
    if (!cue) return id
    return labels.sheet.breaksCue(labels.region[cue.region], plainText(cue.text, options))
  }
  return list(
    spoken.mistakes.map((each, i) => ({
      ...item(
        [
          ...cut(of, each.seen).map((part) => ({ ...part, bold: true as const })),
          ...aside(onOf(of, each)),
        ],
        cut(of, each.why).map((part) => ({ ...part, soft: true as const })),
        each.say ? [ink(opens), ...cut(of, each.say), ink(closes)] : [],
        card.mistakes[i]!.cue === undefined ? [] : [soft(cueWords(each.cue!))]
      ),
      ...wrongBesideRight(of, card.mistakes[i]!),
    }))
  )
}

/** Of a mistake that breaks a measured cue: the right form, and beside it the wrong one. */
function wrongBesideRight(of: Laying, { cue: id, on }: Mistake): Pick<Item, 'drawn'> {
  const { card, firstSide, labels } = of
  const cue = card.alignment.find((each) => each.id === id)
  const final = finalFigure(card)?.figure
  if (!cue?.measure || !final) return {}
  const side = of.sided ? (sideOf(on, firstSide) ?? firstSide) : 'right'
  const right = ledFigure(of, final, side)
  const context = { lead: side, namedBy: namedRole(card) }
  const across = side === card.writtenFor ? cue.measure.name : mirroredName(cue.measure.name)
  const wrong = faultOf(right, { ...cue.measure, name: across }, context)
  if (!wrong) return {}
  const drawn = (figure: Figure, caption: string, fault?: Drawn['shown']): Drawn => ({
    figure,
    side,
    caption,
    letters: false,
    ...(fault ? { shown: fault } : {}),
  })
  return {
    drawn: [
      drawn(right, labels.sheet.rightForm),
      drawn(wrong.figure, labels.sheet.wrongForm, { ...context, names: [], fault: wrong.at }),
    ],
  }
}

/** The side that a mistake is seen on; null when it is both. */
const sideOf = (on: On, firstSide: Side): Side | null =>
  on === 'left-only'
    ? 'left'
    : on === 'right-only'
      ? 'right'
      : on === 'first-only'
        ? firstSide
        : on === 'second-only'
          ? otherSide(firstSide)
          : null

const mirroredName = (name: string) =>
  name.replace(/^(left|right)\b/, (word) => otherSide(word as Side))

/** The cautions that are written on the card, each with what is usual where that is stricter. */
function typedCautions(of: Laying, { rows, rungs }: Judged): Item[] {
  const { spoken, card, titles, labels } = of
  return spoken.cautions.map((each, i): Item => {
    const { condition, verdict, rung, say, reason, over, instead } = each
    const row = rows.find(({ cells }) => cells.some(({ typed }) => typed?.at === i))
    const cell = row && row.cells[rungs.findIndex(({ described }) => described)]
    const milder = cell && stricter(cell.verdict, verdict) && rung === undefined && !cell.unsure
    const name = card.cautions[i]!.rung === undefined ? '' : ` (${rungName(of, rung!)})`
    return {
      id: '',
      verdict,
      lines: [
        [
          bold(`${condition}: ${labels.verdict[verdict]}`),
          ink(`${name}. `),
          ...cut(of, say),
          ...(instead === undefined
            ? []
            : [ink(` ${labels.sheet.instead(titles.get(instead) ?? instead)}`)]),
          ...(milder
            ? [ink(` ${labels.sheet.usualIs(labels.verdict[cell.verdict], cell.reason)}`)]
            : []),
          ...(reason === undefined ? [] : [soft(` ${labels.sheet.reason} ${reason}`)]),
          ...(over === undefined ? [] : [soft(` ${labels.sheet.over(over)}`)]),
        ],
      ],
    }
  })
}

/** What follows from the form and the policy for everybody else, alike ones together. */
function usualCautions(of: Laying, { rows, rungs, typed }: Judged): Item[] {
  const { labels } = of
  const named = new Set(typed.flatMap(({ condition }) => (condition ? [condition.id] : [])))
  const at = rungs.findIndex(({ described }) => described)
  const groups = new Map<string, { verdict: Verdict; names: string[]; words: string }>()
  for (const row of rows) {
    const cell = row.cells[at]!
    if (named.has(row.condition.id) || cell.verdict === 'fine') continue
    const below = openBelow(row, at)
    const told = cell.change.length > 0 ? cell.change : cell.reason
    const open =
      below && cell.verdict !== 'change' ? ` ${labels.sheet.openOn(rungName(of, below.rung))}` : ''
    const words = `${sentence(told.join('; '))}${open}`
    const key = `${cell.verdict} ${words}`
    const group = groups.get(key) ?? { verdict: cell.verdict, names: [], words }
    group.names.push(row.condition.name)
    groups.set(key, group)
  }
  return [...groups.values()]
    .sort((a, b) => STRICTNESS.indexOf(a.verdict) - STRICTNESS.indexOf(b.verdict))
    .map(({ verdict, names, words }) => ({
      id: '',
      verdict,
      lines: [[bold(`${labels.verdict[verdict]}: `), ink(`${names.join(', ')}. `), soft(words)]],
    }))
}

const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`

const rungName = ({ spoken, options }: Laying, id: string) => {
  const rung = spoken.ladder.find((each) => each.id === id)
  return rung ? plainText(rung.name, options) || id : id
}

const cautions: Lay = (of) => {
  const { card, school } = of
  const all = judgedCard(card, school)
  // Of a form that nobody has told, only what is written is printed.
  const usual = all.rungs.some(({ described, sure }) => described && sure)
    ? usualCautions(of, all)
    : []
  if (card.cautions.length === 0 && usual.length === 0) return []
  const { cautionLead } = school
  return list(
    item([
      soft(
        SAY_CAUTIONS.defers(cautionLead)
          ? cautionLead
          : [cautionLead, SAY_CAUTIONS.defer].filter(Boolean).join(' ')
      ),
    ]),
    typedCautions(of, all),
    usual
  )
}

const traits: Lay = (of) =>
  list(
    of.card.traits.map(({ trait, value, rung }) =>
      item([
        ink(
          of.labels.sheet.setByHand(
            traitWords(trait, value),
            rung === undefined ? '' : rungName(of, rung)
          )
        ),
      ])
    )
  )

/** What a rung says otherwise of the alignment. */
function cueChanges(of: Laying, { cues }: Rung): Line[] {
  if (!cues) return []
  const { spoken, labels } = of
  const words = (id: string) => {
    const cue = spoken.alignment.find((each) => each.id === id)
    return cue ? plainText(cue.text, of.options) : id
  }
  return [
    ...cues.replace.map(({ cue, text }) => [
      ink(`${labels.sheet.inPlaceOf(words(cue))} `),
      ...cut(of, text),
    ]),
    ...cues.add.map((cue) => {
      const { measure, mark } = cue
      return [
        ink(`${labels.sheet.moreCue(labels.region[cue.region])} `),
        ...cut(of, cue.text),
        ...aside(
          onOf(of, cue),
          mark && FIGURE.markWords(mark),
          measure &&
            labels.sheet.wanted(
              measure.name,
              null,
              measureWords(measure.target, measure.unit),
              measure.tolerance,
              false
            )
        ),
      ]
    }),
    ...cues.omit.map((id) => [ink(labels.sheet.leaveOut(words(id)))]),
  ]
}

function changes(of: Laying, rung: Rung): Line[] {
  const { spoken, labels } = of
  const steps = new Map(
    [...stepsOf(spoken).map(({ step }) => step), ...rung.steps.add.map(({ step }) => step)].map(
      ({ id, text }) => [id, plainText(text, of.options)]
    )
  )
  const words = (id: string) => steps.get(id) ?? id
  const phase = (step: Partial<Step>) => [
    step.breath && labels.breath[step.breath],
    ...besides(of, step, repeatsOfStep(step)),
  ]
  return [
    ...rung.steps.replace.map((each) => [
      ink(`${labels.sheet.inPlaceOf(words(each.step))} `),
      ...cut(of, each.text),
      ...aside(...phase(each)),
    ]),
    ...rung.steps.add.map(({ after, step }) => [
      ink(`${labels.sheet.add(after === undefined ? '' : words(after))} `),
      ...cut(of, step.text),
      ...aside(...phase(step)),
    ]),
    ...rung.steps.omit.map((id) => [ink(labels.sheet.leaveOut(words(id)))]),
    ...cueChanges(of, rung),
  ]
}

/** From the most demanding down to the most supported, as rungs are drawn. */
const ladder: Lay = (of) => {
  const { spoken, firstSide, labels, sided } = of
  if (spoken.ladder.length === 0) return []
  const final = finalFigure(of.card)?.id
  const demands = demandsOf(of.card, of.school)
  const rungs = spoken.ladder.map((rung, i): Item => {
    const name = plainText(rung.name, of.options)
    const signs = (label: string, all: string[]) =>
      all.map((sign) => [bold(`${label} `), ...cut(of, sign)])
    const figureOf = labels.sheet.figureOf(name)
    const own = rung.stay && labels.stay(rung.stay)
    const pace = rung.stay?.pace ? labels.sheet.paced(rung.stay.pace) : ''
    const drawn = drawnForm(of, `rung ${rung.id}`, figureOf, firstSide)
    const added = rung.steps.add.flatMap(({ step }) => {
      const each = drawnForm(of, `step ${step.id}`, labels.sheet.figureOf(step.text), firstSide)
      return each ? [each] : []
    })
    const { demand, sure } = demands[i]!
    return {
      id: rung.id,
      ...(rung.reference ? { marked: true } : {}),
      // What is not sure is not printed as a number.
      ...(demand && sure
        ? {
            bars: DEMANDED.map((part) => ({
              label: LADDER.demanded[part],
              value: Math.round(demand.parts[part].value),
            })),
          }
        : {}),
      lines: [
        [
          bold(`${i + 1} ${name}`),
          ink(rung.reference ? ` · ${labels.sheet.described}` : ''),
          ink(rung.beside ? ` · ${labels.sheet.beside}` : ''),
        ],
        rung.props.length ? [ink(labels.sheet.with(rung.props))] : [],
        own === undefined ? [] : [ink(labels.sheet.stays(own, pace))],
        ...changes(of, rung),
        ...signs(labels.sheet.upWhen, rung.upWhen),
        ...signs(labels.sheet.downWhen, rung.downWhen),
      ].filter((line) => line.length > 0),
      // The form described stands large above.
      drawn: [
        ...(drawn && final !== `rung ${rung.id}` ? [{ ...drawn, letters: sided }] : []),
        ...added,
      ],
    }
  })
  return [{ kind: 'rungs', items: rungs.reverse() }]
}

const counter: Lay = ({ card, titles }) =>
  list(
    card.counter.length > 0 &&
      item([ink(card.counter.map((id) => titles.get(id) ?? id).join(', '))])
  )

const conventions: Lay = ({ card, school }) =>
  list(
    conventionsOn(card, school.conventions).map(({ title, answer }) =>
      item([bold(`${title}: `), ink(answer)])
    )
  )

const effects: Lay = ({ card }) =>
  list(
    card.effects.map(({ text, basis, source }) =>
      item([ink(text), soft(` (${[basis, source].filter(Boolean).join(': ')})`)])
    )
  )

/** Consent is asked before anything else, whatever the card says. */
const assists: Lay = (of) =>
  list(
    of.spoken.assists.length > 0 && item([bold(of.school.consent || LABELS.consent)]),
    of.spoken.assists.map((each) =>
      item(each.stance ? [soft(`${of.labels.sheet.stance} `), ...cut(of, each.stance)] : [], [
        ink(each.breath ? `${of.labels.sheet.onBreath(each.breath)} ` : ''),
        ...cut(of, each.text),
        ...aside(onOf(of, each)),
      ])
    )
  )

const notes: Lay = ({ card }) =>
  list(card.notes ? card.notes.split('\n').map((line) => item([ink(line || ' ')])) : null)

/** The parts of a sheet in their order. */
const PARTS: Record<string, Lay> = {
  figures,
  setUp,
  enter: stepRows('enter'),
  stay,
  otherWay: stepRows('otherWay'),
  alignment,
  exit: stepRows('exit'),
  sizes,
  betweenSides,
  mistakes,
  cautions,
  traits,
  ladder,
  counter,
  conventions,
  effects,
  assists,
  notes,
}

/** A part with no layout of its own: its words, those that belong together as one item. */
const plainly = (field: string): Lay => {
  const own: Want = (kind) => kind.field === field && kind.kind === 'words'
  return (of) => {
    const items = new Map<string, Line[]>()
    for (const { owners, value } of partsOf(of.spoken, own)) {
      const { path } = owners[0]!
      items.set(path, [...(items.get(path) ?? []), cut(of, value as string)])
    }
    return list([...items.values()].map((lines) => item(...lines)))
  }
}

/** Layouts in their order; what has a name and no place stands before the way out. */
export function layouts(labels: Labels): [id: string, lay: Lay][] {
  const steps = new Set<string>(stepLists().map(({ list: field }) => field))
  const more = Object.keys(labels.parts)
    .filter((field) => !(field in PARTS))
    .map((field): [string, Lay] => {
      const made =
        MADE.get(field) ?? (steps.has(field) ? stepRows(field as StepList) : plainly(field))
      MADE.set(field, made)
      return [field, made]
    })
  const all = Object.entries(PARTS)
  const out = all.findIndex(([id]) => id === 'exit')
  return [...all.slice(0, out), ...more, ...all.slice(out)]
}

const MADE = new Map<string, Lay>()
