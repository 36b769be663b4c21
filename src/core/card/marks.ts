import { z } from 'zod'
import type { Kind, Owner } from './parts'

/** What is marked on a field of the card where it is declared. */
export interface Marks {
  /** What it is, where its type does not tell. */
  kind?: Kind['kind']
  /** Words that are written for one side and mirrored for the other. */
  sided?: true
  /** Words that a teacher says: within a breath, or without one. */
  spoken?: 'breath' | 'free'
  /** What a link leads to, by its id. */
  to?: 'step' | 'cue' | 'rung' | 'card'
  /** Bookkeeping that no reader is shown. */
  unread?: true
  /** Of an object: what it is. */
  owner?: Owner
  /** Of a list of steps. */
  steps?: StepsMark
}

export interface StepsMark {
  /** The letter of their ids. */
  prefix: string
  /** Their heading in a file. */
  heading: string
  /** Whether the stay follows them. */
  stays?: true
}

export const MARKS = z.registry<Marks>()

/** Marks a field; give it to the field as it stands, defaults and all. */
export function marked<T extends z.ZodType>(schema: T, marks: Marks): T {
  MARKS.add(schema, marks as never)
  return schema
}
