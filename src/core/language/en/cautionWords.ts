/** What two changes ask of one part of the body, each against the other. Common practice, no source. */
const OPPOSED: readonly [RegExp, RegExp][] = [
  [
    /\bbend (?:the |both )?knees?\b|\bknees? bent\b/i,
    /\bknees? more open\b|\bbend less\b|\bstraighten (?:the )?(?:knee|leg)|\bno deep bend\b/i,
  ],
  [
    /\b(?:sitting up|sit up|sit tall|do it (?:sitting|kneeling)|stand up|upright)\b/i,
    /\b(?:recline|lie (?:down|on|back)|lying down)\b/i,
  ],
  [
    /\bkneeling\b|\bknees down\b|\bon the knees\b|\ball fours\b/i,
    /\bor stand\b|\boff the knees\b|\bno kneeling\b/i,
  ],
  [
    /\bhands? (?:at the heart|on the hips?)\b|\bhands down\b/i,
    /\bhands? on (?:the wall|a chair|a block)|\bhand on the wall\b/i,
  ],
  [/\bhead up\b|\bkeep the head up\b|\braise head\b/i, /\bhead (?:down|low)\b|\blie flat\b/i],
  [
    /\b(?:feet|legs|knees) (?:wide|wider|apart)\b|\bopen the legs\b|\bwiden the (?:feet|stance)\b/i,
    /\bfeet hip-width\b|\bhalf as wide\b|\b(?:legs|knees|feet) together\b|\bnarrow/i,
  ],
  [/\bforearms\b/i, /\bhands higher\b|\bweight off the arms\b|\boff the elbows?\b/i],
  [/\bshorter\b|\bstay less\b/i, /\bstay longer\b|\blonger stay\b/i],
  [/\bturn away from the thigh\b/i, /\bturn towards? the thigh\b/i],
]

const VERDICT_WORDS: Record<string, string> = {
  avoid: 'avoid',
  'ask-first': 'ask first',
  change: 'change',
  fine: 'fine',
}

