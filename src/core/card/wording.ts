import { z } from 'zod'
import { MAX_LINE, tidyLine, tidyProse, UNWRITABLE } from './text'

const unwritable = (text: string): boolean => !UNWRITABLE.test(text.replaceAll('\n', ''))

/** One line of wording, up to `max` characters. */
export const line = (max = MAX_LINE) =>
  z
    .string({ error: 'should be a line of text' })
    .overwrite(tidyLine)
    .max(max, { error: `is longer than ${max} characters; split it` })
    .refine(unwritable, {
      error: 'holds a character that cannot be written (a control character); retype the line',
    })

/** Wording of several paragraphs, up to 100,000 characters. */
export const prose = () =>
  z
    .string({ error: 'should be text' })
    .overwrite(tidyProse)
    .max(100_000, { error: 'is longer than 100,000 characters; split it' })
    .refine(unwritable, {
      error: 'holds a character that cannot be written (a control character); retype the text',
    })
