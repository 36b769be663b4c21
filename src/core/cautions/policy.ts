import type { PolicyRule, School, Trait } from '../card'
import { CHANGES, rememberOf, type UsualChange } from '../language'

/** A rule as a line: trait, least, verdict, change; the conditions that it is for. */
type Line = [
  trait: Trait,
  least: number,
  verdict: PolicyRule['verdict'],
  change: UsualChange,
  ...conditions: string[],
]

const PREGNANT = ['second-trimester', 'third-trimester'] as const

/** Usual verdicts of the trade, offered from what the body does. Common practice, no single source. */
const LINES: readonly Line[] = [
  // The head below the heart
  ['head below heart', 5, 'ask-first', 'short-head-raised', 'eye-pressure', 'retina'],
  ['head below heart', 8, 'avoid', 'head-at-heart', 'eye-pressure', 'retina'],
  ['head below heart', 8, 'ask-first', 'hands-raised', 'high-blood-pressure', 'heart'],
  ['head below heart', 8, 'change', 'head-up', 'reflux', 'ear-sinus', 'headache', 'vertigo'],
  ['head below heart', 20, 'change', 'up-slowly', 'low-blood-pressure', 'tiredness'],
  ['hips above heart', 25, 'avoid', 'hips-below-heart', 'placenta-praevia', ...PREGNANT],
  ['hips above heart', 25, 'ask-first', 'form-head-up', 'recent-surgery', 'menstruation'],
  ['hips above heart', 25, 'avoid', 'hips-below-heart', 'eye-pressure', 'retina'],
  ['hips above heart', 25, 'ask-first', 'form-head-up', 'high-blood-pressure', 'heart'],
  ['hips above heart', 25, 'change', 'head-up', 'reflux', 'ear-sinus', 'headache', 'vertigo'],
  // Weight on head and neck
  [
    'weight on head',
    4,
    'avoid',
    'head-free',
    'neck',
    'osteoporosis',
    'eye-pressure',
    'retina',
    'high-blood-pressure',
    'spine-injury',
  ],
  ['loaded neck', 60, 'avoid', 'neck-free', 'neck', 'osteoporosis', 'spine-injury'],
  ['loaded neck', 25, 'change', 'shoulders-padded', 'neck', 'osteoporosis', 'spine-injury'],
  ['neck back', 22, 'change', 'neck-follows', 'neck', 'vertigo', 'osteoporosis'],
  // Arms overhead
  [
    'arms overhead',
    130,
    'change',
    'hands-at-heart',
    'heart',
    'high-blood-pressure',
    'low-blood-pressure',
  ],
  ['arms overhead', 130, 'change', 'arms-bent-wide', 'shoulder', 'neck'],
  // The spine
  ['loaded rounding', 25, 'avoid', 'hinge-long', 'osteoporosis', 'acute-back-pain'],
  ['loaded rounding', 12, 'change', 'long-hands-higher', 'osteoporosis', 'disc', 'uneven-spine'],
  ['forward bend', 45, 'change', 'long-knees-bent', 'disc', 'osteoporosis'],
  ['forward bend', 60, 'avoid', 'no-deep-fold', 'acute-back-pain'],
  ['forward bend', 60, 'ask-first', 'hinge-little', 'spine-injury'],
  ['back bend', 30, 'avoid', 'no-back-bend', 'acute-back-pain'],
  ['back bend', 50, 'avoid', 'no-deep-back-bend', ...PREGNANT],
  ['back bend', 30, 'ask-first', 'small-arch', 'spine-injury'],
  [
    'back bend',
    30,
    'change',
    'small-arch',
    'osteoporosis',
    'disc',
    'hernia',
    ...PREGNANT,
    'uneven-spine',
  ],
  [
    'side bend',
    25,
    'change',
    'small-side-bend',
    'osteoporosis',
    'spine-injury',
    'acute-back-pain',
    'disc',
  ],
  ['turn', 30, 'change', 'half-turn', 'osteoporosis', 'disc', 'uneven-spine', 'hernia'],
  ['turn', 30, 'avoid', 'no-turn', 'acute-back-pain'],
  ['turn', 30, 'ask-first', 'little-turn', 'spine-injury'],
  ['closed twist', 18, 'avoid', 'open-twists-only', ...PREGNANT],
  ['closed twist', 18, 'ask-first', 'away-from-thigh', 'first-trimester', 'recent-surgery'],
  ['straight-leg raise', 60, 'change', 'knee-bent', 'disc', 'hamstring', 'acute-back-pain'],
  // Knees, hips, ankles
  ['loaded knee bend', 125, 'avoid', 'no-deep-knee', 'knee-surgery'],
  ['loaded knee bend', 100, 'change', 'less-or-higher', 'knee', 'knee-surgery'],
  ['loaded knee bend', 80, 'change', 'less', 'knee'],
  ['knee bend', 125, 'avoid', 'knee-open', 'knee-surgery'],
  ['knee bend', 125, 'change', 'knee-supported', 'knee'],
  ['weight on knees', 25, 'change', 'knees-padded', 'knee', 'knee-surgery'],
  ['hip opening', 28, 'change', 'half-as-wide', 'groin', 'hip-replacement', 'pelvic-girdle-pain'],
  ['wide legs', 45, 'avoid', 'hip-width', 'pelvic-girdle-pain', 'placenta-praevia'],
  ['one-leg balance', 20, 'avoid', 'both-feet', 'pelvic-girdle-pain'],
  ['deep hip bend', 95, 'change', 'hip-open', 'hip-replacement'],
  ['ankle bend', 22, 'change', 'heel-padded', 'ankle'],
  // Hands, shoulders
  ['weight on wrists', 10, 'change', 'off-the-wrists', 'wrist', 'elbow'],
  ['weight on shoulders', 35, 'change', 'arms-eased', 'shoulder', 'elbow'],
  ['weight on shoulders', 35, 'ask-first', 'arms-free', 'recent-surgery'],
  // Lying
  ['belly pressed', 1, 'avoid', 'kneeling-or-wall', ...PREGNANT],
  [
    'belly pressed',
    1,
    'ask-first',
    'kneeling-or-wall',
    'first-trimester',
    'hernia',
    'recent-surgery',
  ],
  ['lying on the front', 1, 'change', 'sitting-up', 'reflux'],
  ['lying on the back', 1, 'change', 'recline', 'third-trimester'],
  ['lying on the back', 1, 'change', 'chest-raised', 'reflux'],
  ['belly work', 19, 'avoid', 'no-belly-work', ...PREGNANT, 'hernia'],
  ['belly work', 19, 'ask-first', 'knees-down', 'first-trimester', 'recent-surgery'],
  // Balance
  [
    'one-leg balance',
    20,
    'change',
    'hand-on-wall',
    'vertigo',
    'third-trimester',
    'osteoporosis',
    'second-trimester',
    'low-blood-pressure',
    'tiredness',
    'ankle',
  ],
  // Breath and time
  [
    'breath held',
    0.1,
    'avoid',
    'breath-flows',
    'first-trimester',
    ...PREGNANT,
    'placenta-praevia',
    'high-blood-pressure',
    'heart',
    'eye-pressure',
    'retina',
  ],
  ['breath held', 0.1, 'ask-first', 'breath-flows', 'asthma'],
  ['stay', 90, 'change', 'shorter', 'hypermobility', 'low-blood-pressure'],
]

