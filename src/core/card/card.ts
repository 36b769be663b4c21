import { z } from 'zod'
import { line, prose } from './wording'
import {
  BASES,
  BASES_OF_CLAIM,
  BREATHS,
  MANNERS,
  ON,
  REGIONS,
  SIDES,
  SPINES,
  VERDICTS,
} from './words'

/**
 * The card: the one thing that is stored. Everything else (the second side, the
 * breath timeline, the verdicts, the printed sheet) is computed from it.
 */

const oneOf = <const T extends readonly [string, ...string[]]>(words: T) =>
  z.enum(words, { error: () => `should be one of: ${words.join(', ')}` })

const seconds = z
  .number({ error: 'should be a number of seconds' })
  .positive({ error: 'should be more than 0 seconds' })
  .max(7200, { error: 'is more than two hours' })
const breathCount = z
  .number({ error: 'should be a number of breaths' })
  .positive({ error: 'should be more than 0 breaths' })
  .max(1000, { error: 'is more than 1,000 breaths' })
const repeats = z
  .int({ error: 'should be a whole number' })
  .min(1, { error: 'should be 1 or more' })
  .max(200, { error: 'is more than 200 repeats' })

/** Names a card in links, files and addresses: small letters, digits and hyphens. */
export const cardId = z
  .string({ error: 'should be a short name such as long-side-angle' })
  .max(80, { error: 'is longer than 80 characters' })
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
    error: 'should be small letters, digits and single hyphens, such as long-side-angle',
  })

const partId = z
  .string({ error: 'should be a short id such as s3' })
  .max(40, { error: 'is longer than 40 characters' })
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
    error: 'should be small letters, digits and single hyphens, such as s3',
  })

export const Breath = oneOf(BREATHS)
export const Side = oneOf(SIDES)
export const On = oneOf(ON)

type Json = z.core.util.JSONType

/** Data with its keys in one order, so that the same data is always the same text. */
function inOrder(value: Json): Json {
  if (Array.isArray(value)) return value.map(inOrder)
  if (value === null || typeof value !== 'object') return value
  const keys = Object.keys(value).sort()
  return Object.fromEntries(keys.map((key) => [key, inOrder(value[key]!)]))
}

const DEEPEST = 12

/** Whether a value is plain data, and not too deep to be a figure. */
function isJson(value: unknown, depth = 0): value is Json {
  if (value === null || typeof value === 'string' || typeof value === 'boolean') return true
  if (typeof value === 'number') return Number.isFinite(value)
  if (typeof value !== 'object' || depth >= DEEPEST) return false
  return Object.values(value).every((each) => isJson(each, depth + 1))
}

/** Joint angles, contacts and props of a drawn form; opaque until it is drawn. */
export const Figure = z
  .record(
    z.string(),
    // Told by one check in place of a schema for each number in it.
    z.unknown().refine((value) => isJson(value), {
      error: 'should be plain data, not more than 12 levels deep',
      abort: true,
    }) as unknown as z.ZodType<Json, Json>
  )
  .overwrite((figure) => inOrder(figure) as typeof figure)

export const Pace = z.strictObject({
  in: seconds,
  out: seconds,
  holdIn: seconds.optional(),
  holdOut: seconds.optional(),
})

export const Stay = z.strictObject({
  breaths: breathCount.optional(),
  seconds: z
    .tuple([seconds, seconds], { error: 'should be two numbers: the least and the most seconds' })
    .refine(([least, most]) => least <= most, { error: 'should give the smaller number first' })
    .optional(),
  repeats: repeats.default(1),
  restBetween: z.strictObject({ breaths: breathCount }).optional(),
  pace: Pace.optional(),
})

export const Step = z.strictObject({
  id: partId,
  text: line(),
  breath: Breath,
  seconds: seconds.optional(),
  repeat: repeats.optional(),
  cycle: z.literal(true, { error: 'should be true, or left out' }).optional(),
  figure: Figure.optional(),
})

export const Measure = z.strictObject({
  name: line(80),
  target: z.number({ error: 'should be a number' }),
  tolerance: z
    .number({ error: 'should be a number' })
    .min(0, { error: 'should not be less than 0' }),
  unit: line(20),
})

export const Cue = z.strictObject({
  id: partId,
  region: oneOf(REGIONS),
  text: line(),
  on: On.default('both'),
  measure: Measure.optional(),
})

