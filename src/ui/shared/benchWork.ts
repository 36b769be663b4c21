'use client'

import type { BenchAnswer, BenchAsked, BenchJob, BenchTold, BenchWork } from '@/workers/bench'
import { whenLetGo } from './letGo'

/** Somebody who works jobs out beside the page. */
export interface Worked<Job, Answer> {
  ask: (job: Job) => void
  onAnswer: (tell: (answer: Answer) => void) => void
  /** The last job came to no end, or the worker did not start. */
  onFailure: (tell: (message: string) => void) => void
  stop: () => void
}

interface Part {
  answer: (answer: never) => void
  failed: (message: string) => void
}

/** One worker, the parts of the page that ask it, and those whose answer has not come. */
interface Shared {
  worker: Worker
  parts: Map<number, Part>
  owed: Set<number>
  ends?: ReturnType<typeof setTimeout>
}

/** How long a worker stays with nobody to ask it, in ms: the next bench finds what it knows. */
const STAYS = 300_000
/** How long it may still be at what is for nobody any more, in ms. */
const ENDS_WORK = 5000

function start(): Shared {
  const worker = new Worker(new URL('../../workers/bench.worker.ts', import.meta.url), {
    type: 'module',
  })
  const parts: Shared['parts'] = new Map()
  const owed: Shared['owed'] = new Set()
  worker.onmessage = ({ data }: MessageEvent<BenchTold>) => {
    owed.delete(data.to)
    whenLetGo(() => {
      const part = parts.get(data.to)
      if ('failed' in data) part?.failed(data.failed)
      else if ('answer' in data) part?.answer(data.answer as never)
    })
  }
  worker.onerror = (event) => {
    for (const { failed } of parts.values()) failed(event.message || 'the worker did not start')
  }
  return { worker, parts, owed }
}

let shared: Shared | null = null
let count = 0

function end(own: Shared) {
  clearTimeout(own.ends)
  own.worker.terminate()
  if (shared === own) shared = null
}

const isAtWork = (own: Shared) => own.owed.size > 0

/**
 * Somebody to work for one part of the bench. All parts share one worker, which outlives them for
 * a while; a part whose work takes long has one of its own.
 */
export function openWork<W extends BenchWork>(
  work: W,
  apart = false
): Worked<BenchJob<W>, BenchAnswer<W>> {
  // Still at work for nobody: who comes now need not wait for that.
  if (shared && shared.parts.size === 0 && isAtWork(shared)) end(shared)
  const own = apart ? start() : (shared ??= start())
  const { worker, parts, owed } = own
  clearTimeout(own.ends)
  const from = (count += 1)
  const part: Part = { answer: () => undefined, failed: () => undefined }
  parts.set(from, part)
  const send = (asked: BenchAsked) => worker.postMessage(asked)
  return {
    ask(job) {
      owed.add(from)
      send({ from, work, job } as BenchAsked)
    },
    onAnswer: (tell) => (part.answer = tell as Part['answer']),
    onFailure: (tell) => (part.failed = tell),
    stop() {
      parts.delete(from)
      send({ from, leaves: true })
      if (parts.size > 0) return
      if (own !== shared) return end(own)
      own.ends = setTimeout(() => {
        if (isAtWork(own)) end(own)
        else own.ends = setTimeout(end, STAYS, own)
      }, ENDS_WORK)
    },
  }
}
