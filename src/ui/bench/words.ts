'use client'

import { createStore, type StoreApi } from 'zustand'
import type { Card, School } from '@/core/card'
import type { WordsAnswer } from '@/workers/words'
import { asBefore } from '../shared/asBefore'
import { openWork } from '../shared/benchWork'
import { type BenchStore, changedFields } from './store'

export type Words = StoreApi<WordsAnswer>

/** Follows a card with what its words mean, in a worker: the text never waits for it. */
function followWords(bench: BenchStore, school: School): { words: Words; start: () => () => void } {
  const words = createStore<WordsAnswer>(() => ({ lines: [], forms: [] }))
  return {
    words,
    start() {
      const work = openWork('words')
      let asked: Card | null = null
      let about: Card | null = null
      const ask = () => {
        // One at a time: what is typed meanwhile is asked for when the answer is there.
        if (asked) return
        asked = bench.quiet.getState().card
        if (asked === about) {
          asked = null
          return
        }
        const { builds, buildsBy } = school
        work.ask({ changed: changedFields(about, asked), school: { builds, buildsBy } })
      }
      work.onAnswer((data) => {
        about = asked
        asked = null
        // What is as before stays the same object: only what differs draws anew.
        words.setState((before) => asBefore(before, data))
        ask()
      })
      // Without it the bench works as before: no drafts.
      work.onFailure(() => {
        asked = null
      })
      const deaf = bench.quiet.subscribe((now, before) => {
        if (now.card !== before.card) ask()
      })
      ask()
      return () => {
        deaf()
        work.stop()
      }
    },
  }
}

interface Shared {
  words: Words
  /** Follows the card as long as a list asks for it. @returns how to leave */
  join: () => () => void
}

const followed = new WeakMap<BenchStore, Shared>()

/** What the words of a bench mean, worked out once for all of its lists. */
export function sharedWords(bench: BenchStore, school: School): Shared {
  const known = followed.get(bench)
  if (known) return known
  const { words, start } = followWords(bench, school)
  let users = 0
  let stop: (() => void) | null = null
  const made: Shared = {
    words,
    join() {
      users += 1
      stop ??= start()
      return () => {
        users -= 1
        if (users > 0) return
        stop?.()
        stop = null
      }
    },
  }
  followed.set(bench, made)
  return made
}
