import { LABELS, RULE_WORDS, SAY } from '../language'
import {
  type Card,
  type Found,
  freshId,
  type On,
  otherSide,
  type Patch,
  type Rule,
  type Side,
} from '../card'
import {
  inEach,
  type Lexicon,
  packOf,
  type RelativeKind,
  rememberWith,
  type SideWord,
} from '../language'
import {
  mistakeSlips,
  pairSlips,
  roleSlips,
  slipOf,
  type Truths,
  wholeMend,
  withWord,
  wordIn,
} from './slips'
import { type SidedLine, sidedLines } from './sidedLines'

type Check = (card: Card, lexicon: Lexicon) => readonly Found[]

/** What is found line by line: in a line that stays as it is, it is found once. */
function inLines(check: (line: SidedLine, lexicon: Lexicon) => Found[]): Check {
  const found = inEach((lexicon: Lexicon) => (line: SidedLine) => check(line, lexicon))
  return (card, lexicon) => found(sidedLines(card), lexicon)
}

const unsureWords = inLines(({ where, text }, lexicon) =>
  lexicon.find(text).flatMap((word) => {
    if (word.role !== 'unsure') return []
    const written = wordIn(text, word)
    return {
      where,
      message: SAY.sides.unsure(written, word.other),
    }
  })
)

const suspects = inLines(({ where, text, place, condition }, lexicon) =>
  lexicon
    .suspects(text, { place, ...(condition === undefined ? {} : { condition }) })
    .map(({ word, why }) => {
      const written = wordIn(text, word)
      return {
        where,
        message: SAY.sides.suspect(written, word.other, why),
        fix: {
          label: SAY.sides.fix(written),
          patches: [{ path: where, value: withWord(text, word, `{${written}}`) }],
        },
      }
    })
)

const linesThatTell = inEach(
  (lexicon: Lexicon) => (line: SidedLine) => (lexicon.tellsSwap(line.text) ? [line] : [])
)

const swapsIn = inEach((lexicon: Lexicon) => ({ where, text, field }: SidedLine) => {
  if (field !== 'setUp' && field !== 'enter' && field !== 'alignment') return []
  const swap = lexicon.silentSwap(text)
  return swap ? [{ where, swap }] : []
})

/** Where a limb crosses the other way without a side word, and nothing on the card tells so. */
function silentSwaps(card: Card, lexicon: Lexicon): Found[] {
  const lines = sidedLines(card)
  if (linesThatTell(lines, lexicon).length > 0) return []
  const asked = new Set<string>()
  return swapsIn(lines, lexicon).flatMap(({ where, swap }) => {
    if (asked.has(swap.say)) return []
    asked.add(swap.say)
    const cue = {
      id: freshId(
        'a',
        card.alignment.map((each) => each.id)
      ),
      region: swap.region,
      text: swap.say,
      on: 'second-only',
    }
    return [
      {
        where,
        message: SAY.sides.silent(swap.words, swap.say),
        fix: {
          label: SAY.sides.addSecond,
          patches: [{ path: `alignment[${card.alignment.length}]`, value: cue }],
        },
      },
    ]
  })
}

/** The sides that the part which says a line is marked for; null when it cannot be marked. */
const onOf = ({ owner }: SidedLine) => (owner.value as { on?: On }).on ?? null

const oneSidedCues = inLines((line, lexicon) => {
  const { where, text, owner } = line
  const only = onOf(line) === 'both' && lexicon.onlyOneSide(text)
  if (!only) return []
  return [
    {
      where,
      message: SAY.sides.oneSidedCue(only.words),
      fix: {
        label: SAY.sides.markOn(LABELS.on[only.on]),
        patches: [{ path: `${owner.path}.on`, value: only.on }],
      },
    },
  ]
})

const oneSidedForms = inLines((line, lexicon) => {
  const { where, text } = line
  const counts = lexicon.unequalCounts(text)
  if (counts)
    return [
      {
        where,
        message: SAY.sides.counts(counts),
      },
    ]
  const only = !onOf(line) && lexicon.onlyOneSide(text)
  if (!only) return []
  return [
    {
      where,
      message: SAY.sides.oneSidedForm(only.words),
    },
  ]
})

const NOTHING_YET: Record<RelativeKind, string> = {
  'front-back': SAY.sides.noFoot,
  'top-bottom': SAY.sides.noTop,
  other: SAY.sides.noLimb,
}

const HEARD: ReadonlySet<SidedLine['field']> = new Set(['enter', 'alignment', 'exit', 'otherWay'])

