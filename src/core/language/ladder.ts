import { englishLadder, type LadderWords } from './en/ladder'

/** What is said of ladders; loaded only where one is worked out. */
export const LADDER: LadderWords = englishLadder
