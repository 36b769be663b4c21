import { Card } from './card'
import { slugOf } from './names'

/**
 * A new, empty card with the given families.
 * @throws ZodError when a given value is outside its range
 */
export function blankCard(
  from: Pick<Card, 'base' | 'spine' | 'manner' | 'sides'> & { name: string; id?: string }
): Card {
  const { name, id, ...families } = from
  return Card.parse({
    ...families,
    id: id ?? slugOf(name),
    names: { common: name.trim() ? [name] : [] },
  })
}
