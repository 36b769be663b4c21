import { readlinkSync } from 'node:fs'
import * as jobs from './jobs'

/** What a worker thread runs: one job, after it has said which thread it is. */

/** The number of this thread as the system knows it; -1 where that cannot be told. */
function threadNumber(): number {
  try {
    return Number(readlinkSync('/proc/thread-self').split('/').pop())
  } catch {
    return -1
  }
}

/** @param thread holds one number, shared with who asks */
export default function work({
  name,
  given,
  thread,
}: {
  name: keyof typeof jobs
  given: never
  thread: Int32Array
}) {
  Atomics.store(thread, 0, threadNumber())
  return jobs[name](given)
}
