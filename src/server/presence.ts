/** Who has a card on the bench: told by each tab every few seconds, forgotten soon after. */

interface Seen {
  who: string
  at: number
}

const holder = globalThis as { notulaPresence?: Map<string, Map<string, Seen>> }
const FORGOTTEN_MS = 15_000

/**
 * Notes that a tab has a card open.
 * @param tab an id of the tab
 * @returns the names of the others who have it open
 */
export function noteTab(card: string, tab: string, who: string, now = Date.now()): string[] {
  holder.notulaPresence ??= new Map()
  const tabs = holder.notulaPresence.get(card) ?? new Map<string, Seen>()
  holder.notulaPresence.set(card, tabs)
  tabs.set(tab, { who, at: now })
  for (const [other, seen] of tabs) if (now - seen.at > FORGOTTEN_MS) tabs.delete(other)
  return [...tabs].filter(([other]) => other !== tab).map(([, seen]) => seen.who)
}

/** Notes that a tab has closed a card. */
export function forgetTab(card: string, tab: string): void {
  const tabs = holder.notulaPresence?.get(card)
  tabs?.delete(tab)
  if (tabs?.size === 0) holder.notulaPresence?.delete(card)
}
