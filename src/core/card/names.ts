import type { Card } from './card'

/** The name a card goes by: its first common name, else the Sanskrit, else its id. */
export function titleOf(card: Pick<Card, 'id' | 'names'>): string {
  return card.names.common.find(Boolean) || card.names.sanskrit || card.id
}

/**
 * A card id from a name: letters without their marks, small, joined by hyphens.
 * @example slugOf('Vīrabhadrāsana II') // 'virabhadrasana-ii'
 */
export function slugOf(name: string): string {
  const slug = name
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/['’]/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 70)
    .replace(/-+$/, '')
  return slug || 'card'
}

/**
 * The first free id of the form prefix + number that none of `taken` has.
 * @example freshId('s', ['s1', 's2']) // 's3'
 */
export function freshId(prefix: string, taken: Iterable<string>): string {
  const used = new Set(taken)
  let n = used.size + 1
  while (used.has(`${prefix}${n}`)) n += 1
  return `${prefix}${n}`
}
