import { englishChanges } from './en/cautionChanges'
import { englishCautions } from './en/cautionWords'
import { englishConditions } from './en/conditions'

/** Conditions by the words of the screens’ language; loaded only where cautions are worked out. */
export const CONDITIONS = englishConditions

/** What is said of verdicts. */
export const SAY_CAUTIONS = englishCautions

/** What the usual rules ask to change; a school writes its own in their place. */
export const CHANGES = englishChanges
export type UsualChange = keyof typeof CHANGES
