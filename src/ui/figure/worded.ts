/** A name of a joint or an angle in words: `lateralFlexion` is lateral flexion. */
export const worded = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
