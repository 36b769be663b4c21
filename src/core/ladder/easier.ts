import { type Card, otherSide, type Side } from '../card'
import { type Contact, type Figure, pointIn, type Segment, solved } from '../figure'
import { LADDER } from '../language'
import { HAND } from './demand'
import {
  ARM,
  armOn,
  bend,
  EITHER,
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

const onto = (figure: Figure, parts: readonly string[], on: string): Figure => ({
  ...figure,
  contacts: figure.contacts.map(({ at: _, ...contact }) =>
    parts.includes(contact.part) ? { part: contact.part, on } : contact
  ),
})

/** Where a part of the body is when nothing holds it, in statures from the middle of the hips. */
function ahead(figure: Figure, segment: Segment): number {
  const { placed, pose } = solved(figure)
  return pointIn(placed, segment, [0, -0.09, 0])[2] - pose.root[2]
}

/** The weight comes off hands that stand higher: the trunk rises with them. */
function raiseHands(figure: Figure): Moved[] {
  return EITHER.flatMap((side) => {
    const held = of(side).map((each) => armOn(figure, each))
    if (held.some((each) => !each || each.on !== 'floor')) return []
    // One of two hands alone would not be level.
    if (side !== 'both' && SIDES.every((each) => armOn(figure, each)?.on === 'floor')) return []
    return ['block low', 'block high', 'chair'].map((on): Moved => {
      const tilt = get(figure, 'pelvis', 'tilt')
      const rises = { 'block low': 6, 'block high': 12, chair: 25 }[on]!
      const raised = tilt > 30 ? bend(figure, { pelvis: { tilt: tilt - rises } }) : figure
      return {
        move: 'raise-hand',
        way: 'easier',
        ...LADDER.moves['raise-hand'](side, on),
        limb: { side, part: 'arm' },
        figure: onto(
          raised,
          held.map((each) => each!.part),
          on
        ),
        props: [on.split(' ')[0]!],
      }
    })
  })
}

/** A plank becomes a lean on the wall, a dog a right angle at the wall. */
function handsToWall(figure: Figure): Moved[] {
  const palms = SIDES.map((side) => armOn(figure, side))
  if (palms.some((each) => !each || each.on !== 'floor' || !HAND.test(each.part))) return []
  if (!SIDES.every((side) => LEG.test(standsOn(figure, side)?.part ?? ''))) return []
  const plank = Math.abs(get(figure, 'leftHip', 'flexion')) < 35
  const knees = figure.contacts.some(({ part }) => /knee|shin/.test(part))
  const stood: Figure = {
    ...figure,
    contacts: [
      ...SIDES.map((side): Contact => ({ part: `${side} palm`, on: 'wall' })),
      ...SIDES.map((side): Contact => ({ part: `${side} sole`, on: 'floor' })),
    ],
  }
  const legs = (hip: number) =>
    Object.fromEntries(
      SIDES.flatMap((side) => [
        [`${side}Hip`, { flexion: hip, abduction: get(figure, `${side}Hip`, 'abduction') }],
        [`${side}Knee`, { flexion: plank || knees ? 2 : get(figure, `${side}Knee`, 'flexion') }],
        [`${side}Ankle`, { dorsiflexion: plank ? 22 : 0 }],
        [`${side}Toes`, { extension: 0 }],
      ])
    )
  const leaning = plank
    ? bend(stood, { pelvis: { tilt: 22 }, ...legs(0) })
    : bend(stood, { pelvis: { tilt: 88 }, ...legs(88) })
  const wall = ahead({ ...leaning, contacts: leaning.contacts.slice(2) }, 'leftHand')
  return [
    {
      move: 'hands-to-wall',
      way: 'easier',
      ...LADDER.moves['hands-to-wall'](),
      limb: { side: 'both', part: 'arm' },
      figure: { ...leaning, wall: Math.round(wall * 1000) / 1000 },
      props: ['wall'],
    },
  ]
}

/** A free hand steadies on a wall in front. */
function fingersToWall(figure: Figure): Moved[] {
  if (!standing(figure) || figure.wall !== undefined) return []
  return EITHER.flatMap((side): Moved[] => {
    if (of(side).some((each) => armOn(figure, each))) return []
    const reaching = bend(
      figure,
      Object.fromEntries(
        of(side).flatMap((each) => [
          [`${each}Shoulder`, { flexion: 85, abduction: 0, rotation: 0 }],
          [`${each}Elbow`, { flexion: 15 }],
          [`${each}Wrist`, { flexion: 0 }],
          [`${each}Forearm`, { pronation: 90 }],
        ])
      )
    )
    const wall = ahead(reaching, `${of(side)[0]!}Hand` as Segment)
    return [
      {
        move: 'fingers-to-wall',
        way: 'easier',
        ...LADDER.moves['fingers-to-wall'](side),
        limb: { side, part: 'arm' },
        figure: {
          ...plus(
            reaching,
            ...of(side).map((each) => ({ part: `${each} fingertips`, on: 'wall' }))
          ),
          wall: Math.round(wall * 1000) / 1000,
        },
        props: ['wall'],
      },
    ]
  })
}

function backToWall(figure: Figure): Moved[] {
  if (!standing(figure) || figure.wall !== undefined) return []
  if (Math.abs(get(figure, 'ribs', 'flexion')) > 8) return []
  return [
    {
      move: 'back-to-wall',
      way: 'easier',
      ...LADDER.moves['back-to-wall'](),
      figure: { ...plus(figure, { part: 'pelvis', on: 'wall' }), wall: -0.075 },
      props: ['wall'],
    },
  ]
}

/** A foot that is lifted rests on a chair. */
function raiseFoot(figure: Figure): Moved[] {
  if (!standing(figure)) return []
  return SIDES.flatMap((side): Moved[] => {
    const across = otherSide(side)
    if (figure.contacts.some(({ part }) => part.startsWith(`${side} `) && LEG.test(part))) return []
    if (!standsOn(figure, across) || get(figure, `${side}Hip`, 'flexion') < 30) return []
    return [
      {
        move: 'raise-foot',
        way: 'easier',
        ...LADDER.moves['raise-foot'](side, 'chair'),
        limb: { side, part: 'leg' },
        figure: plus(figure, { part: `${side} heel`, on: 'chair' }),
        props: ['chair'],
      },
    ]
  })
}

const bendKnees = knees('bend-knee', 'easier', 42, (bent) => bent < 20)

/** Of a plank both knees, of a lunge the one behind. */
function kneeDown(figure: Figure): Moved[] {
  return EITHER.flatMap((side): Moved[] => {
    const back = of(side).every((each) => {
      const on = standsOn(figure, each)
      return (
        on &&
        /toes|sole/.test(on.part) &&
        on.on === 'floor' &&
        get(figure, `${each}Hip`, 'flexion') < 25
      )
    })
    if (!back) return []
    const hands = SIDES.every((each) => armOn(figure, each)?.on === 'floor')
    const lunging = side !== 'both' && get(figure, `${otherSide(side)}Knee`, 'flexion') > 40
    if (side === 'both' ? !hands : !lunging) return []
    const lowered = without(figure, ({ part }) =>
      of(side).some((each) => new RegExp(`^${each} (?:sole|toes|heel)$`).test(part))
    )
    const bentBack = bend(lowered, {
      ...(side === 'both' ? { pelvis: { tilt: get(figure, 'pelvis', 'tilt') - 10 } } : {}),
      ...Object.fromEntries(
        of(side).flatMap((each) => [
          [`${each}Knee`, { flexion: side === 'both' ? 65 : 70 }],
          [`${each}Hip`, { flexion: side === 'both' ? 0 : -12 }],
          [`${each}Ankle`, { dorsiflexion: side === 'both' ? -30 : -45 }],
          [`${each}Toes`, { extension: 0 }],
        ])
      ),
    })
    return [
      {
        move: 'knee-down',
        way: 'easier',
        ...LADDER.moves['knee-down'](side),
        limb: { side, part: 'leg' },
        figure: plus(
          bentBack,
          ...of(side).flatMap((each): Contact[] =>
            side === 'both'
              ? [{ part: `${each} knee`, on: 'floor' }]
              : [{ part: `${each} shin`, on: 'floor' }]
          )
        ),
      },
    ]
  })
}

const halveRange = (figure: Figure): Moved[] => [
  {
    move: 'halve-range',
    way: 'easier',
    ...LADDER.moves['halve-range'](),
    figure: scaled(figure, 0.5),
  },
]

const widenStance = (figure: Figure): Moved[] =>
  twoFeet(figure)
    ? [
        {
          move: 'widen-stance',
          way: 'easier',
          ...LADDER.moves['widen-stance'](),
          limb: { side: 'both', part: 'leg' },
          figure: stance(figure, (now) => now + 9),
        },
      ]
    : []

function lieDown(figure: Figure, card: Card): Moved[] {
  if (!['standing', 'kneeling', 'seated'].includes(card.base)) return []
  if (get(figure, 'ribs', 'flexion') < -5) return []
  const lying: Figure = {
    ...figure,
    contacts: [
      { part: 'back', on: 'floor' },
      { part: 'head', on: 'floor' },
      ...SIDES.filter((side) => Math.abs(get(figure, `${side}Hip`, 'flexion')) < 15).map(
        (side): Contact => ({ part: `${side} leg`, on: 'floor' })
      ),
    ],
  }
  delete lying.wall
  return [
    {
      move: 'lie-down',
      way: 'easier',
      ...LADDER.moves['lie-down'](),
      figure: bend(lying, {
        pelvis: { tilt: -90, lean: 0, turn: 0 },
        lowBack: { flexion: 0 },
        ribs: { flexion: 0 },
        neck: { flexion: 4 },
        ...Object.fromEntries(SIDES.map((side) => [`${side}Ankle`, { dorsiflexion: 0 }])),
      }),
    },
  ]
}

/** A hand that holds a foot holds a strap instead, and the leg comes less near. */
function strap(figure: Figure): Moved[] {
  const holds = SIDES.flatMap((side) => {
    const contact = armOn(figure, side)
    const held = contact && /^(left|right) (?:foot|shin|toes|ankle)/.exec(contact.on)?.[1]
    return held ? [{ hand: side, foot: held as Side }] : []
  })
  if (holds.length === 0) return []
  const legs = [...new Set(holds.map(({ foot }) => foot))]
  const freed = without(figure, ({ part }) =>
    holds.some(({ hand }) => part.startsWith(`${hand} `) && ARM.test(part))
  )
  return [
    {
      move: 'strap',
      way: 'easier',
      ...LADDER.moves.strap(legs.length > 1 ? 'both' : legs[0]!),
      limb: { side: holds.length > 1 ? 'both' : holds[0]!.hand, part: 'arm' },
      figure: {
        ...bend(freed, {
          ...Object.fromEntries(
            legs.map((side) => [
              `${side}Hip`,
              { flexion: get(figure, `${side}Hip`, 'flexion') - 18 },
            ])
          ),
          ...(get(figure, 'pelvis', 'tilt') > 15
            ? { pelvis: { tilt: get(figure, 'pelvis', 'tilt') - 18 } }
            : {}),
        }),
        straps: [
          ...figure.straps,
          ...holds.map(({ hand, foot }): Figure['straps'][number] => [
            `${hand} hand`,
            `${foot} sole`,
          ]),
        ],
      },
      props: ['strap'],
    },
  ]
}

/** Moves that make a form easier, none where they do not fit, the first ones first. */
export const EASIER: readonly Move[] = [
  raiseHands,
  handsToWall,
  fingersToWall,
  backToWall,
  raiseFoot,
  bendKnees,
  kneeDown,
  halveRange,
  widenStance,
  lieDown,
  strap,
]
