'use client'

import { useMemo, useSyncExternalStore } from 'react'
import {
  type Card,
  cardRules,
  type Finding,
  isDrawn,
  type Rule,
  runRules,
  type School,
  sectionOf,
  type SectionId,
} from '@/core/card'
import { breathRules } from '@/core/breath'
import { sideRules } from '@/core/sides'
import { useSchool } from '../shared/school'
import { useBench } from './store'

/** Rules about words are here at once; those about figures come when there is one. */
const TEXT_RULES: readonly Rule[] = [...cardRules, ...sideRules, ...breathRules]
let rules = TEXT_RULES
let asked = false
const told = new Set<() => void>()

function askForFigureRules(): void {
  if (asked) return
  asked = true
  import('@/core/figure')
    .then(({ figureRules }) => {
      rules = [...TEXT_RULES, ...figureRules]
      told.forEach((tell) => tell())
    })
    .catch(() => {
      asked = false
    })
}

function whenRulesCome(tell: () => void): () => void {
  told.add(tell)
  return () => told.delete(tell)
}

const known = new WeakMap<Card, { school: School; rules: readonly Rule[]; found: Finding[] }>()

/** What the rules find on a card; worked out once for each state of it. */
export function findingsOf(card: Card, school: School): Finding[] {
  const before = known.get(card)
  if (before?.school === school && before.rules === rules) return before.found
  const found = runRules(rules, card, school)
  known.set(card, { school, rules, found })
  return found
}

/** What the rules find on the card as it is on the bench. */
export function useFindings(): Finding[] {
  const card = useBench((state) => state.card)
  const school = useSchool()
  const now = useSyncExternalStore(
    whenRulesCome,
    () => rules,
    () => TEXT_RULES
  )
  if (isDrawn(card) && typeof window !== 'undefined') askForFigureRules()
  return useMemo(() => (now ? findingsOf(card, school) : []), [card, school, now])
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