/** What each line names by what it is to the other, and which of them it sets for what follows. */
const heardIn = inEach(
  (lexicon: Lexicon) =>
    ({ where, text, field }: SidedLine) =>
      HEARD.has(field) || where === 'setUp.place'
        ? [{ where, text, field, relatives: lexicon.relatives(text), sets: lexicon.sets(text) }]
        : []
)
type Heard = ReturnType<typeof heardIn>[number]

/** The relative words of a card that nothing before them sets, in the order in which it is heard. */
const relativeWords = rememberWith((card: Card, lexicon: Lexicon) => {
  const set = new Set<RelativeKind>()
  if (card.base === 'side-lying') set.add('top-bottom')
  const named = card.sideNamedBy
  const found: (Found & { kind: RelativeKind })[] = []
  const tell = ({ where, text, relatives }: Heard, fresh: Set<RelativeKind>) => {
    for (const { kind, words, at } of relatives)
      // What the line itself has set before counts, too.
      if (!fresh.has(kind) && !lexicon.sets(text.slice(0, at)).has(kind))
        found.push({
          kind,
          where,
          message: SAY.sides.relative(words, NOTHING_YET[kind]),
        })
  }
  const lines = heardIn(sidedLines(card), lexicon)
  const isFirst = ({ field }: Heard) => field === 'enter' || field === 'setUp'
  const first = lines.filter(isFirst)
  for (const line of first) {
    tell(line, set)
    for (const kind of line.sets) set.add(kind)
  }
  // What stands after the way in may lean on all of it, and on what the side is named by.
  const after = new Set(set)
  for (const kind of lexicon.named(named)) after.add(kind)
  if (card.sides === 'sided' && first.length > 0) after.add('other')
  for (const line of lines) {
    if (isFirst(line)) continue
    if (line.relatives.length > 0) tell(line, new Set([...after, ...line.sets]))
    if (line.field === 'exit') for (const kind of line.sets) after.add(kind)
  }
  return found
})

const relativesOf =
  (kinds: readonly RelativeKind[]): Check =>
  (card, lexicon) =>
    relativeWords(card, lexicon)
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ where, message }) => ({ where, message }))

interface Hint {
  where: string
  text: string
  word: SideWord
  leads: Side
}

const LED = /^(?:enter|alignment|mistakes\[\d+\]\.say|ladder\[\d+\]\.steps)/

const hintsIn = inEach(
  (lexicon: Lexicon, named: string) =>
    ({ where, text }: SidedLine): readonly Hint[] =>
      LED.test(where)
        ? lexicon.leadHints(text, named).map((hint) => ({ where, text, ...hint }))
        : []
)

const leadHints = (card: Card, lexicon: Lexicon): readonly Hint[] =>
  card.sideNamedBy ? hintsIn(sidedLines(card), lexicon, card.sideNamedBy) : []

/** Which side the wording of a card leads, by most of what it says; null when it does not tell. */
function ledByText(card: Card, hints: readonly Hint[]): Side | null {
  if (hints.length === 0) return null
  const against = hints.filter((hint) => hint.leads !== card.writtenFor).length
  const first = hints[0]!.leads
  if (against * 2 === hints.length) return first
  return against * 2 > hints.length ? otherSide(card.writtenFor) : card.writtenFor
}

function leadDisagrees(card: Card, lexicon: Lexicon): Found[] {
  const hints = leadHints(card, lexicon)
  const led = ledByText(card, hints)
  if (!led || led === card.writtenFor) return []
  const hint = hints.find((each) => each.leads === led)!
  return [
    {
      where: hint.where,
      message: SAY.sides.lead(card.sideNamedBy, card.writtenFor, wordIn(hint.text, hint.word), led),
      fix: {
        label: SAY.sides.keepFor(led),
        patches: [{ path: 'writtenFor', value: led } satisfies Patch],
      },
    },
  ]
}

function slips(card: Card, lexicon: Lexicon, truths: Truths): readonly Found[] {
  const hints = leadHints(card, lexicon)
  const led = ledByText(card, hints)
  // A card that leads the other side as a whole is told once, not line by line.
  if (led && led !== card.writtenFor) return pairSlips(card, lexicon)
  const byLead = hints
    .filter((hint) => led && hint.leads !== led)
    .map(({ where, text, word }) => slipOf(where, text, word, SAY.sides.led(led!)))
  const found: Found[] = []
  const seen = [...roleSlips(card, lexicon, truths), ...pairSlips(card, lexicon)]
  for (const slip of [...byLead, ...seen, ...mistakeSlips(card, lexicon)])
    if (!found.some(({ where }) => where === slip.where)) found.push(wholeMend(slip, card, lexicon))
  return found
}

