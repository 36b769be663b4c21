'use client'

import { useMemo } from 'react'
import { type Card, type Finding, sectionOf, type SectionId } from '@/core/card'
import { checkCard } from '@/core/check'
import { useBench } from './store'

const known = new WeakMap<Card, Finding[]>()

/** What the rules find on a card; worked out once for each state of it. */
export function findingsOf(card: Card): Finding[] {
  const before = known.get(card)
  if (before) return before
  const found = checkCard(card)
  known.set(card, found)
  return found
}

/** What the rules find on the card as it is on the bench. */
export function useFindings(): Finding[] {
  const card = useBench((state) => state.card)
  return useMemo(() => findingsOf(card), [card])
}

/** Whether a finding is about the part at a path, or something inside it. */
export const isAt = (finding: Finding, path: string): boolean =>
  finding.where === path ||
  finding.where.startsWith(`${path}.`) ||
  finding.where.startsWith(`${path}[`)

/** How many findings each section has. */
export function countBySection(findings: Finding[]): Map<SectionId, number> {
  const counts = new Map<SectionId, number>()
  for (const { where } of findings) {
    const section = sectionOf(where)
    counts.set(section, (counts.get(section) ?? 0) + 1)
  }
  return counts
}
