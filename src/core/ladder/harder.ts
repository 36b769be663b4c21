import { type Card, otherSide, type Stay } from '../card'
import type { Figure } from '../figure'
import { LADDER } from '../language'
import {
  ARM,
  armOn,
  bend,
  EITHER,
  FLOORED,
  get,
  knees,
  LEG,
  type Move,
  type Moved,
  of,
  plus,
  scaled,
  SIDES,
  stance,
  standing,
  standsOn,
  twoFeet,
  without,
} from './moved'

const straightenKnees = knees('straighten-knee', 'harder', 3, (bent) => bent > 12 && bent < 70)

function lowerHand(figure: Figure): Moved[] {
  return SIDES.flatMap((side): Moved[] => {
    const contact = armOn(figure, side)
    if (!contact || contact.on === 'floor' || contact.on === 'wall') return []
    const part = `${side} fingertips`
    return [
      {
        move: 'lower-hand',
        way: 'harder',
        ...LADDER.moves['lower-hand'](side),
        limb: { side, part: 'arm' },
        figure: plus(
          bend(
            without(figure, (each) => each === contact),
            {
              [`${side}Elbow`]: { flexion: 4 },
              [`${side}Wrist`]: { flexion: 0 },
            }
          ),
          { part, on: 'floor' }
        ),
      },
    ]
  })
}

function liftHand(figure: Figure): Moved[] {
  return EITHER.flatMap((side): Moved[] => {
    const held = of(side).map((each) => armOn(figure, each))
    if (held.some((each) => !each)) return []
    return [
      {
        move: 'lift-hand',
        way: 'harder',
        ...LADDER.moves['lift-hand'](side),
        limb: { side, part: 'arm' },
        figure: without(figure, (contact) => held.includes(contact)),
      },
    ]
  })
}

function liftFoot(figure: Figure): Moved[] {
  return SIDES.flatMap((side): Moved[] => {
    const across = otherSide(side)
    if (!standsOn(figure, side) || !standsOn(figure, across)) return []
    const seated = figure.contacts.some(({ part }) => /sit bone|back|shoulders/.test(part))
    const hip = get(figure, `${side}Hip`, 'flexion')
    return [
      {
        move: 'lift-foot',
        way: 'harder',
        ...LADDER.moves['lift-foot'](side),
        limb: { side, part: 'leg' },
        figure: bend(
          without(figure, ({ part }) => LEG.exec(part)?.[1] === side),
          standing(figure) && !seated
            ? { [`${side}Hip`]: { flexion: Math.max(70, hip) }, [`${side}Knee`]: { flexion: 80 } }
            : { [`${side}Hip`]: { flexion: hip + (hip < 20 ? -10 : 8) } }
        ),
      },
    ]
  })
}

function armsUp(figure: Figure): Moved[] {
  if (!standing(figure) && !figure.contacts.some(({ part }) => /shin|knee|sit bone/.test(part)))
    return []
  if (Math.abs(get(figure, 'pelvis', 'tilt')) > 35) return []
  const low = SIDES.every(
    (side) =>
      !FLOORED.test(armOn(figure, side)?.on ?? '') &&
      Math.hypot(
        get(figure, `${side}Shoulder`, 'flexion'),
        get(figure, `${side}Shoulder`, 'abduction')
      ) < 120
  )
  if (!low) return []
  return [
    {
      move: 'arms-up',
      way: 'harder',
      ...LADDER.moves['arms-up'](),
      limb: { side: 'both', part: 'arm' },
      figure: bend(
        without(figure, ({ part }) => ARM.test(part)),
        Object.fromEntries(
          SIDES.flatMap((side) => [
            [`${side}Shoulder`, { flexion: 172, abduction: 8, rotation: 0 }],
            [`${side}Elbow`, { flexion: 4 }],
            [`${side}Girdle`, { elevation: 12 }],
          ])
        )
      ),
    },
  ]
}

function bind(figure: Figure): Moved[] {
  if (SIDES.some((side) => FLOORED.test(armOn(figure, side)?.on ?? ''))) return []
  if (figure.contacts.some(({ part }) => part === 'back' || part === 'head')) return []
  return [
    {
      move: 'bind',
      way: 'harder',
      ...LADDER.moves.bind(),
      limb: { side: 'both', part: 'arm' },
      figure: plus(
        bend(
          without(figure, ({ part }) => ARM.test(part)),
          Object.fromEntries(
            SIDES.flatMap((side) => [
              [`${side}Shoulder`, { flexion: -48, abduction: 4, rotation: -30 }],
              [`${side}Elbow`, { flexion: 25 }],
              [`${side}Forearm`, { pronation: 60 }],
              [`${side}Girdle`, { elevation: 0, retraction: 18 }],
            ])
          )
        ),
        { part: 'left hand', on: 'right hand' }
      ),
    },
  ]
}

const feetTogether = (figure: Figure): Moved[] =>
  twoFeet(figure) && SIDES.every((side) => get(figure, `${side}Hip`, 'abduction') > -1)
    ? [
        {
          move: 'feet-together',
          way: 'harder',
          ...LADDER.moves['feet-together'](),
          limb: { side: 'both', part: 'leg' },
          figure: stance(figure, () => -3),
        },
      ]
    : []

const further = (figure: Figure): Moved[] => [
  { move: 'further', way: 'harder', ...LADDER.moves.further(), figure: scaled(figure, 1.3) },
]

/** A count that is longer by more than half. */
function longerStay(figure: Figure, card: Card): Moved[] {
  const { breaths, seconds } = card.stay
  const times = 1.6
  const stay: Stay | null =
    breaths !== undefined
      ? { repeats: card.stay.repeats, breaths: Math.round(breaths * times) }
      : seconds
        ? {
            repeats: card.stay.repeats,
            seconds: [Math.round(seconds[0] * times), Math.round(seconds[1] * times)],
          }
        : card.manner === 'moving'
          ? { repeats: Math.ceil(card.stay.repeats * times) }
          : null
  if (!stay) return []
  return [
    {
      move: 'longer-stay',
      way: 'harder',
      ...LADDER.moves['longer-stay'](),
      figure,
      stay,
    },
  ]
}

function eyesClosed(figure: Figure): Moved[] {
  if (!standing(figure)) return []
  return [
    {
      move: 'eyes-closed',
      way: 'harder',
      ...LADDER.moves['eyes-closed'](),
      figure,
      eyesClosed: true,
    },
  ]
}

/** Moves that make a form harder, none where they do not fit, the first ones first. */
export const HARDER: readonly Move[] = [
  straightenKnees,
  lowerHand,
  liftHand,
  liftFoot,
  armsUp,
  bind,
  feetTogether,
  further,
  longerStay,
  eyesClosed,
]
