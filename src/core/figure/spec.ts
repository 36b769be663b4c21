import { z } from 'zod'
import { BUILDS } from '../card'
import { ANGLE_INDEX, ANGLES } from './skeleton'
import { LIMBS, PARTS } from './parts'

/** A figure as it is kept on a card: angles, what touches what, props, and how it is seen. */

export const BLOCK_HEIGHTS = ['low', 'middle', 'high'] as const

/** Heights of props, in cm. Common practice, no source. */
export const PROP_HEIGHT: Record<string, number> = {
  'block low': 10,
  'block middle': 15,
  'block high': 23,
  chair: 45,
  bolster: 20,
  blanket: 4,
}

const number = z.number({ error: 'should be a number' }).min(-720).max(720)

/** In statures; a mat is about one long. */
const place = z.number({ error: 'should be a number of statures' }).min(-5).max(5)

const Angles = z.record(z.string(), z.record(z.string(), number)).superRefine((joints, context) => {
  for (const [joint, angles] of Object.entries(joints))
    for (const name of Object.keys(angles))
      if (!ANGLE_INDEX.has(`${joint}.${name}`)) {
        const known = ANGLES.filter((each) => each.joint === joint).map((each) => each.angle)
        context.addIssue({
          code: 'custom',
          path: [joint, name],
          message: known.length
            ? `${joint} has no angle “${name}”; it has ${known.join(', ')}`
            : `there is no joint “${joint}”; the joints are ${[...new Set(ANGLES.map((each) => each.joint))].join(', ')}`,
        })
      }
})

const LIMB_NAMES = Object.keys(LIMBS).flatMap((name) => [`left ${name}`, `right ${name}`])
/** What carries a part beside a limb. */
/** A bolster on a low and a high block: what lies on it is carried higher the farther it is from the hips. */
export const RAMP = 'ramp'

export const SURFACES: readonly string[] = [
  'floor',
  'wall',
  'chair',
  'bolster',
  'blanket',
  'block low',
  'block middle',
  'block high',
  RAMP,
]

/** Everything that a part can touch. */
export const SURFACES_AND_LIMBS: readonly string[] = [...SURFACES, ...LIMB_NAMES]

const Part = z.enum(PARTS as [string, ...string[]], {
  error: () => `should be a part of the body: ${PARTS.join(', ')}`,
})

export const Contact = z.strictObject({
  part: Part,
  /** A surface, or a limb. */
  on: z.enum([...SURFACES, ...LIMB_NAMES] as [string, ...string[]], {
    error: () => `should be one of: ${[...SURFACES, ...LIMB_NAMES].join(', ')}`,
  }),
  /** On a limb: from its first joint (0) to its second (1). */
  along: z.number().min(0).max(1).optional(),
  /** Where the part stays on the floor, in statures: to the left, and to the front. */
  at: z.tuple([place, place]).optional(),
})
export type Contact = z.infer<typeof Contact>

const Strap = z.union([z.tuple([Part, Part]), z.tuple([Part, Part, z.number().min(1).max(400)])], {
  error: 'should be two parts of the body, and the length in cm if it is to hold',
})
export type Strap = z.infer<typeof Strap>

export const Figure = z.strictObject({
  angles: Angles.default({}),
  contacts: z.array(Contact).max(24).default([]),
  /** Where the wall stands, in statures from the middle of the hips at first: behind is less than 0. */
  wall: z.number().min(-3).max(3).optional(),
  /** A strap from one part to another; with a length in cm it holds them no farther apart. */
  straps: z.array(Strap).max(4).default([]),
  /** Turned about the upright axis, and tipped to be seen from above, in degrees. */
  view: z.strictObject({ turn: number, tilt: number.optional() }).optional(),
  body: z
    .strictObject({
      legs: z.number().min(0.8).max(1.2).optional(),
      arms: z.number().min(0.8).max(1.2).optional(),
      trunk: z.number().min(0.8).max(1.2).optional(),
      build: z.enum(BUILDS, { error: () => `should be one of: ${BUILDS.join(', ')}` }).optional(),
    })
    .optional(),
})
export type Figure = z.infer<typeof Figure>
export type FigureInput = z.input<typeof Figure>

