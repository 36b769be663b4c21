import { englishCautions } from './en/cautionWords'
import { englishConditions } from './en/conditions'

/** Conditions by the words of the screens’ language; loaded only where cautions are worked out. */
export const CONDITIONS = englishConditions

/** What is said of verdicts. */
export const SAY_CAUTIONS = englishCautions
