'use client'

import { createContext, useContext, useMemo } from 'react'
import { createStore, type StoreApi, useStore } from 'zustand'
import {
  applyPatches,
  type Card,
  type Finding,
  type School,
  sectionOf,
  unchecked,
  type SectionId,
} from '@/core/card'
import type { FindingsAnswer, FindingsJob } from '@/workers/cardFindings'
import { openWork, type Worked } from '../shared/benchWork'
import { type BenchStore, changedFields } from './store'

interface Found {
  findings: readonly Finding[]
  /** Whether the card was looked through at all: until then, that nothing is found says nothing. */
  looked: boolean
}

/** What the rules find on the card; worked out beside the page, a moment after each change. */
export interface Findings {
  found: StoreApi<Found>
  /** Takes the mend that a finding offers, on the card as it is by then. */
  take: (finding: Finding) => void
  /** Says whether the card’s review is asked for. */
  askReview: (asked: boolean) => void
  /** Begins to follow the card. @returns how to stop */
  start: () => () => void
}

/** What works the findings out: a worker, or what a test puts in its place. */
export type FindingsWork = Worked<FindingsJob, FindingsAnswer>

const NOTHING_YET: Found = { findings: [], looked: false }

const same = (a: Finding, b: Finding) => JSON.stringify(a) === JSON.stringify(b)

/** The new findings, with those that were there before as they were: only what differs draws anew. */
function settled(before: readonly Finding[], now: readonly Finding[]): readonly Finding[] {
  const kept = now.map(
    (each) => before.find((old) => old.rule === each.rule && same(old, each)) ?? each
  )
  return kept.length === before.length && kept.every((each, i) => each === before[i])
    ? before
    : kept
}

const isOf = (a: Finding) => (b: Finding) =>
  a.rule === b.rule && a.where === b.where && a.fix?.label === b.fix?.label

/** Follows the card on a bench with its findings. */
export function createFindings(
  bench: BenchStore,
  school: School,
  open: () => FindingsWork = () => openWork('findings')
): Findings {
  const found = createStore<Found>(() => NOTHING_YET)
  let asked: Card | null = null
  let about: Card | null = null
  let wanted: Finding | null = null
  let work: FindingsWork | null = null
  let review = false

  const ask = () => {
    // One at a time: what is typed meanwhile is asked for when the answer is there.
    if (asked || !work) return
    asked = bench.quiet.getState().card
    work.ask({ changed: changedFields(about, asked), school, asked: review })
  }
  const takeNow = (finding: Finding) => {
    const now = found.getState().findings.find(isOf(finding))
    if (now?.fix) bench.getState().edit((card) => applyPatches(card, now.fix!.patches))
  }
  const answered = ({ findings }: FindingsAnswer) => {
    about = asked
    asked = null
    found.setState({ findings: settled(found.getState().findings, findings), looked: true })
    if (bench.quiet.getState().card !== about) return ask()
    if (wanted && bench.getState().card === about) {
      takeNow(wanted)
      wanted = null
    }
  }
  return {
    found,
    askReview(now) {
      if (review === now) return
      review = now
      ask()
    },
    take(finding) {
      // What was found on an earlier state of the card could write over what was typed since.
      if (bench.getState().card === about) takeNow(finding)
      else wanted = finding
    },
    start() {
      work = open()
      work.onAnswer(answered)
      work.onFailure((message) => answered({ findings: [unchecked(message)] }))
      const unsubscribe = bench.quiet.subscribe((now, before) => {
        if (now.card !== before.card) ask()
      })
      ask()
      return () => {
        unsubscribe()
        work?.stop()
        ;[work, asked, about] = [null, null, null]
      }
    },
  }
}

export const FindingsContext = createContext<Findings | null>(null)
export const useTakeMend = () => useContext(FindingsContext)?.take

const none = createStore<Found>(() => NOTHING_YET)

/** Picks findings, and gives the list it gave before as long as it holds the same. */
function picking(want?: (finding: Finding) => boolean) {
  let kept: readonly Finding[] = []
  return ({ findings }: Found) => {
    if (!want) return findings
    const now = findings.filter(want)
    if (now.length !== kept.length || now.some((each, i) => each !== kept[i])) kept = now
    return kept
  }
}

/** Those of the findings that are wanted; draws anew only when they change. */
export function useFindings(want?: (finding: Finding) => boolean): readonly Finding[] {
  const found = useContext(FindingsContext)?.found ?? none
  return useStore(
    found,
    useMemo(() => picking(want), [want])
  )
}

/** Whether the card was looked through at all. */
export const useLookedThrough = (): boolean =>
  useStore(useContext(FindingsContext)?.found ?? none, ({ looked }) => looked)

/** Whether a finding is about the part at a path, or something inside it. */
export const isAt = (finding: Finding, path: string): boolean =>
  finding.where === path ||
  finding.where.startsWith(`${path}.`) ||
  finding.where.startsWith(`${path}[`)

/** How many findings each section has. */
export function countBySection(findings: readonly Finding[]): Map<SectionId, number> {
  const counts = new Map<SectionId, number>()
  for (const { where } of findings) {
    const section = sectionOf(where)
    counts.set(section, (counts.get(section) ?? 0) + 1)
  }
  return counts
}
