import { type Base, type Manner, type SectionId, type Spine } from '@/core/card'
import type { ShelfCard } from '@/core/deck'

/** What is asked of a card; an empty value asks nothing. */
export interface Filters {
  base: Base | ''
  spine: Spine | ''
  sides: ShelfCard['sides'] | ''
  manner: Manner | ''
  status: ShelfCard['status'] | ''
  /** A section that is not yet written. */
  missing: SectionId | ''
}

export const NO_FILTERS: Filters = {
  base: '',
  spine: '',
  sides: '',
  manner: '',
  status: '',
  missing: '',
}

export function passes(card: ShelfCard, filters: Filters): boolean {
  const { missing, ...same } = filters
  for (const key of Object.keys(same) as (keyof typeof same)[])
    if (same[key] && card[key] !== same[key]) return false
  return !missing || card.unwritten.includes(missing)
}
