import {
  type Card,
  type Found,
  type Pace,
  partsOf,
  type Rule,
  type School,
  type Stay,
  stepsOf,
  usualRule,
  valueAt,
  type Want,
} from '../card'
import { LABELS, SAY } from '../language'
import { repeatsOf, staySecondsOnce } from './dose'
import { paceOf } from './phase'

/**
 * How long a held form is stayed in at most, in seconds, by what carries it: a kneeling seat is
 * sat in for ten minutes, a shoulder stand for three. Common practice, no source.
 */
const HELD_MOST: Record<Card['base'], number> = {
  standing: 180,
  hands: 180,
  prone: 300,
  inverted: 300,
  'side-lying': 600,
  kneeling: 600,
  seated: 600,
  supine: 600,
}
/** A spine that is bent or turned is held for a few minutes at most. */
const BENT_MOST = 300
/** A restorative form is stayed in for minutes; in seconds. */
const RESTORATIVE = { least: 60, most: 1800 }
/** A moving card is done 5 to 10 times, a hold once or a few times. */
const REPEATS_MOST = { moving: 20, held: 10, restorative: 3 }
/** Nobody breathes in, or out, for longer in a class; and a hold takes up to 8 s. In seconds. */
const PHASE_MOST = 12
/** One or two breaths are usual between the sides. */
const BETWEEN_MOST = 6

const isStay: Want = ({ of }) => of === 'stay'

/** The stays of a card and of its rungs, each with where it stands. */
const staysOf = (card: Card): { where: string; stay: Stay }[] =>
  [...new Set(partsOf(card, isStay).map(({ owners }) => owners[0]!.path))].map((where) => ({
    where,
    stay: valueAt(card, where) as Stay,
  }))

function stayed({ base, spine, manner }: Card, stay: Stay, pace: Pace): string | null {
  const say = SAY.breath.dose
  const repeats = repeatsOf(stay)
  if (repeats > REPEATS_MOST[manner])
    return say.often(repeats, LABELS.manner[manner], REPEATS_MOST[manner])
  const seconds = staySecondsOnce(stay, stay.pace ?? pace)
  const [least, most] =
    manner === 'restorative'
      ? [RESTORATIVE.least, RESTORATIVE.most]
      : [0, spine === 'lengthen' ? HELD_MOST[base] : Math.min(HELD_MOST[base], BENT_MOST)]
  const told = LABELS.duration(seconds)
  if (seconds > most) return say.long(told, LABELS.duration(most))
  if (seconds > 0 && seconds < least) return say.short(told)
  return null
}

/** Counts and times far from what is practised: a slip of the hand, or meant and worth a word. */
function farFromUsual(card: Card, school: School): Found[] {
  const say = SAY.breath.dose
  const pace = paceOf(card, school)
  const stays = staysOf(card).flatMap(({ where, stay }): Found[] => {
    const message = stayed(card, stay, pace)
    return message ? [{ where, message }] : []
  })
  const steps = stepsOf(card).flatMap(({ path, step }): Found[] => {
    if (step.breath !== 'free' && step.seconds !== undefined && step.seconds > PHASE_MOST)
      return [
        {
          where: `${path}.seconds`,
          message: say.phase(LABELS.duration(step.seconds), PHASE_MOST),
        },
      ]
    const most = REPEATS_MOST.moving
    return (step.repeat ?? 1) > most
      ? [
          {
            where: `${path}.repeat`,
            message: say.often(step.repeat!, LABELS.manner.moving, most),
          },
        ]
      : []
  })
  const { breaths } = card.betweenSides
  const between =
    breaths !== undefined && breaths > BETWEEN_MOST
      ? [{ where: 'betweenSides.breaths', message: say.between(breaths) }]
      : []
  return [...stays, ...steps, ...between]
}

/** The rules about how much is asked: counts and times. */
export const doseRules: readonly Rule[] = [usualRule('breath/usual-dose', 'note', farFromUsual)]
