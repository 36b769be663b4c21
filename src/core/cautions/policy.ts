import type { PolicyRule, School, Trait } from '../card'
import { rememberOf } from '../language'

/** A rule as a line: trait, least, verdict, change; the conditions that it is for. */
type Line = [
  trait: Trait,
  least: number,
  verdict: PolicyRule['verdict'],
  change: string,
  ...conditions: string[],
]

const PREGNANT = ['second-trimester', 'third-trimester'] as const

/** Usual verdicts of the trade, offered from what the body does. Common practice, no single source. */
const LINES: readonly Line[] = [
  // The head below the heart
  ['head below heart', 5, 'ask-first', 'keep it short, the head raised', 'eye-pressure', 'retina'],
  ['head below heart', 8, 'avoid', 'keep the head at or above the heart', 'eye-pressure', 'retina'],
  [
    'head below heart',
    8,
    'ask-first',
    'head up: hands on a chair or at the wall',
    'high-blood-pressure',
    'heart',
  ],
  [
    'head below heart',
    8,
    'change',
    'keep the head up',
    'reflux',
    'ear-sinus',
    'headache',
    'vertigo',
  ],
  [
    'head below heart',
    20,
    'change',
    'come up slowly, in stages',
    'low-blood-pressure',
    'tiredness',
  ],
  [
    'hips above heart',
    25,
    'avoid',
    'keep the hips below the heart',
    'placenta-praevia',
    ...PREGNANT,
  ],
  [
    'hips above heart',
    25,
    'ask-first',
    'a form with the head up',
    'recent-surgery',
    'menstruation',
  ],
  ['hips above heart', 25, 'avoid', 'keep the hips below the heart', 'eye-pressure', 'retina'],
  ['hips above heart', 25, 'ask-first', 'a form with the head up', 'high-blood-pressure', 'heart'],
  [
    'hips above heart',
    25,
    'change',
    'keep the head up',
    'reflux',
    'ear-sinus',
    'headache',
    'vertigo',
  ],
  // Weight on head and neck
  [
    'weight on head',
    4,
    'avoid',
    'no weight on the head',
    'neck',
    'osteoporosis',
    'eye-pressure',
    'retina',
    'high-blood-pressure',
    'spine-injury',
  ],
  [
    'loaded neck',
    60,
    'avoid',
    'keep the weight off the bent neck',
    'neck',
    'osteoporosis',
    'spine-injury',
  ],
  [
    'loaded neck',
    25,
    'change',
    'lift less, and pad under the shoulders',
    'neck',
    'osteoporosis',
    'spine-injury',
  ],
  [
    'neck back',
    22,
    'change',
    'let the neck follow the spine, look ahead',
    'neck',
    'vertigo',
    'osteoporosis',
  ],
  // Arms overhead
  [
    'arms overhead',
    130,
    'change',
    'hands at the heart or on the hips',
    'heart',
    'high-blood-pressure',
    'low-blood-pressure',
  ],
  [
    'arms overhead',
    130,
    'change',
    'bend and widen the arms, or one hand on the hip',
    'shoulder',
    'neck',
  ],
  // The spine
  [
    'loaded rounding',
    25,
    'avoid',
    'hinge at the hips with a long back',
    'osteoporosis',
    'acute-back-pain',
  ],
  [
    'loaded rounding',
    12,
    'change',
    'keep the back long, hands higher',
    'osteoporosis',
    'disc',
    'uneven-spine',
  ],
  ['forward bend', 45, 'change', 'keep the back long, bend the knees', 'disc', 'osteoporosis'],
  ['forward bend', 60, 'avoid', 'no deep forward bends', 'acute-back-pain'],
  ['forward bend', 60, 'ask-first', 'hinge little, hands on a chair', 'spine-injury'],
  ['back bend', 30, 'avoid', 'no back bends now', 'acute-back-pain'],
  ['back bend', 50, 'avoid', 'no deep back bends now', ...PREGNANT],
  ['back bend', 30, 'ask-first', 'a small arch, shared by the whole back', 'spine-injury'],
  [
    'back bend',
    30,
    'change',
    'a small arch, shared by the whole back',
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
    'a small bend, in one plane',
    'osteoporosis',
    'spine-injury',
    'acute-back-pain',
    'disc',
  ],
  [
    'turn',
    30,
    'change',
    'turn half as far, from the ribs',
    'osteoporosis',
    'disc',
    'uneven-spine',
    'hernia',
  ],
  ['turn', 30, 'avoid', 'no turns now', 'acute-back-pain'],
  ['turn', 30, 'ask-first', 'turn a little, sitting tall', 'spine-injury'],
  ['closed twist', 18, 'avoid', 'open twists only: turn away from the thigh', ...PREGNANT],
  [
    'closed twist',
    18,
    'ask-first',
    'turn away from the thigh',
    'first-trimester',
    'recent-surgery',
  ],
  ['straight-leg raise', 60, 'change', 'bend the knee', 'disc', 'hamstring', 'acute-back-pain'],
  // Knees, hips, ankles
  ['loaded knee bend', 125, 'avoid', 'no deep bend under weight', 'knee-surgery'],
  ['loaded knee bend', 100, 'change', 'bend less, or sit higher', 'knee', 'knee-surgery'],
  ['loaded knee bend', 80, 'change', 'bend less', 'knee'],
  ['knee bend', 125, 'avoid', 'keep the knee more open', 'knee-surgery'],
  ['knee bend', 125, 'change', 'support the knee, or sit higher', 'knee'],
  ['weight on knees', 25, 'change', 'pad the knees, or stand', 'knee', 'knee-surgery'],
  [
    'hip opening',
    28,
    'change',
    'half as wide, supported',
    'groin',
    'hip-replacement',
    'pelvic-girdle-pain',
  ],
  ['wide legs', 45, 'avoid', 'feet hip-width', 'pelvic-girdle-pain', 'placenta-praevia'],
  ['one-leg balance', 20, 'avoid', 'both feet down, weight even', 'pelvic-girdle-pain'],
  ['deep hip bend', 95, 'change', 'bend the hip to less than a right angle', 'hip-replacement'],
  ['ankle bend', 22, 'change', 'a pad under the heel', 'ankle'],
  // Hands, shoulders
  ['weight on wrists', 10, 'change', 'fists, forearms or a wedge', 'wrist', 'elbow'],
  [
    'weight on shoulders',
    35,
    'change',
    'take weight off the arms: knees down, hands higher',
    'shoulder',
    'elbow',
  ],
  ['weight on shoulders', 35, 'ask-first', 'take weight off the arms', 'recent-surgery'],
  // Lying
  ['belly pressed', 1, 'avoid', 'do it kneeling or at the wall', ...PREGNANT],
  [
    'belly pressed',
    1,
    'ask-first',
    'do it kneeling or at the wall',
    'first-trimester',
    'hernia',
    'recent-surgery',
  ],
  ['lying on the front', 1, 'change', 'do it sitting up', 'reflux'],
  [
    'lying on the back',
    1,
    'change',
    'recline on a ramp, or lie on the left side',
    'third-trimester',
  ],
  ['lying on the back', 1, 'change', 'raise head and chest', 'reflux'],
  ['belly work', 19, 'avoid', 'no strong belly work', ...PREGNANT, 'hernia'],
  ['belly work', 19, 'ask-first', 'knees down', 'first-trimester', 'recent-surgery'],
  // Balance
  [
    'one-leg balance',
    20,
    'change',
    'a hand on the wall or on a chair',
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
    'let the breath flow',
    'first-trimester',
    ...PREGNANT,
    'placenta-praevia',
    'high-blood-pressure',
    'heart',
    'eye-pressure',
    'retina',
  ],
  ['breath held', 0.1, 'ask-first', 'let the breath flow', 'asthma'],
  [
    'stay',
    90,
    'change',
    'shorter, in and out with the breath',
    'hypermobility',
    'low-blood-pressure',
  ],
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
      change,
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
