/** What a version is known by in the list of a card’s versions. */
export interface Version {
  version: number
  author: string
  note: string
  savedAt: string
}

/** One person’s saves in one sitting, the newest first. */
export interface Sitting {
  /** The version that the sitting ended with. */
  last: Version
  saves: Version[]
}

/** A pause between two saves longer than this ends a sitting, in minutes. */
const PAUSE = 30

/**
 * Folds the saves of one person’s sitting into one: each comes soon after the other, and none
 * but the last has a note of its own.
 * @param versions the newest first
 */
export function sittings(versions: readonly Version[]): Sitting[] {
  const found: Sitting[] = []
  for (const version of versions) {
    const now = found.at(-1)
    const later = now?.saves.at(-1)
    const apart = later ? Date.parse(later.savedAt) - Date.parse(version.savedAt) : Infinity
    if (
      now &&
      later &&
      later.author === version.author &&
      !version.note &&
      !later.note &&
      apart <= PAUSE * 60_000
    )
      now.saves.push(version)
    else found.push({ last: version, saves: [version] })
  }
  return found
}
