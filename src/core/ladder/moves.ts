import { type Card, otherSide, type Side, type Stay } from '../card'
import {
  ANGLES,
  type Contact,
  type Figure,
  indexOf,
  pointIn,
  type Segment,
  solved,
} from '../figure'
import { LADDER } from '../language'
import { HAND } from './demand'
import { motionsOf, NORMS } from './motions'

/** The named moves by which a form is made easier or harder. */
export type MoveName = keyof typeof LADDER.moves
export type Way = 'easier' | 'harder'

/** A form that a move makes of another one, before it is looked at. */
export interface Moved {
  move: MoveName
  way: Way
  name: string
  /** What the teacher says in place of, or after, what the card says; empty for none. */
  words: string
  /** The limb whose placing the words replace. */
  limb?: { side: Side | 'both'; part: 'arm' | 'leg' }
  figure: Figure
  props?: string[]
  stay?: Stay
  eyesClosed?: boolean
}

const SIDES: readonly Side[] = ['left', 'right']
const EITHER: readonly (Side | 'both')[] = ['both', 'left', 'right']
const of = (side: Side | 'both'): readonly Side[] => (side === 'both' ? SIDES : [side])

const get = (figure: Figure, joint: string, name: string): number =>
  figure.angles[joint]?.[name] ?? 0

/** The figure with angles set; each stays within its limits. */
function bend(figure: Figure, angles: Record<string, Record<string, number>>): Figure {
  const next = { ...figure.angles }
  for (const [joint, values] of Object.entries(angles))
    for (const [name, value] of Object.entries(values)) {
      const { min, max } = ANGLES[indexOf(joint, name)]!
      next[joint] = { ...next[joint], [name]: Math.min(max, Math.max(min, value)) }
    }
  return { ...figure, angles: next }
}

const ARM = /^(left|right) (?:palm|hand|back of hand|fist|fingertips|forearm|elbow)$/
const LEG = /^(left|right) (?:sole|toes|heel|top of foot|outer foot|knee|shin|calf|leg|thigh)$/
const FLOORED = /^(?:floor|block|chair|bolster|blanket)/

const armOn = ({ contacts }: Figure, side: Side): Contact | undefined =>
  contacts.find(({ part }) => ARM.exec(part)?.[1] === side)
const standsOn = ({ contacts }: Figure, side: Side): Contact | undefined =>
  contacts.find(({ part, on }) => LEG.exec(part)?.[1] === side && FLOORED.test(on))
const without = (figure: Figure, which: (contact: Contact) => boolean): Figure => ({
  ...figure,
  contacts: figure.contacts.filter((contact) => !which(contact)),
})
const onto = (figure: Figure, parts: readonly string[], on: string): Figure => ({
  ...figure,
  contacts: figure.contacts.map(({ at: _, ...contact }) =>
    parts.includes(contact.part) ? { part: contact.part, on } : contact
  ),
})
const plus = (figure: Figure, ...contacts: Contact[]): Figure => ({
  ...figure,
  contacts: [...figure.contacts, ...contacts],
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

const standing = (figure: Figure) =>
  figure.contacts.some(({ part, on }) => /(?:sole|toes|heel)$/.test(part) && on === 'floor') &&
  Math.abs(get(figure, 'pelvis', 'tilt')) < 35

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

function bendKnees(figure: Figure): Moved[] {
  return EITHER.flatMap((side): Moved[] => {
    const straight = of(side).every(
      (each) =>
        get(figure, `${each}Knee`, 'flexion') < 20 && get(figure, `${each}Hip`, 'flexion') > 40
    )
    if (!straight) return []
    return [
      {
        move: 'bend-knee',
        way: 'easier',
        ...LADDER.moves['bend-knee'](side),
        limb: { side, part: 'leg' },
        figure: bend(
          figure,
          Object.fromEntries(of(side).map((each) => [`${each}Knee`, { flexion: 42 }]))
        ),
      },
    ]
  })
}

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

const TRUNK = ['lowBack', 'ribs'] as const
/** Angles that are told from straight, and how much of them is kept. */
function scaled(figure: Figure, by: number): Figure {
  const part: Record<string, Record<string, number>> = {}
  const set = (joint: string, name: string, from = 0) => {
    const value = get(figure, joint, name)
    if (Math.abs(value - from) > 4)
      part[joint] = { ...part[joint], [name]: from + (value - from) * by }
  }
  for (const joint of [...TRUNK, 'neck'])
    for (const name of ['flexion', 'lateralFlexion', 'rotation']) set(joint, name)
  const motions = motionsOf(solved(figure))
  for (const side of SIDES) {
    const deep = (motion: keyof typeof NORMS) =>
      motions.some(
        (each) =>
          each.motion === motion && each.side === side && each.degrees > 0.5 * NORMS[motion].normal
      )
    // A leg that stands or kneels keeps its bend: it carries.
    const stands = standsOn(figure, side)
    if (deep('straight-leg raise') && get(figure, `${side}Knee`, 'flexion') < 25)
      set(`${side}Hip`, 'flexion', stands ? 20 : 0)
    if (deep('hip extension')) set(`${side}Hip`, 'flexion')
    if (deep('hip opening') && !stands) set(`${side}Hip`, 'abduction')
    if (deep('shoulder extension')) set(`${side}Shoulder`, 'flexion')
  }
  // A trunk that hinged over the legs rises with the hips.
  const hip = Math.max(...SIDES.map((side) => Math.abs(part[`${side}Hip`]?.flexion ?? NaN) || 0))
  const tilt = get(figure, 'pelvis', 'tilt')
  if (hip > 0 && Math.abs(tilt) > 30 && figure.contacts.every(({ part: name }) => !ARM.test(name)))
    part.pelvis = { tilt: tilt * (0.3 + 0.7 * by) }
  return bend(figure, part)
}

const halveRange = (figure: Figure): Moved[] => [
  {
    move: 'halve-range',
    way: 'easier',
    ...LADDER.moves['halve-range'](),
    figure: scaled(figure, 0.5),
  },
]
const further = (figure: Figure): Moved[] => [
  { move: 'further', way: 'harder', ...LADDER.moves.further(), figure: scaled(figure, 1.3) },
]

const twoFeet = (figure: Figure) =>
  SIDES.every((side) =>
    figure.contacts.some(({ part, on }) => part === `${side} sole` && on === 'floor')
  )

function stance(figure: Figure, by: (abduction: number) => number): Figure {
  return bend(
    figure,
    Object.fromEntries(
      SIDES.map((side) => [`${side}Hip`, { abduction: by(get(figure, `${side}Hip`, 'abduction')) }])
    )
  )
}
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

function straightenKnees(figure: Figure): Moved[] {
  return EITHER.flatMap((side): Moved[] => {
    const soft = of(side).every((each) => {
      const knee = get(figure, `${each}Knee`, 'flexion')
      return knee > 12 && knee < 70 && get(figure, `${each}Hip`, 'flexion') > 40
    })
    if (!soft) return []
    return [
      {
        move: 'straighten-knee',
        way: 'harder',
        ...LADDER.moves['straighten-knee'](side),
        limb: { side, part: 'leg' },
        figure: bend(
          figure,
          Object.fromEntries(of(side).map((each) => [`${each}Knee`, { flexion: 3 }]))
        ),
      },
    ]
  })
}

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

/** Every named move, with what it makes of a form; none where it does not fit. */
export const MOVES: readonly ((figure: Figure, card: Card) => Moved[])[] = [
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
