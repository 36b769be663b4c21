/**
 * What was worked out, by what it was worked out of, and never more of it than `most`: then the
 * half that has been there longest is given up.
 */
export function keeping<K, V>(most: number) {
  const known = new Map<K, V>()
  return {
    get: (key: K): V | undefined => known.get(key),
    has: (key: K): boolean => known.has(key),
    set<W extends V>(key: K, value: W): W {
      if (known.size >= most && !known.has(key)) {
        let left = most / 2
        for (const oldest of known.keys()) {
          if (left <= 0) break
          known.delete(oldest)
          left -= 1
        }
      }
      known.set(key, value)
      return value
    },
  }
}

/**
 * A function of one line of text that keeps what it worked out: while a trainer types, all
 * lines but one are the same as a moment ago.
 * @param most how many lines are kept
 */
export function remember<T>(work: (text: string) => T, most = 4000): (text: string) => T {
  const known = keeping<string, T>(most)
  return (text) => {
    const before = known.get(text)
    return before !== undefined || known.has(text) ? before! : known.set(text, work(text))
  }
}

/** As `remember`, of a line within something else: its language, or where on a card it stands. */
export function rememberIn<T>(
  work: (text: string, within: string) => T
): (text: string, within: string) => T {
  const linesOf = remember((within) => remember((text) => work(text, within)), 100)
  return (text, within) => linesOf(within)(text)
}

/**
 * As `remember`, of something that is never changed in place, such as a card or a figure: kept as
 * long as that is.
 */
export function rememberOf<K extends object, T>(work: (of: K) => T): (of: K) => T {
  const known = new WeakMap<K, { value: T }>()
  return (of) => {
    const before = known.get(of)
    if (before) return before.value
    const value = work(of)
    known.set(of, { value })
    return value
  }
}

function sameAs(one: readonly unknown[], other: readonly unknown[]): boolean {
  if (one.length !== other.length) return false
  for (let i = 0; i < one.length; i += 1) if (one[i] !== other[i]) return false
  return true
}

/**
 * As `rememberOf`, of something and all else that it was worked out from: kept until one of them
 * is another.
 * @example const found = rememberWith((line: Line, base: string) => claimsOf(line, base))
 */
export function rememberWith<K extends object, By extends readonly unknown[], T>(
  work: (of: K, ...by: By) => T
): (of: K, ...by: By) => T {
  const known = new WeakMap<K, { by: By; value: T }>()
  return (of, ...by) => {
    const before = known.get(of)
    if (before && sameAs(before.by, by)) return before.value
    const value = work(of, ...by)
    known.set(of, { by, value })
    return value
  }
}

/**
 * What is found in each of a list, one after the other. Where the same stands in the same place as
 * a moment ago, with all else as it was, it is not looked at again: while a trainer types, that is
 * nearly everywhere. What is looked at, and what is found in it, is never changed in place.
 * @example const found = inEach((base: string) => (line: Line) => slipsIn(line, base))
 */
export function inEach<By extends readonly unknown[], T, R>(
  looking: (...by: By) => (each: T, at: number) => readonly R[]
): (all: readonly T[], ...by: By) => readonly R[] {
  let before: {
    by: By
    look: (each: T, at: number) => readonly R[]
    all: readonly T[]
    each: (readonly R[])[]
    found: readonly R[]
  } | null = null
  return (all, ...by) => {
    const kept = before && sameAs(before.by, by) ? before : null
    if (kept?.all === all) return kept.found
    const look = kept?.look ?? looking(...by)
    const each: (readonly R[])[] = new Array(all.length)
    const found: R[] = []
    for (let at = 0; at < all.length; at += 1) {
      const one = all[at]!
      const own =
        kept && at < kept.all.length && kept.all[at] === one ? kept.each[at]! : look(one, at)
      each[at] = own
      for (let i = 0; i < own.length; i += 1) found.push(own[i]!)
    }
    before = { by, look, all, each, found }
    return found
  }
}
