import { readFileSync } from 'node:fs'

/**
 * How long a thread has worked: the time that a processor was given to it. What it waited for
 * others, in the queue or on a busy machine, is not its own.
 */

const LOOK_MS = 250

/** Seconds of a processor that a thread has had (first number of proc(5), schedstat). */
function processorSeconds(thread: number): number | null {
  try {
    return Number(readFileSync(`/proc/self/task/${thread}/schedstat`, 'utf8').split(' ')[0]) / 1e9
  } catch {
    return null
  }
}

/**
 * Watches one job.
 * @param most seconds: what it may `work` (where the system doesn't tell, what it may take from its
 *   begin), and what it may `take` with all its waiting, from now
 * @param over called once, with what was too long: its work, or its waiting
 * @returns where the thread writes its number as it begins (`thread.ts`), and what ends the watch
 */
export function watch(
  most: { work: number; take: number },
  over: (why: 'work' | 'waiting') => void
): { thread: Int32Array; stop: () => void } {
  const thread = new Int32Array(new SharedArrayBuffer(4))
  const asked = performance.now()
  let begun: { at: number; had: number | null } | null = null

  const worked = () => {
    const number = Atomics.load(thread, 0)
    if (number === 0) return 0
    begun ??= { at: performance.now(), had: processorSeconds(number) }
    const has = processorSeconds(number)
    return has === null || begun.had === null
      ? (performance.now() - begun.at) / 1000
      : has - begun.had
  }
  const timer = setInterval(() => {
    const why =
      worked() > most.work
        ? 'work'
        : performance.now() - asked > most.take * 1000
          ? 'waiting'
          : null
    if (why === null) return
    clearInterval(timer)
    over(why)
  }, LOOK_MS)
  return { thread, stop: () => clearInterval(timer) }
}
