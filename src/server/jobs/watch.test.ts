import { Worker } from 'node:worker_threads'
import { watch } from './watch'

/** A thread's work counts, not what it waits: common practice, no source. */

jest.setTimeout(60_000)

const SPIN = 'while (true) {}'
const SLEEP = 'Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0)'
const NUMBER = 'readlinkSync("/proc/thread-self").split("/").pop()'
/** Of what is not looked at: far more than a busy machine takes. */
const LONG = 50

/** Runs code in a thread under watch; tells what was over, and after how many seconds. */
async function over(code: string, most: { work: number; take: number }, number = NUMBER) {
  const from = performance.now()
  let worker: Worker | undefined
  const why = await new Promise<string>((resolve) => {
    const { thread } = watch(most, resolve)
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
  const { why, after } = await over(SPIN, { work: 0.5, take: LONG })
  expect(why).toBe('work')
  expect(after).toBeGreaterThanOrEqual(0.5)
})

test('what only waits has not worked, however long it waits', async () => {
  const { why, after } = await over(SLEEP, { work: 0.5, take: 2 })
  expect(why).toBe('waiting')
  expect(after).toBeGreaterThanOrEqual(2)
})

test('where the thread cannot be told its whole time counts', async () => {
  expect((await over(SLEEP, { work: 0.5, take: LONG }, '-1')).why).toBe('work')
})

test('a job that was not begun has only waited', async () => {
  const from = performance.now()
  expect(await new Promise((resolve) => watch({ work: 0.1, take: 1 }, resolve))).toBe('waiting')
  expect(performance.now() - from).toBeGreaterThanOrEqual(1000)
})

test('what has ended is watched no more', async () => {
  const told = jest.fn()
  watch({ work: 0.1, take: 0.1 }, told).stop()
  await new Promise((resolve) => setTimeout(resolve, 1500))
  expect(told).not.toHaveBeenCalled()
})
