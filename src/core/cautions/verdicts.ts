import {
  type Card,
  DEFAULT_SCHOOL,
  type PolicyRule,
  type School,
  type Trait,
  TRAITS,
  type Verdict,
} from '../card'
import { keeping, rememberWith, SAY_CAUTIONS } from '../language'
import type { Condition } from './conditions'
import { ASK_ANYWAY, DEFAULT_POLICY, rulesAbout } from './policy'
import { type RungTraits, traitsOf, traitWords, WITHOUT_FORM } from './traits'

/** The strictest first. */
export const STRICTNESS: readonly Verdict[] = ['avoid', 'ask-first', 'change', 'fine']
const RANK = Object.fromEntries(STRICTNESS.map((verdict, i) => [verdict, i])) as Record<
  Verdict,
  number
>
/** Whether one verdict is stricter than another. */
export const stricter = (a: Verdict, b: Verdict) => RANK[a] < RANK[b]
export const strictest = (verdicts: readonly Verdict[]): Verdict =>
  verdicts.reduce<Verdict>((most, each) => (stricter(each, most) ? each : most), 'fine')

/** A verdict for one rung and one condition, with what it follows from. */
export interface RungVerdict {
  rung: string
  verdict: Verdict
  /** What to change, each once, the most important first. */
  change: string[]
  /** What is said to the class for it, each once. */
  say: string[]
  /** Why, in words: the traits that count, or what is not known. */
  reason: string[]
  /** The rules that it follows from, the strictest first. */
  rules: readonly PolicyRule[]
  /** It may be stricter than the form is: something that it hangs on is not known. */
  unsure?: true
}

/** What a rule has the class hear: its own words, else what is to be changed. */
const saidOf = ({ say, change }: PolicyRule) =>
  say ?? `${change.charAt(0).toUpperCase()}${change.slice(1)}.`

/** When a rule counts, in words: `head below heart from 8 cm`. */
export const ruleWords = ({ trait, least }: Pick<PolicyRule, 'trait' | 'least'>) =>
  least < 1 ? SAY_CAUTIONS.any(trait) : SAY_CAUTIONS.from(trait, least, TRAITS[trait])

/**
 * The verdict that a policy gives for what a rung asks. What cannot be seen, and what no rule is
 * about, is never plainly fine.
 */
export function verdictOf(
  { id, traits, known, sure }: RungTraits,
  condition: Condition,
  policy: readonly PolicyRule[] = DEFAULT_POLICY
): RungVerdict {
  const about = rulesAbout(policy, condition.id)
  const counts = about
    .filter(({ trait, least }) => known.has(trait) && traits[trait] >= least)
    .sort((a, b) => RANK[a.verdict] - RANK[b.verdict])
  const found = counts[0]?.verdict ?? 'fine'
  const unseen = sure
    ? []
    : [...new Set(about.map(({ trait }) => trait).filter((trait) => !known.has(trait)))]
  const mild = stricter('ask-first', found)
  const asked = mild && ASK_ANYWAY.has(condition.id)
  // Of a form that nobody has seen nothing is fine, whatever is asked of it.
  const unknown = unseen.length > 0 || about.length === 0 || (!sure && known === WITHOUT_FORM)
  // Of rules about one trait the strictest says what to do.
  const said = counts.filter(
    (rule, i) => counts.findIndex((each) => each.trait === rule.trait) === i
  )
  return {
    rung: id,
    verdict: mild && (unknown || asked) ? 'ask-first' : found,
    change: [...new Set(said.map(({ change }) => change))],
    say: [...new Set(said.map(saidOf))],
    reason: [
      ...said.map(({ trait }) => traitWords(trait, traits[trait])),
      ...(about.length === 0 ? [SAY_CAUTIONS.noRule(condition.name)] : []),
      ...(unseen.length > 0 || (unknown && about.length > 0) ? [unseenWords(known, unseen)] : []),
      ...(asked ? [SAY_CAUTIONS.askAnyway(condition.name)] : []),
    ],
    rules: said,
    ...(unknown ? { unsure: true as const } : {}),
  }
}

