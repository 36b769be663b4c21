import { z } from 'zod'
import { Pace, Side } from './card'
import { line, prose } from './wording'
import { SCHOOL_DEFAULTS } from './defaultSchool'
import { BUILDS, DEMANDED, SEVERITIES, TURNS_OF_BUILDS } from './words'

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
  severities: z.record(z.string(), z.enum(SEVERITIES)).default({}),
})
export type School = z.infer<typeof School>