export const Mistake = z.strictObject({
  seen: line(),
  why: line().default(''),
  say: line().default(''),
  cue: partId.optional(),
  on: On.default('both'),
})

export const Caution = z.strictObject({
  condition: line(200),
  verdict: oneOf(VERDICTS),
  say: line().default(''),
  rung: partId.optional(),
  reason: line().optional(),
})

export const RungSteps = z.strictObject({
  replace: z
    .array(
      z.strictObject({
        step: partId,
        text: line(),
        breath: Breath.optional(),
        seconds: seconds.optional(),
      })
    )
    .default([]),
  add: z.array(z.strictObject({ after: partId.optional(), step: Step })).default([]),
  omit: z.array(partId).default([]),
})

export const Rung = z.strictObject({
  id: partId,
  name: line(200),
  reference: z.literal(true, { error: 'should be true, or left out' }).optional(),
  props: z.array(line(80)).default([]),
  steps: RungSteps.default({ replace: [], add: [], omit: [] }),
  stay: Stay.optional(),
  figure: Figure.optional(),
  upWhen: z.array(line()).default([]),
  downWhen: z.array(line()).default([]),
})

export const Claim = z.strictObject({
  text: line(),
  basis: oneOf(BASES_OF_CLAIM),
  source: line().optional(),
})

export const Assist = z.strictObject({
  text: line(),
  breath: Breath.optional(),
  on: On.default('both'),
})

export const Names = z.strictObject({
  sanskrit: line(300).default(''),
  common: z.array(line(300)).default([]),
  aliases: z.array(line(300)).default([]),
  meaning: line(1000).default(''),
})

export const SetUp = z.strictObject({
  place: line().default(''),
  props: z.array(line(80)).default([]),
  note: line().default(''),
  figure: Figure.optional(),
})

export const BetweenSides = z.strictObject({
  breaths: breathCount.optional(),
  text: line().default(''),
})

export const When = z.strictObject({
  mealGapHours: z
    .number({ error: 'should be a number of hours' })
    .min(0, { error: 'should not be less than 0' })
    .max(24, { error: 'is more than a day' })
    .optional(),
  timeOfDay: line(200).default(''),
})

export const Card = z.strictObject({
  id: cardId,
  number: line(20).default(''),
  language: line(35)
    .regex(/^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$/, {
      error: 'should be a language code such as en or en-GB',
    })
    .default('en'),
  names: Names.default({ sanskrit: '', common: [], aliases: [], meaning: '' }),
  base: oneOf(BASES),
  spine: oneOf(SPINES),
  manner: oneOf(MANNERS),
  sides: oneOf(['even', 'sided']),
  sideNamedBy: line(80).default(''),
  firstSide: Side.optional(),
  writtenFor: Side.default('right'),
  setUp: SetUp.default({ place: '', props: [], note: '' }),
  enter: z.array(Step).default([]),
  alignment: z.array(Cue).default([]),
  stay: Stay.default({ repeats: 1 }),
  /** The second direction of a twist that has two for each leg position. */
  otherWay: z.array(Step).default([]),
  exit: z.array(Step).default([]),
  betweenSides: BetweenSides.default({ text: '' }),
  mistakes: z.array(Mistake).default([]),
  cautions: z.array(Caution).default([]),
  ladder: z.array(Rung).default([]),
  counter: z.array(cardId).default([]),
  when: When.default({ timeOfDay: '' }),
  effects: z.array(Claim).default([]),
  assists: z.array(Assist).default([]),
  notes: prose().default(''),
})

export type Card = z.infer<typeof Card>
export type Step = z.infer<typeof Step>
export type Cue = z.infer<typeof Cue>
export type Stay = z.infer<typeof Stay>
export type Mistake = z.infer<typeof Mistake>
export type Caution = z.infer<typeof Caution>
export type Rung = z.infer<typeof Rung>
export type Claim = z.infer<typeof Claim>
export type Assist = z.infer<typeof Assist>
export type Pace = z.infer<typeof Pace>
export type Breath = z.infer<typeof Breath>
export type Side = z.infer<typeof Side>
export type On = z.infer<typeof On>
export type Region = Cue['region']
export type Base = Card['base']
export type Spine = Card['spine']
export type Manner = Card['manner']
export type Verdict = Caution['verdict']
