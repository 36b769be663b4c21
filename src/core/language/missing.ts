import { englishMissing } from './en/missingWords'

/** What a card still lacks, and that it could not be looked at. A bench shows it before the rules are there. */
export const SAY_MISSING = englishMissing
