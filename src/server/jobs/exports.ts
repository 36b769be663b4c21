import { CSV_TABLES } from '@/core/deck'

/** The forms in which the whole deck goes out. */
export const EXPORTS = ['md', 'json', ...CSV_TABLES] as const
export type Export = (typeof EXPORTS)[number]
