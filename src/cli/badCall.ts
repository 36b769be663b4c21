/** Something in the call or a file that cannot be used; its text goes to stderr. */
export class BadCall extends Error {}

/** One of the words that a flag takes. @throws BadCall when it is another */
export function oneOf<T extends string>(what: string, value: string, allowed: readonly T[]): T {
  const found = allowed.find((each) => each === value)
  if (!found)
    throw new BadCall(`${what} “${value}” is not known; it is one of ${allowed.join(', ')}`)
  return found
}

/** How a call ends: all is good, or a finding says stop; a bad call ends with 2. */
export const [GOOD, FINDINGS, BAD_CALL] = [0, 1, 2]

export const out = (text: string): boolean => process.stdout.write(text)