/** Whether a surface is of a prop: a block of any height; a ramp is a bolster on blocks. */
export const isOfProp = (on: string, prop: string): boolean =>
  on === prop ||
  on.startsWith(`${prop} `) ||
  (on === RAMP && (prop === 'bolster' || prop === 'block'))

/** Whether a figure shows a prop: something rests on it, or a strap is held. */
export const showsProp = ({ contacts, straps }: Figure, prop: string): boolean =>
  prop === 'strap' ? straps.length > 0 : contacts.some(({ on }) => isOfProp(on, prop))

const swap = (words: string): string =>
  words.startsWith('left')
    ? `right${words.slice(4)}`
    : words.startsWith('right')
      ? `left${words.slice(5)}`
      : words

/** The name of a part, a mark or a measure, for the other side: `left hip over knee`. */
export const acrossWords = (words: string): string =>
  words.replace(/\b(left|right)\b/g, (word) => (word === 'left' ? 'right' : 'left'))

const FLIPS = new Set(
  ANGLES.filter((each) => each.flips).map((each) => `${each.joint}.${each.angle}`)
)

/** The figure seen in a mirror: what the left did the right does. */
export function mirroredFigure(figure: Figure): Figure {
  return {
    ...figure,
    angles: Object.fromEntries(
      Object.entries(figure.angles).map(([joint, angles]) => [
        swap(joint),
        Object.fromEntries(
          Object.entries(angles).map(([name, value]) => [
            name,
            FLIPS.has(`${joint}.${name}`) ? 0 - value : value,
          ])
        ),
      ])
    ),
    contacts: figure.contacts.map((contact) => ({
      ...contact,
      part: swap(contact.part),
      on: swap(contact.on),
      ...(contact.at ? { at: [0 - contact.at[0], contact.at[1]] as [number, number] } : {}),
    })),
    straps: figure.straps.map(
      ([from, to, ...long]) => [swap(from), swap(to), ...long] as Figure['straps'][number]
    ),
    ...(figure.view ? { view: { ...figure.view, turn: 0 - figure.view.turn } } : {}),
  }
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * A rung's figure as it is kept: only what differs from the reference form.
 * @returns a figure that `overReference` makes whole again
 */
export function differenceFrom(reference: Figure, figure: Figure): FigureInput {
  const angles: Figure['angles'] = {}
  for (const joint of new Set([...Object.keys(reference.angles), ...Object.keys(figure.angles)])) {
    const [before, now] = [reference.angles[joint] ?? {}, figure.angles[joint] ?? {}]
    for (const name of new Set([...Object.keys(before), ...Object.keys(now)]))
      if ((before[name] ?? 0) !== (now[name] ?? 0))
        angles[joint] = { ...angles[joint], [name]: now[name] ?? 0 }
  }
  return {
    ...(Object.keys(angles).length ? { angles } : {}),
    ...(same(reference.contacts, figure.contacts) ? {} : { contacts: figure.contacts }),
    ...(same(reference.straps, figure.straps) ? {} : { straps: figure.straps }),
    ...(figure.wall === undefined || figure.wall === reference.wall ? {} : { wall: figure.wall }),
    ...(!figure.view || same(reference.view, figure.view) ? {} : { view: figure.view }),
    ...(!figure.body || same(reference.body, figure.body) ? {} : { body: figure.body }),
  }
}

/** A rung's figure made whole: what it does not tell is as in the reference form. */
export function overReference(reference: Figure, difference: FigureInput): FigureInput {
  const angles = { ...reference.angles }
  for (const [joint, values] of Object.entries(difference.angles ?? {}))
    angles[joint] = { ...angles[joint], ...values }
  return { ...reference, ...difference, angles }
}

/** What a figure's data says that cannot be used; null when it is good. */
export function readFigure(
  data: unknown
): { figure: Figure; problem: null } | { figure: null; problem: string } {
  const read = Figure.safeParse(data)
  if (read.success) return { figure: read.data, problem: null }
  const issue = read.error.issues[0]!
  return { figure: null, problem: `${issue.path.join('.') || 'the figure'}: ${issue.message}` }
}
