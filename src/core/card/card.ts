import { z } from 'zod'
import { LIMITS } from './limits'
import { marked, type StepsMark } from './marks'
import type { Owner } from './parts'
import { line, prose } from './wording'
import {
  BASES,
  BASES_OF_CLAIM,
  BREATHS,
  MANNERS,
  ON,
  MARK_KINDS,
  REGIONS,
  SIDES,
  SPINES,
  TRAIT_NAMES,
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

const shortId = () =>
  z
    .string({ error: 'should be a short id such as s3' })
    .max(40, { error: 'is longer than 40 characters' })
    .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
      error: 'should be small letters, digits and single hyphens, such as s3',
    })
const partId = marked(shortId(), { kind: 'id', unread: true })
const linkTo = (to: 'step' | 'cue' | 'rung') => marked(shortId(), { kind: 'link', to })

/** A part of a card, with the name of what it is. */
const part = <T extends z.core.$ZodLooseShape>(owner: Owner, shape: T) =>
  marked(z.strictObject(shape), { owner })
const steps = (mark: StepsMark) => marked(z.array(Step).default([]), { steps: mark })

/** A line that is mirrored for the other side. */
const sidedLine = (max?: number) => marked(line(max), { sided: true })
/** A line that the teacher says, in a breath of its own or beside the breath. */
const saidLine = (spoken: 'breath' | 'free') => marked(line(), { sided: true, spoken })

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

/** Whether a value is plain data, and not too deep to be a figure. */
function isJson(value: unknown, depth = 0): value is Json {
  if (value === null || typeof value === 'string' || typeof value === 'boolean') return true
  if (typeof value === 'number') return Number.isFinite(value)
  if (typeof value !== 'object' || depth >= LIMITS.figureDepth) return false
  return Object.values(value).every((each) => isJson(each, depth + 1))
}

