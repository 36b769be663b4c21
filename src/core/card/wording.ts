import { z } from 'zod'
import { LIMITS } from './limits'
import { tidyLine, tidyProse, UNWRITABLE } from './text'

const unwritable = (text: string): boolean => !UNWRITABLE.test(text.replaceAll('\n', ''))

/** One line of wording, up to `max` characters. */
export const line = (max: number = LIMITS.line) =>
  z
    .string({ error: 'should be a line of text' })
    .overwrite(tidyLine)
    .max(max, { error: `is longer than ${max} characters; split it` })
    .refine(unwritable, {
      error: 'holds a character that cannot be written (a control character); retype the line',
    })

/** Wording of several paragraphs. */
export const prose = () =>
  z
    .string({ error: 'should be text' })
    .overwrite(tidyProse)
    .max(LIMITS.notes, { error: `is longer than ${LIMITS.notes} characters; split it` })
    .refine(unwritable, {
      error: 'holds a character that cannot be written (a control character); retype the text',
    })
