import { englishFileWords } from './en/fileWords'

/** What is said of a card file that cannot be read. */
export const SAY_FILES = englishFileWords
