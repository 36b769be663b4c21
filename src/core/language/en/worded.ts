/** The words of a list, told apart by blanks. */
export const wordSet = (list: string): ReadonlySet<string> => new Set(list.trim().split(/\s+/))

/** A name of a joint, an angle or a limb in words: `lateralFlexion` is lateral flexion. */
export const worded = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
