import os from 'node:os'
import path from 'node:path'
import { Piscina } from 'piscina'
import type * as jobs from './jobs'
import { watch } from './watch'

type Jobs = typeof jobs
type JobName = {
  [K in keyof Jobs]: Jobs[K] extends (...args: never[]) => unknown ? K : never
}[keyof Jobs]
type Given<K extends JobName> = Parameters<Jobs[K]>[0]
type Gives<K extends JobName> = Awaited<ReturnType<Jobs[K]>>

/** Why a job came to no end: it took too long, too much memory, or too many wait. */
export class JobError extends Error {
  constructor(
    readonly why: 'time' | 'memory' | 'queue',
    readonly job: JobName,
    seconds: number
  ) {
    super(
      {
        time: `it took more than ${seconds} seconds of work`,
        memory: `it took more memory than one piece of work may`,
        queue: 'too much else is being worked on; try again in a moment',
      }[why]
    )
  }
}

/** Seconds that a job may work (`watch.ts`). Short ones don't wait behind long ones. */
const SECONDS: Record<JobName, number> = {
  plan: 120,
  print: 40,
  exportDeck: 60,
  deckJson: 60,
  verdictsCsv: 120,
  planVerdicts: 120,
  wallSheet: 120,
  figure: 20,
  bvh: 20,
}
/** How many times what it may work a job may take with all its waiting. */
const PATIENCE = 4
const SHORT = new Set<JobName>(['figure', 'bvh'])

const MEMORY_MB = 320
const MOST_WAITING = 200

const holder = globalThis as { notulaPools?: { long: Piscina; short: Piscina } }

function pools() {
  holder.notulaPools ??= (() => {
    const pool = (maxThreads: number) =>
      new Piscina({
        filename: path.join(/* turbopackIgnore: true */ process.cwd(), '.notula/jobs/thread.mjs'),
        minThreads: 0,
        maxThreads,
        maxQueue: MOST_WAITING,
        // A worker that has printed prints the next card in a quarter of the time.
        idleTimeout: 600_000,
        // What loads sources while developing would take longer to start than the job itself.
        execArgv: [],
        resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
      })
    // One core is left for answering.
    const threads = Math.max(1, Math.min(4, os.availableParallelism() - 1))
    return { long: pool(threads), short: pool(threads) }
  })()
  return holder.notulaPools
}

/**
 * Runs a job in a worker thread. A worker that is over its limit is ended, and another takes its
 * place.
 * @throws JobError
 */
export async function run<K extends JobName>(name: K, given: Given<K>): Promise<Gives<K>> {
  const pool = SHORT.has(name) ? pools().short : pools().long
  const ended = new AbortController()
  let over: 'work' | 'waiting' | null = null
  const seconds = SECONDS[name]
  const { thread, stop } = watch({ work: seconds, take: PATIENCE * seconds }, (why) => {
    over = why
    ended.abort()
  })
  try {
    return await pool.run({ name, given, thread }, { signal: ended.signal })
  } catch (error) {
    if (over) throw new JobError(over === 'work' ? 'time' : 'queue', name, seconds)
    const { code, message } = error as { code?: string; message?: string }
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new JobError('memory', name, seconds)
    if (/queue/i.test(message ?? '')) throw new JobError('queue', name, seconds)
    throw error
  } finally {
    stop()
  }
}

/** Ends all workers, for tests and commands that end. */
export async function endJobs(): Promise<void> {
  const pair = holder.notulaPools
  holder.notulaPools = undefined
  await Promise.all([pair?.long.destroy(), pair?.short.destroy()])
}
