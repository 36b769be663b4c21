import {
  durationWords,
  paceOf,
  paceWords,
  passSeconds,
  phaseSeconds,
  spineOf,
  type SpineStretch,
  stayWords,
  timeOf,
  timesOf,
  whenWords,
} from '../breath'
import {
  BASE_TITLES,
  type Breath,
  type Card,
  conventionsOn,
  type Cue,
  firstSideOf,
  ON_WORDS,
  type School,
  type Side,
  type Step,
  titleOf,
  type Verdict,
} from '../card'
import {
  type Figure,
  figureLedFrom,
  finalFigure,
  handSizesOf,
  keyframesOf,
  measuredCue,
  measureWords,
  type ShownMeasures,
  shownMeasures,
  sizesOf,
  type SizeRow,
} from '../figure'
import { devanagari } from '../names'
import { cardLedFrom, otherSide, plainText, type Stretch, stretches, writeFor } from '../sides'

/**
 * A card as it is read: every line said for its side, nothing left to compute. The card
 * view and the printed sheet draw the same sheet.
 */
export interface Sheet {
  id: string
  number: string
  title: string
  sanskrit: string
  devanagari: string
  also: string[]
  meaning: string
  /** Base, spine direction, manner, what the side is named by. */
  facts: string[]
  sided: boolean
  firstSide: Side
  /** The form described, for each side that there is; empty when none is drawn. */
  figures: { side: Side; figure: Figure; shown: ShownMeasures }[]
  /** What scales with the person who stands in it. */
  sizes: SizeRow[]
  start: Figure | null
  when: string
  setUp: { place: SpreadLine | null; props: string[]; note: SpreadLine | null }
  enter: SpreadRow[]
  alignment: SpreadRow[]
  /** The second direction of a twist that has two for each leg position. */
  otherWay: SpreadRow[]
  exit: SpreadRow[]
  /** How long it takes, in words. */
  time: string
  /** One pass to scale, and how long it lasts, in seconds. */
  spine: SpineStretch[]
  passSeconds: number
  /** What the school has settled, where it concerns this pose. */
  conventions: { title: string; answer: string }[]
  stay: string
  pace: string
  between: { breaths: string; text: Stretch[] } | null
  mistakes: { seen: Stretch[]; why: Stretch[]; say: Stretch[]; on: string }[]
  cautions: { verdict: Verdict; condition: string; say: string; rung: string; reason: string }[]
  cautionLead: string
  /** From the most demanding down to the most supported, as rungs are drawn. */
  ladder: SheetRung[]
  counter: string[]
  effects: { text: string; basis: string; source: string }[]
  assists: { text: Stretch[]; breath: Breath | null; on: string }[]
  notes: string
}

/** One line for both halves; an even card has the same line in `right` only. */
export interface SpreadLine {
  left: Stretch[] | null
  right: Stretch[] | null
}

export interface SpreadRow extends SpreadLine {
  id: string
  /** A region, for alignment. */
  label: string
  breath: Breath | null
  /** Seconds that the row lasts, repeats included. */
  seconds: number
  repeat: number
  figures?: { left: Figure | null; right: Figure }
  /** What the figure measures where a cue says what it should. */
  measured?: Record<Side, string>
}

export interface SheetRung {
  id: string
  name: string
  reference: boolean
  props: string[]
  stay: string
  changes: string[]
  /** Led from the first side; null when none of its own is drawn. */
  figure: Figure | null
  upWhen: string[]
  downWhen: string[]
}

function halves(card: Card, school: School): { left: Card; right: Card } {
  const first = firstSideOf(card, school)
  const options = { turning: school.turning }
  return {
    left: cardLedFrom(card, 'left', first, options),
    right: cardLedFrom(card, 'right', first, options),
  }
}

/** How long a card takes, in words; empty when it has nothing to time. */
export function timeWords(card: Card, school: School): string {
  const { left, right, between, total } = timeOf(card, school)
  if (right === 0) return ''
  if (left === null) return `${durationWords(total)} in all`
  return `${durationWords(total)} in all: ${durationWords(right)} a side, ${durationWords(between)} between`
}