/** Conditions for which a clinician is asked whatever the form: nothing of them is ever plainly fine. */
export const ASK_ANYWAY: ReadonlySet<string> = new Set([
  'recent-surgery',
  'placenta-praevia',
  'spine-injury',
])

const slug = (words: string) => words.replace(/[^a-z]+/gi, '-').toLowerCase()

/** The policy that holds until a school sets its own. */
export const DEFAULT_POLICY: readonly PolicyRule[] = LINES.flatMap(
  ([trait, least, verdict, change, ...conditions]) =>
    conditions.map((condition): PolicyRule => ({
      id: `${condition}/${slug(trait)}-${Math.round(least)}`,
      condition,
      trait,
      least,
      verdict,
      change: CHANGES[change],
      basis: 'common practice',
    }))
)

export type PolicyOf = Pick<School, 'policy'>

/**
 * The policy of a school: the usual rules, without those that it has taken out, and with its own
 * in the place of the usual one of the same id or after them.
 */
export const policyOf = ({ policy }: PolicyOf): readonly PolicyRule[] =>
  policy.rules.length === 0 && policy.without.length === 0 ? DEFAULT_POLICY : settled(policy)

const settled = rememberOf((policy: School['policy']): readonly PolicyRule[] => {
  const own = new Map(policy.rules.map((rule) => [rule.id, rule]))
  const out = new Set(policy.without)
  const usual = DEFAULT_POLICY.filter(({ id }) => !out.has(id)).map((rule) => {
    const changed = own.get(rule.id)
    own.delete(rule.id)
    return changed ?? rule
  })
  return [...usual, ...own.values()]
})

/** A policy by the condition that its rules are about. */
const byCondition = rememberOf((policy: readonly PolicyRule[]) => {
  const map = new Map<string, PolicyRule[]>()
  for (const rule of policy) {
    const all = map.get(rule.condition)
    if (all) all.push(rule)
    else map.set(rule.condition, [rule])
  }
  return map
})

/** The rules of a policy about one condition, in their order. */
export const rulesAbout = (policy: readonly PolicyRule[], condition: string): PolicyRule[] =>
  byCondition(policy).get(condition) ?? []

const sameRule = (a: PolicyRule, b: PolicyRule) =>
  (Object.keys({ ...a, ...b }) as (keyof PolicyRule)[]).every((key) => a[key] === b[key])

/** The rules of a table as what a school keeps: only where they differ from the usual ones. */
export function policyFrom(rules: readonly PolicyRule[]): School['policy'] {
  const usual = new Map(DEFAULT_POLICY.map((rule) => [rule.id, rule]))
  const kept = new Set(rules.map(({ id }) => id))
  return {
    rules: rules.filter((rule) => !usual.has(rule.id) || !sameRule(rule, usual.get(rule.id)!)),
    without: DEFAULT_POLICY.filter(({ id }) => !kept.has(id)).map(({ id }) => id),
  }
}

/** An id for a new rule that none of these has. */
export function freshRuleId(
  rule: Pick<PolicyRule, 'condition' | 'trait' | 'least'>,
  rules: readonly PolicyRule[]
): string {
  const base = `${rule.condition}/${slug(rule.trait)}-${Math.round(rule.least)}`
  const taken = new Set([...rules, ...DEFAULT_POLICY].map(({ id }) => id))
  let id = base
  for (let n = 2; taken.has(id); n += 1) id = `${base}-${n}`
  return id
}
