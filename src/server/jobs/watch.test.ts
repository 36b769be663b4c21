import { Worker } from 'node:worker_threads'
import { PATIENCE, watch } from './watch'

/** A thread's work counts, not what it waits: common practice, no source. */

jest.setTimeout(60_000)

const SPIN = 'while (true) {}'
const SLEEP = 'Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0)'

/** Runs code in a thread under watch; tells what was over, and after how many seconds. */
async function over(
  code: string,
  seconds: number,
  number = 'readlinkSync("/proc/thread-self").split("/").pop()'
) {
  const from = performance.now()
  let worker: Worker | undefined
  const why = await new Promise<string>((resolve) => {
    const { thread } = watch(seconds, resolve)
    worker = new Worker(
      `const { readlinkSync } = require('node:fs')
       Atomics.store(require('node:worker_threads').workerData, 0, Number(${number}))
       ${code}`,
      { eval: true, workerData: thread }
    )
  })
  await worker!.terminate()
  return { why, after: (performance.now() - from) / 1000 }
}

test('work over the limit is told as work', async () => {
  const { why, after } = await over(SPIN, 0.5)
  expect(why).toBe('work')
  expect(after).toBeGreaterThanOrEqual(0.5)
})

test('what only waits is left waiting for longer, and told as waiting', async () => {
  const { why, after } = await over(SLEEP, 0.5)
  expect(why).toBe('waiting')
  expect(after).toBeGreaterThanOrEqual(0.5 * PATIENCE)
})

test('where the thread cannot be told its whole time counts', async () => {
  expect((await over(SLEEP, 0.5, '-1')).why).toBe('work')
})

test('a job that was not begun has only waited', async () => {
  const from = performance.now()
  expect(await new Promise((resolve) => watch(0.3, resolve))).toBe('waiting')
  expect(performance.now() - from).toBeGreaterThanOrEqual(0.3 * PATIENCE * 1000)
})

test('what has ended is watched no more', async () => {
  const told = jest.fn()
  watch(0.1, told).stop()
  await new Promise((resolve) => setTimeout(resolve, 1500))
  expect(told).not.toHaveBeenCalled()
})
