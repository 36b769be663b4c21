import type { Card } from './card'
import { type Patch, pathKeys } from './finding'

/** What stands under keys in any data; undefined when there is nothing. */
export const valueIn = (data: unknown, keys: readonly PropertyKey[]): unknown =>
  keys.reduce<unknown>(
    (value, key) => (value as Record<PropertyKey, unknown> | null | undefined)?.[key],
    data
  )

/** What stands at a path of a card; undefined when there is nothing. */
export const valueAt = (card: Card, path: string): unknown => valueIn(card, pathKeys(path))

type Holder = Record<PropertyKey, unknown> | unknown[]

function changed(
  value: unknown,
  keys: (string | number)[],
  put: (holder: Holder, key: string | number) => void
): unknown {
  const [key, ...rest] = keys
  if (key === undefined) return value
  const copy: Holder = Array.isArray(value)
    ? [...(value as unknown[])]
    : { ...(value as Record<string, unknown> | undefined) }
  if (rest.length === 0) put(copy, key)
  else
    (copy as Record<PropertyKey, unknown>)[key] = changed(
      (copy as Record<PropertyKey, unknown>)[key],
      rest,
      put
    )
  return copy
}

/** A card with the value at a path replaced; what does not lie on the path is shared. */
export function withValue(card: Card, path: string, value: unknown): Card {
  return changed(card, pathKeys(path), (holder, key) => {
    if (value === undefined && !Array.isArray(holder)) delete holder[key]
    else (holder as Record<PropertyKey, unknown>)[key] = value
  }) as Card
}

/** A card with the part at a path taken away. */
export function without(card: Card, path: string): Card {
  return changed(card, pathKeys(path), (holder, key) => {
    if (Array.isArray(holder)) holder.splice(Number(key), 1)
    else delete holder[key]
  }) as Card
}

/** Carries out the changes that a finding offers. */
export function applyPatches(card: Card, patches: readonly Patch[]): Card {
  return patches.reduce(
    (now, patch) =>
      'remove' in patch ? without(now, patch.path) : withValue(now, patch.path, patch.value),
    card
  )
}
