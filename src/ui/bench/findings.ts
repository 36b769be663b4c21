'use client'

import { useMemo } from 'react'
import { type Card, type Finding, type School, sectionOf, type SectionId } from '@/core/card'
import { checkCard } from '@/core/check'
import { useSchool } from '../shared/school'
import { useBench } from './store'

const known = new WeakMap<Card, { school: School; found: Finding[] }>()

/** What the rules find on a card; worked out once for each state of it. */
export function findingsOf(card: Card, school: School): Finding[] {
  const before = known.get(card)
  if (before?.school === school) return before.found
  const found = checkCard(card, school)
  known.set(card, { school, found })
  return found
}

/** What the rules find on the card as it is on the bench. */
export function useFindings(): Finding[] {
  const card = useBench((state) => state.card)
  const school = useSchool()
  return useMemo(() => findingsOf(card, school), [card, school])
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
