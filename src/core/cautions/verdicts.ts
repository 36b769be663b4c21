import { type Card, DEFAULT_SCHOOL, type School, type Verdict } from '../card'
import { SAY_CAUTIONS } from '../language'
import type { Condition } from './conditions'
import { ASK_ANYWAY, DEFAULT_POLICY, type PolicyRule } from './policy'
import { type RungTraits, traitsOf, traitWords, WITHOUT_FORM } from './traits'

/** The strictest first. */
export const STRICTNESS: readonly Verdict[] = ['avoid', 'ask-first', 'change', 'fine']
const rank = (verdict: Verdict) => STRICTNESS.indexOf(verdict)
export const strictest = (verdicts: readonly Verdict[]): Verdict =>
  verdicts.reduce<Verdict>((most, each) => (rank(each) < rank(most) ? each : most), 'fine')

/** A verdict for one rung and one condition, with what it follows from. */
export interface RungVerdict {
  rung: string
  verdict: Verdict
  /** What to change, each once, the most important first. */
  change: string[]
  /** Why, in words: the traits that count, or that the form is not known. */
  reason: string[]
  /** Ids of the rules that it follows from. */
  rules: string[]
}

/** The verdict that a policy gives for what a rung asks. */
export function verdictOf(
  { id, traits, sure }: RungTraits,
  condition: Condition,
  policy: readonly PolicyRule[] = DEFAULT_POLICY
): RungVerdict {
  const about = policy.filter((rule) => rule.condition === condition.id)
  const counts = about
    .filter(({ trait, least }) => (sure || WITHOUT_FORM.has(trait)) && traits[trait] >= least)
    .sort((a, b) => rank(a.verdict) - rank(b.verdict))
  const found = strictest(counts.map(({ verdict }) => verdict))
  // What cannot be seen, and what no rule is about, is never plainly fine.
  const unknown = !sure || about.length === 0
  const asked = ASK_ANYWAY.has(condition.id)
  const verdict = (unknown || asked) && rank(found) > rank('ask-first') ? 'ask-first' : found
  // Of rules about one trait the strictest says what to do.
  const said = counts.filter(
    (rule, i) => counts.findIndex((each) => each.trait === rule.trait) === i
  )
  return {
    rung: id,
    verdict,
    change: [...new Set(said.map(({ change }) => change))],
    reason: [
      ...said.map(({ trait }) => traitWords(trait, traits[trait])),
      ...(unknown
        ? [about.length === 0 ? SAY_CAUTIONS.noRule(condition.name) : SAY_CAUTIONS.notDrawn]
        : []),
      ...(asked && rank(found) > rank('ask-first') ? [SAY_CAUTIONS.askAnyway(condition.name)] : []),
    ],
    rules: said.map(({ id: rule }) => rule),
  }
}

/** Verdicts of every rung of a card, from the bottom up; of a card with no ladder of its one form. */
export function verdictsFor(
  card: Card,
  condition: Condition,
  school: Pick<School, 'pace'> = DEFAULT_SCHOOL,
  policy?: readonly PolicyRule[]
): RungVerdict[] {
  const whole = withOneRung(card)
  return whole.ladder.map(({ id }) => verdictOf(traitsOf(whole, id, school), condition, policy))
}

/** The id of the one form of a card that has no ladder. */
export const ONLY_RUNG = 'as-described'

/** A card with no ladder has one rung: the form that it describes. */
export const withOneRung = (card: Card): Card =>
  card.ladder.length > 0
    ? card
    : {
        ...card,
        ladder: [
          {
            id: ONLY_RUNG,
            name: '',
            reference: true,
            props: [],
            steps: { replace: [], add: [], omit: [] },
            upWhen: [],
            downWhen: [],
          },
        ],
      }

/** Several verdicts of one rung as one: the strictest stands, the changes add up. */
export function together(verdicts: readonly RungVerdict[]): RungVerdict {
  const once = (all: string[]) => [...new Set(all)]
  return {
    rung: verdicts[0]!.rung,
    verdict: strictest(verdicts.map(({ verdict }) => verdict)),
    change: once(verdicts.flatMap(({ change }) => change)),
    reason: once(verdicts.flatMap(({ reason }) => reason)),
    rules: once(verdicts.flatMap(({ rules }) => rules)),
  }
}

/** Verdicts under which a rung is done, with its changes. */
const OPEN: ReadonlySet<Verdict> = new Set<Verdict>(['fine', 'change'])

/** The highest rung that several conditions leave open; null when none is. */
export function highestOpen(byCondition: readonly (readonly RungVerdict[])[]): string | null {
  const [first] = byCondition
  if (!first) return null
  for (let i = first.length - 1; i >= 0; i -= 1)
    if (OPEN.has(together(byCondition.map((verdicts) => verdicts[i]!)).verdict))
      return first[i]!.rung
  return null
}
