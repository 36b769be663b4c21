import { z } from 'zod'
import { Pace, Side } from './card'
import { line, prose } from './wording'
import { CAUTION_LEAD, SEVERITIES } from './words'

/** The rules of one school: what its cards share and where schools disagree. */
export const School = z.strictObject({
  name: line(200).default(''),
  firstSide: Side.default('right'),
  pace: Pace.default({ in: 4, out: 4 }),
  speechRate: z
    .number({ error: 'should be words a minute' })
    .min(40, { error: 'is slower than 40 words a minute' })
    .max(300, { error: 'is faster than 300 words a minute' })
    .default(120),
  retention: z.boolean().default(false),
  turning: z.enum(['counterclockwise', 'anticlockwise']).default('counterclockwise'),
  conventions: z.record(z.string(), line()).default({}),
  cautionLead: prose().default(CAUTION_LEAD),
  paper: z.enum(['A4', 'A5', 'A6']).default('A5'),
  severities: z.record(z.string(), z.enum(SEVERITIES)).default({}),
})
export type School = z.infer<typeof School>