/** Braces that hold no side word: they fix nothing, and are read aloud as they stand. */
const emptyBraces = inLines(({ where, text }, lexicon) =>
  (text.match(/\{[^{}]*\}/g) ?? []).flatMap((whole) =>
    lexicon.find(whole.slice(1, -1)).length > 0
      ? []
      : [{ where, message: SAY.sides.emptyBraces(whole) }]
  )
)

/** On a card with one form: one side named, and the other nowhere near. */
function loneSides(card: Card, lexicon: Lexicon): Found[] {
  const lines = sidedLines(card)
  const named = ({ text }: SidedLine) =>
    lexicon.find(text).filter(({ role, kind }) => role === 'swaps' && kind !== 'turn')
  return lines.flatMap((line) => {
    const [word] = named(line)
    if (!word) return []
    const near = lines.filter(({ field }) => field === line.field)
    const both =
      near.some((each) => named(each).some(({ side }) => side !== word.side)) ||
      near.some(({ text }) => lexicon.tellsSwap(text) || lexicon.tellsOther(text))
    return both || lexicon.suspects(line.text, line).length > 0
      ? []
      : [{ where: line.where, message: SAY.sides.lone(wordIn(line.text, word), word.other) }]
  })
}

/** A rule about cards of one kind, in the words of the card's language. */
const onCards =
  (kinds: readonly Card['sides'][]) =>
  (check: Check): Rule['check'] =>
  (card) => {
    const pack = packOf(card.language)
    return pack && kinds.includes(card.sides) ? check(card, pack.sides) : []
  }
const sided = onCards(['sided'])
const even = onCards(['even'])
const any = onCards(['sided', 'even'])

/**
 * The rules about side words, and about both sides being one pose.
 * @param truthsOf what is known of the sides besides the words, from the figure
 */
export const sideRules = (truthsOf: (card: Card) => Truths = () => ({})): readonly Rule[] => [
  {
    id: 'sides/unsure-word',
    ...RULE_WORDS['sides/unsure-word'],
    source: 'common practice',
    severity: 'mend',
    check: sided(unsureWords),
  },
  {
    id: 'sides/suspect-fixed',
    ...RULE_WORDS['sides/suspect-fixed'],
    source: 'common practice',
    severity: 'note',
    check: sided(suspects),
  },
  {
    id: 'sides/silent-swap',
    ...RULE_WORDS['sides/silent-swap'],
    source: 'common practice',
    severity: 'note',
    check: sided(silentSwaps),
  },
  {
    id: 'sides/one-sided-cue-is-marked',
    ...RULE_WORDS['sides/one-sided-cue-is-marked'],
    source: 'common practice',
    severity: 'mend',
    check: sided(oneSidedCues),
  },
  {
    id: 'sides/same-form-on-both',
    ...RULE_WORDS['sides/same-form-on-both'],
    source: 'common practice',
    severity: 'mend',
    check: sided(oneSidedForms),
  },
  {
    id: 'sides/lead-agrees',
    ...RULE_WORDS['sides/lead-agrees'],
    source: 'common practice',
    severity: 'stop',
    check: sided(leadDisagrees),
  },
  {
    id: 'sides/slip',
    ...RULE_WORDS['sides/slip'],
    source: 'common practice',
    severity: 'note',
    check: sided((card, lexicon) => slips(card, lexicon, truthsOf(card))),
  },
  {
    id: 'sides/other-than-what',
    ...RULE_WORDS['sides/other-than-what'],
    source: 'common practice',
    severity: 'mend',
    check: any(relativesOf(['other'])),
  },
  {
    id: 'sides/front-back-is-set',
    ...RULE_WORDS['sides/front-back-is-set'],
    source: 'common practice',
    severity: 'mend',
    check: any(relativesOf(['front-back', 'top-bottom'])),
  },
  {
    id: 'sides/braces-fix-a-side',
    ...RULE_WORDS['sides/braces-fix-a-side'],
    source: 'format',
    severity: 'mend',
    check: any(emptyBraces),
  },
  {
    id: 'sides/even-names-both',
    ...RULE_WORDS['sides/even-names-both'],
    source: 'common practice',
    severity: 'mend',
    check: even(loneSides),
  },
]