/** Joint angles, contacts and props of a drawn form; opaque until it is drawn. */
export const Figure = z
  .record(
    z.string(),
    // Told by one check in place of a schema for each number in it.
    z.unknown().refine((value) => isJson(value), {
      error: `should be plain data, not more than ${LIMITS.figureDepth} levels deep`,
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

const atLeast = (least: unknown, most: unknown) =>
  typeof least !== 'number' || typeof most !== 'number' || most > least

export const Stay = part('stay', {
  breaths: breathCount.optional(),
  /** With `breaths`, a range: 8 to 10 breaths. */
  breathsMost: breathCount.optional(),
  seconds: z
    .tuple([seconds, seconds], { error: 'should be two numbers: the least and the most seconds' })
    .refine(([least, most]) => least <= most, { error: 'should give the smaller number first' })
    .optional(),
  repeats: repeats.default(1),
  /** With `repeats`, a range: 3 to 5 times. */
  repeatsMost: repeats.optional(),
  restBetween: z.strictObject({ breaths: breathCount }).optional(),
  pace: Pace.optional(),
})
  .refine(({ breaths, breathsMost }) => breathsMost === undefined || breaths !== undefined, {
    error: 'should come with `breaths`, the smaller number',
    path: ['breathsMost'],
  })
  .refine(({ breaths, breathsMost }) => atLeast(breaths, breathsMost), {
    error: 'should be more than `breaths`',
    path: ['breathsMost'],
  })
  .refine(({ repeats, repeatsMost }) => atLeast(repeats, repeatsMost), {
    error: 'should be more than `repeats`',
    path: ['repeatsMost'],
  })

export const Step = part('step', {
  id: partId,
  text: saidLine('breath'),
  breath: Breath,
  seconds: seconds.optional(),
  repeat: repeats.optional(),
  /** With `repeat`, a range: 8 to 10 times. */
  repeatMost: repeats.optional(),
  cycle: z.literal(true, { error: 'should be true, or left out' }).optional(),
  figure: Figure.optional(),
}).refine(({ repeat = 200, repeatMost }) => atLeast(repeat, repeatMost), {
  error: 'should come with `repeat`, and be more',
  path: ['repeatMost'],
})

export const Measure = part('measure', {
  name: line(80),
  target: z.number({ error: 'should be a number' }),
  tolerance: z
    .number({ error: 'should be a number' })
    .min(0, { error: 'should not be less than 0' }),
  unit: line(20),
})

/** What is drawn on the figure for a cue: `press front foot`, `turn ribs left`. */
export const CueMark = part('mark', {
  kind: oneOf(MARK_KINDS),
  part: line(40),
  way: line(20).optional(),
})

export const Cue = part('cue', {
  id: partId,
  region: oneOf(REGIONS),
  text: saidLine('free'),
  on: On.default('both'),
  measure: Measure.optional(),
  mark: CueMark.optional(),
})

export const Mistake = part('mistake', {
  seen: sidedLine(),
  why: sidedLine().default(''),
  say: saidLine('free').default(''),
  cue: linkTo('cue').optional(),
  on: On.default('both'),
})

export const Caution = part('caution', {
  condition: line(200),
  verdict: oneOf(VERDICTS),
  say: saidLine('free').default(''),
  rung: linkTo('rung').optional(),
  /** Where a person goes who may not do this card: another card. */
  instead: marked(cardId.clone(), { kind: 'link', to: 'card' }).optional(),
  reason: line().optional(),
  /** What is usual, as it was when the reason was given; when it changes, the reason is looked at again. */
  over: line(400).optional(),
})

/** A trait that is set by hand, where no figure tells it: of one rung, or of all that none tells. */
export const TraitSet = part('trait', {
  trait: oneOf(TRAIT_NAMES),
  value: z
    .number({ error: 'should be a number' })
    .min(0, { error: 'should not be less than 0' })
    .max(1000, { error: 'is more than 1,000' }),
  rung: linkTo('rung').optional(),
})

export const RungSteps = z.strictObject({
  replace: z
    .array(
      part('instead', {
        step: linkTo('step'),
        text: saidLine('breath'),
        breath: Breath.optional(),
        seconds: seconds.optional(),
      })
    )
    .default([]),
  add: z.array(part('added', { after: linkTo('step').optional(), step: Step })).default([]),
  omit: z.array(linkTo('step')).default([]),
})

/** What a rung says of the alignment besides the card: other words, more cues, cues left out. */
export const RungCues = z.strictObject({
  replace: z.array(part('insteadCue', { cue: linkTo('cue'), text: saidLine('free') })).default([]),
  add: z.array(Cue).default([]),
  omit: z.array(linkTo('cue')).default([]),
})

export const Rung = part('rung', {
  id: partId,
  name: sidedLine(200),
  reference: z.literal(true, { error: 'should be true, or left out' }).optional(),
  /** A form that stands beside the ladder, such as a restorative one: it is no step of the climb. */
  beside: z.literal(true, { error: 'should be true, or left out' }).optional(),
  props: z.array(line(80)).default([]),
  steps: RungSteps.default({ replace: [], add: [], omit: [] }),
  cues: RungCues.optional(),
  stay: Stay.optional(),
  figure: Figure.optional(),
  upWhen: z.array(sidedLine()).default([]),
  downWhen: z.array(sidedLine()).default([]),
})

export const Claim = part('claim', {
  text: line(),
  basis: oneOf(BASES_OF_CLAIM),
  source: line().optional(),
})

export const Assist = part('assist', {
  text: sidedLine(),
  /** How the teacher stands before touching. */
  stance: sidedLine().default(''),
  breath: Breath.optional(),
  on: On.default('both'),
})

export const Names = part('names', {
  sanskrit: line(300).default(''),
  common: z.array(line(300)).default([]),
  aliases: z.array(line(300)).default([]),
  meaning: line(1000).default(''),
})

export const SetUp = part('setUp', {
  place: sidedLine().default(''),
  props: z.array(line(80)).default([]),
  note: saidLine('free').default(''),
  figure: Figure.optional(),
})

export const BetweenSides = part('between', {
  breaths: breathCount.optional(),
  text: saidLine('free').default(''),
})

export const When = part('when', {
  mealGapHours: z
    .number({ error: 'should be a number of hours' })
    .min(0, { error: 'should not be less than 0' })
    .max(24, { error: 'is more than a day' })
    .optional(),
  timeOfDay: line(200).default(''),
})

export const Card = part('card', {
  id: marked(cardId.clone(), { kind: 'id', unread: true }),
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
  writtenFor: marked(Side.default('right'), { unread: true }),
  setUp: SetUp.default({ place: '', props: [], note: '' }),
  enter: steps({ prefix: 's', heading: 'Coming in', stays: true }),
  alignment: z.array(Cue).default([]),
  stay: Stay.default({ repeats: 1 }),
  /** The second direction of a twist that has two for each leg position. */
  otherWay: steps({ prefix: 'w', heading: 'The other way', stays: true }),
  exit: steps({ prefix: 'x', heading: 'Coming out' }),
  betweenSides: BetweenSides.default({ text: '' }),
  mistakes: z.array(Mistake).default([]),
  cautions: z.array(Caution).default([]),
  /** What the form asks, set by hand where no figure tells it. */
  traits: z.array(TraitSet).default([]),
  ladder: z.array(Rung).default([]),
  counter: z.array(marked(cardId.clone(), { kind: 'link', to: 'card' })).default([]),
  when: When.default({ timeOfDay: '' }),
  effects: z.array(Claim).default([]),
  assists: z.array(Assist).default([]),
  notes: prose().default(''),
})

export type Card = z.infer<typeof Card>
export type Step = z.infer<typeof Step>
export type Cue = z.infer<typeof Cue>
export type CueMark = z.infer<typeof CueMark>
export type Stay = z.infer<typeof Stay>
export type Mistake = z.infer<typeof Mistake>
export type Caution = z.infer<typeof Caution>
export type TraitSet = z.infer<typeof TraitSet>
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
