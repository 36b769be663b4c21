import type { Side } from './card'
import type { SEVERITIES } from './words'

export type Severity = (typeof SEVERITIES)[number]

/** One change to a card: the value at a path, set or taken away. */
export type Patch = { path: string; value: unknown } | { path: string; remove: true }

/** What a rule has to say about one place on a card. */
export interface Finding {
  /** Id of the rule. */
  rule: string
  severity: Severity
  /** Path in the card, such as `enter[2].text`. */
  where: string
  side?: Side
  message: string
  /** A mend that can be taken with one key. */
  fix?: { label: string; patches: Patch[] }
}

/** The keys of a path: `enter[2].text` gives `['enter', 2, 'text']`. */
export function pathKeys(path: string): (string | number)[] {
  return [...path.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map(([, index, key]) =>
    index === undefined ? key! : Number(index)
  )
}

/** Writes keys as a path: `['enter', 2, 'text']` gives `enter[2].text`. */
export function pathOf(keys: readonly PropertyKey[]): string {
  return keys
    .map((key, i) => (typeof key === 'number' ? `[${key}]` : (i ? '.' : '') + String(key)))
    .join('')
}
