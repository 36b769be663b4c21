import { cache } from 'react'
import { loadCard } from '@/server/cards'

/** A card as it is stored, read and checked once for a page and its title. */
export const loadOnce = cache(loadCard)
