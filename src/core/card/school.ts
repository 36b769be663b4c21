import { z } from 'zod'
import { Pace, Side } from './card'
import { line, prose } from './wording'
import { SCHOOL_DEFAULTS } from './defaultSchool'
import {
  BASES_OF_RULE,
  BUILDS,
  DEMANDED,
  SEVERITIES,
  TRAIT_NAMES,
  TURNS_OF_BUILDS,
  VERDICTS,
} from './words'

const shortName = z
  .string()
  .max(120, { error: 'is longer than 120 characters' })
  .regex(/^[a-z0-9]+([-/.][a-z0-9]+)*$/, {
    error: 'should be small letters, digits and hyphens, such as long-covid',
  })

/** A condition of a school's own, or one that it words anew. */
export const OwnCondition = z.strictObject({
  id: shortName,
  group: line(80),
  name: line(120),
  synonyms: z.array(line(120)).max(40).default([]),
})
export type OwnCondition = z.infer<typeof OwnCondition>

/** One rule about cautions, as data: a trait from here on, for a condition, gives a verdict. */
export const PolicyRule = z.strictObject({
  id: shortName,
  condition: shortName,
  trait: z.enum(TRAIT_NAMES),
  /** The trait counts from this value on, in its unit. */
  least: z
    .number({ error: 'should be a number' })
    .min(0, { error: 'should not be less than 0' })
    .max(1000, { error: 'is more than 1,000' }),
  verdict: z.enum(VERDICTS).exclude(['fine']),
  /** What to change, to what the verdict becomes mild; for the teacher. */
  change: line(300),
  /** What is said to the class; where it is left out, the change is said. */
  say: line(300).optional(),
  basis: z.enum(BASES_OF_RULE),
  source: line(300).optional(),
})
export type PolicyRule = z.infer<typeof PolicyRule>

/** The rules of one school: what its cards share and where schools disagree. */
export const School = z.strictObject({
  name: line(200).default(''),
  firstSide: Side.default(SCHOOL_DEFAULTS.firstSide),
  pace: Pace.default(SCHOOL_DEFAULTS.pace),
  speechRate: z
    .number({ error: 'should be words a minute' })
    .min(40, { error: 'is slower than 40 words a minute' })
    .max(300, { error: 'is faster than 300 words a minute' })
    .default(SCHOOL_DEFAULTS.speechRate),
  retention: z.boolean().default(SCHOOL_DEFAULTS.retention),
  turning: z.enum(['counterclockwise', 'anticlockwise']).default(SCHOOL_DEFAULTS.turning),
  conventions: z.record(z.string(), line()).default({}),
  cautionLead: prose().default(SCHOOL_DEFAULTS.cautionLead),
  paper: z.enum(['A4', 'A5', 'A6']).default(SCHOOL_DEFAULTS.paper),
  /** Bodies that are drawn, and what they take turns by. */
  builds: z
    .array(z.enum(BUILDS))
    .min(1, { error: 'should be one body at least' })
    .default(['usual']),
  buildsBy: z.enum(TURNS_OF_BUILDS).default(SCHOOL_DEFAULTS.buildsBy),
  /** How much each part of a demand counts in the total; what is not told counts as usual. */
  weights: z
    .partialRecord(
      z.enum(DEMANDED),
      z
        .number({ error: 'should be a number' })
        .min(0, { error: 'should not be less than 0' })
        .max(10, { error: 'should not be more than 10' })
    )
    .default({}),
  /** House phrases for when to go up a rung and when to come down. */
  signs: z
    .strictObject({
      up: z.array(line()).max(60).default([]),
      down: z.array(line()).max(60).default([]),
    })
    .default({ up: [], down: [] }),
  /** Said before every touch, on every card that has one. */
  consent: line(300).default(SCHOOL_DEFAULTS.consent),
  /** Conditions that the school adds, or words its own way. */
  conditions: z.array(OwnCondition).max(100).default([]),
  /** Where the school's policy differs from the usual one. */
  policy: z
    .strictObject({
      /** Rules that it adds, or puts in place of the usual one of the same id. */
      rules: z.array(PolicyRule).max(2000).default([]),
      /** Ids of usual rules that do not hold here. */
      without: z.array(shortName).max(2000).default([]),
    })
    .default({ rules: [], without: [] }),
  severities: z.record(z.string(), z.enum(SEVERITIES)).default({}),
})
export type School = z.infer<typeof School>
