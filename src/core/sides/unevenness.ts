import { type Card, type Caution, type Cue, freshId, otherSide, REGIONS, type Side } from '../card'
import { type HandWork, type LegWork, lexiconOf } from '../language'

/**
 * Placed unevenness: different work for each side of a side-bent spine, with the aim of being
 * more even. "Right thoracic" names the bulging side; the other one is the hollow. Arms reach
 * a rib-cage curve, legs a low-back curve. Common practice, no source.
 */
export interface Curve {
  /** The side on which the rib cage bulges. */
  ribs?: Side
  /** The side on which the low back bulges. */
  lowBack?: Side
}

export interface UnevenWork {
  cues: Cue[]
  caution: Caution
  /** Props that the work needs. */
  props: string[]
}

const HAND_PROP: Partial<Record<HandWork, string>> = { pad: 'folded mat', block: 'block' }

/** A side word that stays as it is on both halves: the body's own side. */
const fixed = (side: Side) => `{${side}}`

/**
 * The work of a curve pattern as cues for one side, told by the body's own sides: their side
 * words are fixed. A double curve has hollows on opposite sides above and below.
 * @param card whose cues the new ones join
 * @throws RangeError when neither curve is given
 */
export function unevenWork(
  card: Pick<Card, 'alignment' | 'language'>,
  curve: Curve,
  how: { hand: HandWork; leg: LegWork }
): UnevenWork {
  if (!curve.ribs && !curve.lowBack)
    throw new RangeError('Give the bulging side of the rib cage, of the low back, or of both.')
  const says = lexiconOf(card.language).uneven
  const cues: Cue[] = []
  const add = (region: Cue['region'], on: Cue['on'], text: string) =>
    cues.push({
      id: freshId(
        'a',
        [...card.alignment, ...cues].map((cue) => cue.id)
      ),
      region,
      text,
      on,
    })
  if (curve.lowBack) {
    const hollow = otherSide(curve.lowBack)
    for (const text of says.leg[how.leg](fixed(hollow)))
      add(how.leg === 'foot back' ? 'feet' : 'hips and pelvis', `${hollow}-only`, text)
    add('low back', `${hollow}-only`, says.lowBack(fixed(hollow)))
  }
  if (curve.ribs) {
    const hollow = otherSide(curve.ribs)
    add('wrists and hands', `${hollow}-only`, says.hand[how.hand](fixed(hollow)))
    add('ribs and upper back', `${hollow}-only`, says.hollowRibs(fixed(hollow)))
    add('ribs and upper back', `${curve.ribs}-only`, says.fullRibs(fixed(curve.ribs)))
  }
  add('low back', 'both', says.compare)
  const prop = curve.ribs ? HAND_PROP[how.hand] : undefined
  return {
    cues,
    caution: {
      condition: says.condition,
      verdict: 'ask-first',
      say: says.ask,
    },
    props: prop ? [prop] : [],
  }
}

/** The curve seen in a mirror. */
export const mirroredCurve = (curve: Curve): Curve => ({
  ...(curve.ribs ? { ribs: otherSide(curve.ribs) } : {}),
  ...(curve.lowBack ? { lowBack: otherSide(curve.lowBack) } : {}),
})

const rank = ({ region }: Cue) => REGIONS.indexOf(region)

/** A cue takes its place from the ground up, after those of its region. */
function inOrder(cues: readonly Cue[], cue: Cue): Cue[] {
  const after = cues.findLastIndex((each) => rank(each) <= rank(cue))
  return cues.toSpliced(after + 1, 0, cue)
}

/** The card with the work of a curve pattern added: cues, caution and props. */
export function withUnevenWork(card: Card, { cues, caution, props }: UnevenWork): Card {
  return {
    ...card,
    alignment: cues.reduce(inOrder, card.alignment),
    cautions: card.cautions.some((each) => each.condition === caution.condition)
      ? card.cautions
      : [...card.cautions, caution],
    setUp: {
      ...card.setUp,
      props: [...card.setUp.props, ...props.filter((prop) => !card.setUp.props.includes(prop))],
    },
  }
}
