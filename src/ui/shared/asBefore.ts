const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Plain data as they are now, in which whatever is as before is the very object of before: who
 * draws a part of them sees at a glance that it is the same.
 * @param before and `now`: what JSON can hold; nothing in them is changed
 */
export function asBefore<T>(before: unknown, now: T): T {
  if (Object.is(before, now)) return now
  if (Array.isArray(before) && Array.isArray(now)) {
    const parts = now.map((part: unknown, i) => asBefore(before[i], part))
    const same = parts.length === before.length && parts.every((part, i) => part === before[i])
    return (same ? before : parts) as T
  }
  if (!isObject(before) || !isObject(now)) return now
  const parts = Object.entries(now).map(
    ([key, part]) => [key, asBefore(before[key], part)] as const
  )
  const same =
    parts.length === Object.keys(before).length &&
    parts.every(([key, part]) => key in before && part === before[key])
  return (same ? before : Object.fromEntries(parts)) as T
}
