import { EASIER } from './easier'
import { HARDER } from './harder'
import type { Move } from './moved'

export type { Moved, MoveName, Way } from './moved'

/** Every named move. */
export const MOVES: readonly Move[] = [...EASIER, ...HARDER]