/** Verdicts by what a rung asks, for a policy and its conditions. */
type Rows = ReturnType<typeof keeping<string, RungVerdict[]>>
const rows = new WeakMap<readonly PolicyRule[], WeakMap<object, Rows>>()

/**
 * The verdicts of all conditions on one rung, in their order. A rung that asks the same as one
 * before has the same.
 */
export const verdictsOf = rememberWith(
  (
    rung: RungTraits,
    conditions: readonly Condition[],
    policy: readonly PolicyRule[]
  ): readonly RungVerdict[] => {
    const byList = rows.get(policy) ?? new WeakMap<object, Rows>()
    rows.set(policy, byList)
    const known = byList.get(conditions) ?? keeping(2000)
    byList.set(conditions, known)
    const told = rung.sure || rung.known === WITHOUT_FORM ? rung.sure : [...rung.known].join()
    const key = `${rung.id} ${told} ${Object.values(rung.traits).join()}`
    return (
      known.get(key) ??
      known.set(
        key,
        conditions.map((condition) => verdictOf(rung, condition, policy))
      )
    )
  }
)

/** More than breath and stay are known when some were set by hand. */
const unseenWords = (known: ReadonlySet<Trait>, unseen: readonly Trait[]) =>
  known.size > 2 ? SAY_CAUTIONS.notSet(unseen) : SAY_CAUTIONS.notDrawn

/** What a verdict rests on, in words that change when a rule beneath it does. */
export const basisOf = ({ verdict, rules }: RungVerdict): string =>
  SAY_CAUTIONS.basis(
    verdict,
    rules.map((rule) => `${ruleWords(rule)} ${rule.verdict}`)
  )

/** What every rung of a card asks, from the bottom up. */
export function askedOf(
  card: Card,
  school: Pick<School, 'pace'> = DEFAULT_SCHOOL
): readonly RungTraits[] {
  const whole = withOneRung(card)
  return whole.ladder.map(({ id }) => traitsOf(whole, id, school))
}

/** The id of the one form of a card that has no ladder. */
export const ONLY_RUNG = 'as-described'

const ONE_RUNG: Card['ladder'] = [
  {
    id: ONLY_RUNG,
    name: '',
    reference: true,
    props: [],
    steps: { replace: [], add: [], omit: [] },
    upWhen: [],
    downWhen: [],
  },
]

/** A card with no ladder has one rung: the form that it describes. */
export const withOneRung = <Of extends Pick<Card, 'ladder'>>(card: Of): Of =>
  card.ladder.length > 0 ? card : { ...card, ladder: ONE_RUNG }

const once = (all: string[]) => [...new Set(all)]

/**
 * Several verdicts of one rung as one: the strictest stands, the changes add up, and those that
 * go against each other are told.
 */
export function together(
  verdicts: readonly RungVerdict[]
): RungVerdict & { against: [string, string][] } {
  const change = once(verdicts.flatMap((each) => each.change))
  return {
    rung: verdicts[0]!.rung,
    verdict: strictest(verdicts.map(({ verdict }) => verdict)),
    change,
    say: once(verdicts.flatMap((each) => each.say)),
    reason: once(verdicts.flatMap((each) => each.reason)),
    rules: [...new Set(verdicts.flatMap((each) => each.rules))],
    against: change.flatMap((a, i) =>
      change
        .slice(i + 1)
        .filter((b) => SAY_CAUTIONS.opposed(a, b))
        .map((b): [string, string] => [a, b])
    ),
  }
}

/** Verdicts under which a rung is done, with its changes. */
const OPEN: ReadonlySet<Verdict> = new Set<Verdict>(['fine', 'change'])
export const isOpen = (verdict: Verdict) => OPEN.has(verdict)

/** The highest rung that several conditions leave open; null when none is. */
export function highestOpen(
  byCondition: readonly (readonly Pick<RungVerdict, 'rung' | 'verdict'>[])[]
): string | null {
  const [first] = byCondition
  if (!first) return null
  for (let i = first.length - 1; i >= 0; i -= 1)
    if (byCondition.every((verdicts) => isOpen(verdicts[i]!.verdict))) return first[i]!.rung
  return null
}