/** English: what is said of a verdict beside the traits that it follows from. */
export const englishCautions = {
  notDrawn: 'the form is not drawn, and no words tell it: what cannot be seen is not fine',
  noRule: (condition: string) => `no rule is about ${condition}`,
  askAnyway: (condition: string) =>
    `with ${condition} the clinician is asked first, whatever the form`,
  notSet: (traits: readonly string[]) =>
    `not drawn, and not set by hand: ${traits.slice(0, 4).join(', ')}${traits.length > 4 ? ' …' : ''}`,
  any: (trait: string) => `any ${trait}`,
  from: (trait: string, least: number, unit: string) =>
    `${trait} from ${least}${unit === 'deg' ? '°' : ` ${unit}`}`,
  /** Read back word by word, so that it is known when it changes. */
  basis: (verdict: string, rules: readonly string[]) =>
    `${VERDICT_WORDS[verdict]}${rules.length ? `: ${rules.map((rule) => rule.replace('ask-first', 'ask first')).join('; ')}` : ''}`,
  /** Whether two changes go against each other: one asks for what the other forbids. */
  opposed: (a: string, b: string) =>
    OPPOSED.some(
      ([one, other]) => (one.test(a) && other.test(b)) || (one.test(b) && other.test(a))
    ),
  unknown: (name: string, near: string[]) =>
    `“${name}” is no condition that is known${near.length ? `; the nearest are ${near.join(', ')}` : ''}`,
  contradicts: (
    condition: string,
    typed: string,
    usual: string,
    why: readonly string[],
    rung: string | null,
    below: string | null
  ) =>
    `“${condition}” says ${typed}, but ${rung ? `on the rung “${rung}” ` : ''}the usual verdict is ${usual}${why.length ? ` (${why.join(', ')})` : ''}. ${below ? `Send them to the rung “${below}”, make it ${usual}, or give a reason.` : `Make it ${usual}, or give a reason.`}`,
  makeIt: (verdict: string) => `Make it ${verdict}`,
  noGround: (condition: string, typed: string) =>
    `“${condition}” says ${typed}, and nothing in the form asks for it. If the school wants it, say why; else it may be milder.`,
  stale: (condition: string, over: string, now: string) =>
    `The reason for “${condition}” was given when the usual verdict was “${over}”; now it is “${now}”. Until you look at it again the stricter one stands.`,
  unrecorded: (condition: string, now: string) =>
    `The reason for “${condition}” does not say what it overrides; now that is “${now}”. Keep that with it, so that a change is told.`,
  stillHolds: 'It still holds: keep it for what is usual now',
  notKnown: (condition: string, near: string | undefined) =>
    `“${condition}” is no condition that is known${near ? ` (the nearest is “${near}”)` : ''}: it is printed as it stands, and nothing is worked out for it. The school can add it to its list.`,
  sentUp: (condition: string, rung: string, verdict: string, below: string | null) =>
    `With “${condition}” one is sent up the ladder, to “${rung}”, where the usual verdict is ${verdict}: no less is asked there.${below ? ` “${below}” is open below.` : ''}`,
  twice: (name: string, before: string, at: number, first: string, second: string) =>
    `“${name}” is spoken of in caution ${at} already${name === before ? '' : `, as “${before}”`}: ${first === second ? `${first}, both times` : `${first} there, ${second} here`}. Whoever reads one misses the other; make one of the two.`,
  noWayOut: (conditions: readonly string[], why: readonly string[]) =>
    `With ${conditions.join(', ')} no rung is open (${why.join(', ')}), and no other card is named. Add a rung that asks less, or name the card to do instead.`,
  insteadGone: (condition: string, id: string) =>
    `With “${condition}” one is sent to the card “${id}”, which is not in the deck.`,
  insteadShut: (condition: string, title: string, other: string | null) =>
    `With “${condition}” one is sent to “${title}”, and no rung is open there either.${other ? ` “${other}” has one.` : ''}`,
  sendTo: (title: string) => `Send them to “${title}”`,
  cannotTell: (rungs: readonly string[]) =>
    `${rungs.length ? `The form of ${rungs.map((rung) => `“${rung}”`).join(', ')} is` : 'The form is'} not known, so cautions can’t be told. Draw it, or set by hand what it asks.`,
  /** Whether a lead defers to the person’s clinician and to local rules. */
  defers: (lead: string) =>
    /\b(?:clinician|doctor|physician|midwife|physiotherapist|medical (?:advice|help)|health (?:care|professional))/i.test(
      lead
    ) &&
    /\blocal rules?\b|\brules? of (?:the|your|this) (?:place|house|country|studio|school)\b|\blocal (?:law|regulation)/i.test(
      lead
    ),
  /** A prop by the name of one of it. */
  /** How many a prop's words begin with, and the rest of them. */
  countOf: (prop: string): { count: number; name: string } => {
    const match = /^\s*(\d+|an?|one|two|three|four)?\s*(.+?)\s*$/i.exec(prop)
    const words: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4 }
    const first = match?.[1]?.toLowerCase()
    const count = first ? (words[first] ?? Number(first)) : 1
    return { count: Math.max(1, count || 1), name: (match?.[2] ?? prop).toLowerCase() }
  },
  /** What stands in the room already, or that many share. */
  shared: /\bwall\b|\bmat\b/i,
  oneOf: (name: string) =>
    name.replace(/\b(block|strap|bolster|blanket|chair|pad|cushion|mat|belt|brick)s\b/g, '$1'),
  allBegin: (rung: string) => `“Today everyone begins with: ${rung}.”`,
  whoLikes: (change: string) => `“Whoever likes: ${change}.”`,
  goOn: (rung: string) =>
    `“When it is steady and the breath is even, go on as far as you like, up to: ${rung}. Staying is as good as going on.”`,
  someGoOn: (rung: string) =>
    `“Some of you know ${rung}, and go on to it. If we agreed on staying here, or you like it here, stay.”`,
  anyPain:
    '“Any pain, tingling, pinching or shortness of breath: come out, and rest. If your clinician told you otherwise, do as they said.”',
  noTable: (missing: readonly string[]) =>
    `This is no table of verdicts: ${missing.length ? `it lacks the column ${missing.map((name) => `“${name}”`).join(', ')}` : 'it has no rows'}. Take the table out, change it, and bring it back. Nothing was changed.`,
  noCard: (id: string) => `there is no card “${id}”`,
  noVerdict: (word: string) => `“${word}” is no verdict: avoid, ask first, change or fine`,
  noRung: (rung: string, title: string) => `“${title}” has no rung “${rung}”`,
  needsReason: (title: string, condition: string) =>
    `${title}, ${condition}: a verdict that differs from what holds needs a reason`,
  wouldChange: (condition: string, rung: string, from: string, to: string) =>
    `${condition}${rung ? `, ${rung}` : ''}: ${from} becomes ${to}`,
  wallBelow: 'A number: the rung that is open, from the lowest.',
  wallEmpty: 'There are no cards yet.',
  cardSays: 'the card says so itself',
  goAgainst: (a: string, b: string) =>
    `These go against each other: “${a}” and “${b}”. Choose with the person.`,
  none: 'name at least one condition',
  open: (name: string) => `highest rung open: ${name}`,
  closed: 'no rung is open',
  defer: 'Usual cautions, no diagnosis: the person’s own clinician and local rules come first.',
}
