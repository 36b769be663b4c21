/**
 * A function of one line of text that keeps what it worked out: while a trainer types, all
 * lines but one are the same as a moment ago.
 * @param most how many lines are kept before it starts anew
 */
export function remember<T>(work: (text: string) => T, most = 4000): (text: string) => T {
  let known = new Map<string, T>()
  return (text) => {
    const before = known.get(text)
    if (before !== undefined || known.has(text)) return before!
    if (known.size >= most) known = new Map()
    const value = work(text)
    known.set(text, value)
    return value
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
    if (before?.by.length === by.length && before.by.every((each, i) => each === by[i]))
      return before.value
    const value = work(of, ...by)
    known.set(of, { by, value })
    return value
  }
}