function rungSheet(
  rung: Card['ladder'][number],
  steps: Map<string, string>,
  figure: Figure | null
): SheetRung {
  const words = (id: string) => steps.get(id) ?? id
  return {
    id: rung.id,
    name: plainText(rung.name),
    reference: rung.reference ?? false,
    props: rung.props,
    stay: rung.stay ? stayWords(rung.stay) : '',
    changes: [
      ...rung.steps.replace.map(
        (each) => `In place of “${words(each.step)}”: ${plainText(each.text)}`
      ),
      ...rung.steps.add.map((each) => `Add: ${plainText(each.step.text)}`),
      ...rung.steps.omit.map((id) => `Leave out “${words(id)}”`),
    ],
    figure,
    upWhen: rung.upWhen.map((each) => plainText(each)),
    downWhen: rung.downWhen.map((each) => plainText(each)),
  }
}

/**
 * Lays out a card for reading.
 * @param titles names of other cards by id, for the counter poses
 */
export function sheetOf(
  card: Card,
  school: School,
  titles: ReadonlyMap<string, string> = new Map()
): Sheet {
  const sided = card.sides === 'sided'
  const firstSide = firstSideOf(card, school)
  const pace = paceOf(card, school)
  const { left, right } = halves(card, school)
  const options = { turning: school.turning }
  const cut = (text: string): Stretch[] =>
    sided ? stretches(text, options) : [{ role: 'text', text: plainText(text, options) }]
  const both = (pick: (half: Card) => string): SpreadLine | null => {
    const text = pick(right)
    return text ? { left: sided ? cut(pick(left)) : null, right: cut(text) } : null
  }
  const { frames } = keyframesOf(card)
  const led = (figure: Figure, side: Side) => figureLedFrom(card, figure, side)
  const onSides = (figure: Figure | undefined) =>
    !figure
      ? []
      : (sided ? ledOrder(firstSide) : (['right'] as const)).map((side) => ({
          side,
          figure: led(figure, side),
        }))
  const final = finalFigure(card)?.figure
  const start = frames.find((frame) => frame.id === 'start')?.figure
  const sizesOnCard = (): SizeRow[] => {
    const props = [...card.setUp.props, ...card.ladder.flatMap((rung) => rung.props)]
    const onRungs = spoken.ladder.flatMap((rung) => {
      const figure = ownFigure(rung)
      if (!figure) return []
      return handSizesOf(figure).map((row) => ({
        ...row,
        what: `${plainText(rung.name, options)}: ${row.what}`,
      }))
    })
    return [...(final ? sizesOf(led(final, firstSide), props, firstSide) : []), ...onRungs]
  }
  const ownFigure = (rung: Card['ladder'][number]) => {
    const figure = frames.find((frame) => frame.id === `rung ${rung.id}`)?.figure
    return figure && !rung.reference ? led(figure, firstSide) : null
  }
  const figuresOf = (id: string) => {
    const figure = frames.find((frame) => frame.id === `step ${id}`)?.figure
    if (!figure) return {}
    return { figures: { left: sided ? led(figure, 'left') : null, right: led(figure, 'right') } }
  }
  const steps = (pick: (half: Card) => Step[]): SpreadRow[] =>
    pick(right).map((step, i) => ({
      id: step.id,
      label: '',
      left: sided ? cut(pick(left)[i]!.text) : null,
      right: cut(step.text),
      breath: step.breath,
      seconds: phaseSeconds(step, pace) * timesOf(card, step),
      repeat: timesOf(card, step),
      ...figuresOf(step.id),
    }))
  const measuredOf = (cue: Cue): Pick<SpreadRow, 'measured'> => {
    const found = cue.measure && measuredCue(card, card.alignment.indexOf(cue))
    if (!cue.measure || !found) return {}
    const { name, target, tolerance, unit } = cue.measure
    const read = measureWords(found.value, found.unit)
    const wanted = `${found.off > 0 ? 'but ' : ''}wanted ${measureWords(target, unit)} ± ${tolerance}`
    const across = name.replace(/^(left|right)\b/, (word) => otherSide(word as Side))
    const on = (side: Side) => `${side === card.writtenFor ? name : across}: ${read}, ${wanted}`
    return { measured: { left: on('left'), right: on('right') } }
  }
  const cueOn = (half: Card, id: string) => half.alignment.find((cue) => cue.id === id)
  const alignment = card.alignment.map((cue): SpreadRow => {
    const onLeft = sided ? cueOn(left, cue.id) : undefined
    const onRight = sided ? cueOn(right, cue.id) : cue
    return {
      id: cue.id,
      label: cue.region,
      left: onLeft ? cut(onLeft.text) : null,
      right: onRight ? cut(onRight.text) : null,
      breath: null,
      seconds: 0,
      repeat: 1,
      ...measuredOf(cue),
    }
  })
  // What is said once on a card is said for the side that is led first.
  const spoken = writeFor(card, firstSide, options)
  const on = (each: { on: keyof typeof ON_WORDS }) => (each.on === 'both' ? '' : ON_WORDS[each.on])
  const stepWords = new Map(
    [...spoken.enter, ...spoken.otherWay, ...spoken.exit].map((step) => [
      step.id,
      plainText(step.text, options),
    ])
  )
  const betweenText = card.betweenSides.text
  return {
    id: card.id,
    number: card.number,
    title: titleOf(card),
    sanskrit: card.names.sanskrit,
    devanagari: devanagari(card.names.sanskrit),
    also: [...card.names.common.slice(1), ...card.names.aliases],
    meaning: card.names.meaning,
    facts: [
      BASE_TITLES[card.base].toLowerCase(),
      `spine: ${card.spine}`,
      card.manner,
      ...(sided
        ? [
            card.sideNamedBy ? `side named by the ${card.sideNamedBy}` : 'sided',
            `${firstSide} first`,
          ]
        : ['even']),
    ],
    sided,
    firstSide,
    figures: onSides(final).map((each) => ({
      ...each,
      shown: shownMeasures(card, each.side),
    })),
    sizes: sizesOnCard(),
    start: start ? led(start, firstSide) : null,
    when: whenWords(card.when),
    setUp: {
      place: both((half) => half.setUp.place),
      props: card.setUp.props,
      note: both((half) => half.setUp.note),
    },
    enter: steps((half) => half.enter),
    alignment,
    otherWay: steps((half) => half.otherWay),
    exit: steps((half) => half.exit),
    time: timeWords(card, school),
    spine: spineOf(card, school),
    passSeconds: passSeconds(card, school),
    conventions: conventionsOn(card, school.conventions),
    stay: stayWords(card.stay),
    pace: paceWords(pace),
    between:
      sided && (betweenText || card.betweenSides.breaths !== undefined)
        ? {
            breaths: stayWords({ breaths: card.betweenSides.breaths ?? 1, repeats: 1 }),
            text: cut(spoken.betweenSides.text),
          }
        : null,
    mistakes: spoken.mistakes.map((each) => ({
      seen: cut(each.seen),
      why: cut(each.why),
      say: cut(each.say),
      on: on(each),
    })),
    cautions: spoken.cautions.map((each) => ({
      verdict: each.verdict,
      condition: each.condition,
      say: plainText(each.say, options),
      rung: plainText(card.ladder.find((rung) => rung.id === each.rung)?.name ?? '', options),
      reason: each.reason ?? '',
    })),
    cautionLead: school.cautionLead,
    ladder: spoken.ladder.map((rung) => rungSheet(rung, stepWords, ownFigure(rung))).reverse(),
    counter: card.counter.map((id) => titles.get(id) ?? id),
    effects: card.effects.map((claim) => ({
      text: claim.text,
      basis: claim.basis,
      source: claim.source ?? '',
    })),
    assists: spoken.assists.map((each) => ({
      text: cut(each.text),
      breath: each.breath ?? null,
      on: on(each),
    })),
    notes: card.notes,
  }
}

/** The order in which the halves are led. */
export const ledOrder = (firstSide: Side): [Side, Side] => [firstSide, otherSide(firstSide)]

/** Words of stretches, run together. */
export const wordsOf = (parts: Stretch[] | null): string =>
  (parts ?? []).map((part) => part.text).join('')
