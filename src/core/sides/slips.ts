import { type Card, type Cue, type Found, otherSide, type Side, valueAt } from '../card'
import {
  inEach,
  type Lexicon,
  type Pose,
  rememberWith,
  SAY,
  type SideRole,
  type SideWord,
} from '../language'
import { type SidedLine, sidedLines } from './sidedLines'

/** The side that has a role, told by something else than the words. */
export type Truths = Partial<Record<SideRole, Side>>

/** What a claim comes down to: one role that all claims like it are counted by. */
interface Vote {
  anchor: Anchor
  side: Side
}
/** A role, or which limb is moved. */
type Anchor = SideRole | `moves ${string}`
const roleOf = (anchor: Anchor) => anchor.split(' ')[0] as SideRole

const across: Partial<Record<SideRole, SideRole>> = {
  back: 'front',
  'hip-forward': 'front',
  standing: 'lifted',
}
const alike: Partial<Record<SideRole, SideRole>> = { 'hip-back': 'front' }
/** Roles that both sides can have: a claim is only held against the figure, and counts for nothing. */
const ONLY_SHOWN: ReadonlySet<SideRole> = new Set([
  'straight',
  'sole',
  'low',
  'up',
  'kneeling',
  'bent',
  'out',
])
/** Roles that claims alone can settle: two sides cannot both have them. */
const LEADING_ONLY: ReadonlySet<SideRole> = new Set(['hip-forward', 'hip-back'])

/** In a side bend and in a twist the arms and ribs follow the trunk. */
const FOLLOWS: Partial<
  Record<Card['spine'], Partial<Record<SideRole, [SideRole, 'same' | 'other']>>>
> = {
  side: { 'open-ribs': ['bend', 'other'], low: ['bend', 'same'], up: ['bend', 'other'] },
  twist: { behind: ['turn', 'same'], across: ['turn', 'other'] },
}

interface Claim {
  line: SidedLine
  word: SideWord
  role: SideRole
  votes: Vote[]
}

interface Settled {
  anchor: Anchor
  side: Side
  votes: number
  /** Whether only the way out tells it. */
  inExit: boolean
  /** The words, or the figure, or the name of the side, that tell it best. */
  by: 'figure' | 'lead' | Claim
}

const CHECKED = new Set<SidedLine['field']>([
  'setUp',
  'enter',
  'exit',
  'alignment',
  'mistakes',
  'ladder',
  'assists',
  'otherWay',
])

const claimsIn = inEach(
  (lexicon: Lexicon, spine: Card['spine'], base: Card['base'], lead: SideRole | null) => {
    const follows = FOLLOWS[spine] ?? {}
    return (line: SidedLine): readonly Claim[] => {
      if (!CHECKED.has(line.field)) return []
      return lexicon.claims(line.text, line).flatMap(({ role, word, side, limb }): Claim[] => {
        if (LEADING_ONLY.has(role) && lead !== 'front') return []
        const votes: Vote[] = []
        const other = across[role]
        const same = alike[role]
        if (other) votes.push({ anchor: other, side: otherSide(side) })
        else votes.push({ anchor: limb ? `moves ${limb}` : (same ?? role), side })
        const follow = role === 'lies' && base !== 'side-lying' ? undefined : follows[role]
        if (follow)
          votes.push({ anchor: follow[0], side: follow[1] === 'same' ? side : otherSide(side) })
        return [{ line, word, role, votes }]
      })
    }
  }
)

const LEAD_VOTES = 2
const FIGURE_VOTES = 3

/** The votes for a role by side, with the side that was told first and what told each side first. */
type Counted = Record<Side, number> & { begun: Side; first: Partial<Record<Side, Settled['by']>> }

/** Which side has each role, by what the figure shows, the lead, and most of the words. */
function settle(
  card: Card,
  lead: SideRole | null,
  truths: Truths,
  claims: readonly Claim[]
): Map<Anchor, Settled> {
  const count = new Map<Anchor, Counted>()
  const add = (anchor: Anchor, side: Side, votes: number, by: Settled['by']) => {
    const now = count.get(anchor) ?? { left: 0, right: 0, begun: side, first: {} }
    now[side] += votes
    now.first[side] ??= by
    count.set(anchor, now)
  }
  for (const [role, side] of Object.entries(truths) as [SideRole, Side][])
    // In front, the figure tells less than the name of the side: feet apart turn.
    if (role !== lead && !(role === 'front' && lead)) add(role, side, FIGURE_VOTES, 'figure')
  if (lead) {
    const anchor = across[lead] ?? lead
    const side = across[lead] ? otherSide(card.writtenFor) : card.writtenFor
    add(anchor, side, LEAD_VOTES, 'lead')
  }
  for (const claim of claims)
    for (const { anchor, side } of claim.votes) add(anchor, side, 1, claim)
  const settled = new Map<Anchor, Settled>()
  for (const [anchor, votes] of count) {
    // Of two that are told as often, the one that is told first.
    const side: Side =
      votes.left === votes.right ? votes.begun : votes.left > votes.right ? 'left' : 'right'
    const by = votes.first[side]!
    const inExit = typeof by === 'object' && by.line.place === 'exit'
    settled.set(anchor, { anchor, side, votes: votes[side], inExit, by })
  }
  return settled
}

function against(claim: Claim, settled: Map<Anchor, Settled>, all: readonly Claim[]) {
  for (const { anchor, side } of claim.votes) {
    const known = settled.get(anchor)
    if (!known || known.side === side) continue
    const own = all.filter((each) =>
      each.votes.some((vote) => vote.anchor === anchor && vote.side === side)
    ).length
    // Both sides can be bent, up, or on the floor: only what is drawn, or said three times over, rules it out.
    const shown = known.by === 'figure' || known.by === 'lead'
    const undone = claim.role === 'moves' && claim.line.place === 'exit'
    const enough = undone
      ? own === 1 && known.votes >= 1 && !known.inExit
      : claim.role === 'moves'
        ? known.votes >= 3 && own === 1
        : ONLY_SHOWN.has(roleOf(anchor))
          ? shown || (known.votes >= 3 && own === 1)
          : known.votes >= 2 && known.votes > own
    if (enough) return known
  }
  return null
}

export const wordIn = (text: string, word: SideWord) => text.slice(word.start, word.end)
export const withWord = (text: string, word: SideWord, instead: string) =>
  text.slice(0, word.start) + instead + text.slice(word.end)

/** What a slip is told with, and the other word offered. */
export const slipOf = (where: string, text: string, word: SideWord, why: string): Found => ({
  where,
  message: SAY.sides.slip(wordIn(text, word), why),
  fix: {
    label: SAY.sides.sayOther(word.other),
    patches: [{ path: where, value: withWord(text, word, word.other) }],
  },
})

function told({ line, word }: Claim, { anchor, side, by }: Settled): Found {
  const why =
    by === 'figure'
      ? SAY.sides.shown(SAY.sides.role[roleOf(anchor)](side))
      : by === 'lead'
        ? SAY.sides.led(side)
        : SAY.sides.saidElsewhere(by.line.text)
  return slipOf(line.where, line.text, word, why)
}

/** Lines whose side word goes against the rest of the card, its lead or its figure. */
export function roleSlips(card: Card, lexicon: Lexicon, truths: Truths): Found[] {
  const lead = lexicon.namedRole(card.sideNamedBy)
  const found: Found[] = []
  const all = claimsIn(sidedLines(card), lexicon, card.spine, card.base, lead)
  // The other way of a twist turns the trunk, not the legs.
  const claims = all.filter(({ line }) => line.field !== 'otherWay')
  const settled = settle(card, lead, truths, claims)
  for (const claim of claims) {
    const known = against(claim, settled, claims)
    if (known) found.push(told(claim, known))
  }
  const turn = settled.get('turn')
  if (turn) {
    const turned = all
      .filter(({ line }) => line.field === 'otherWay')
      .map((claim) => ({
        ...claim,
        votes: claim.votes.filter(({ anchor }) => anchor === 'turn'),
      }))
    const back = new Map<Anchor, Settled>([['turn', { ...turn, side: otherSide(turn.side) }]])
    for (const claim of turned) {
      const known = against(claim, back, turned)
      if (known) found.push(told(claim, known))
    }
  }
  return found
}

/** The one side on which a line names a place of the limbs; null where it names none, or both. */
function sideOf(text: string, of: string, lexicon: Lexicon): Side | null {
  const sides = new Set(
    lexicon.limbs(text).flatMap(({ word, place }) => (place === of ? (word.side ?? []) : []))
  )
  return sides.size === 1 ? [...sides][0]! : null
}

/**
 * Of a cue about one foot, or one hand, the side word that is likely wrong: what goes wrong with
 * it and what is said to it are both about the other one.
 */
function cueSlip(
  cue: string,
  { seen, say }: Pick<Card['mistakes'][number], 'seen' | 'say'>,
  lexicon: Lexicon
): SideWord | null {
  const slip = lexicon.limbs(cue).find(({ place }) => {
    const own = sideOf(cue, place, lexicon)
    return own && [seen, say].every((text) => sideOf(text, place, lexicon) === otherSide(own))
  })
  return slip?.word ?? null
}

/**
 * A mistake that names a limb of one side, where the cue that it breaks is about the other one.
 * What is said to mend it can be about the other side, unless what is seen names this very limb.
 */
export function mistakeSlips(card: Card, lexicon: Lexicon): Found[] {
  return card.mistakes.flatMap((mistake, i) => {
    const at = card.alignment.findIndex(({ id }) => id === mistake.cue)
    return at < 0 ? [] : slipsOfMistake(mistake, i, card.alignment[at]!, at, lexicon)
  })
}

const slipsOfMistake = rememberWith(
  (
    mistake: Card['mistakes'][number],
    i: number,
    cue: Cue,
    at: number,
    lexicon: Lexicon
  ): readonly Found[] => {
    const wrong = cueSlip(cue.text, mistake, lexicon)
    if (wrong)
      return [
        slipOf(`alignment[${at}].text`, cue.text, wrong, SAY.sides.saidElsewhere(mistake.seen)),
      ]
    return (['seen', 'why', 'say'] as const).flatMap((key) =>
      lexicon.limbs(mistake[key]).flatMap(({ word, place }): Found[] => {
        // Who names both sides of a limb compares them.
        if (!sideOf(mistake[key], place, lexicon)) return []
        const isOther = (text: string) =>
          sideOf(text, place, lexicon) === (word.side && otherSide(word.side))
        // A cue that names no limb there is about both; what is seen names the one that is meant.
        const open = lexicon.limbs(cue.text).every((each) => each.place !== place)
        const against =
          key === 'seen' ? isOther(cue.text) : isOther(mistake.seen) && (open || isOther(cue.text))
        if (!against) return []
        const where = `mistakes[${i}].${key}`
        const why =
          key !== 'seen' && open
            ? SAY.sides.saidElsewhere(mistake.seen)
            : SAY.sides.itsCue(cue.text)
        return [slipOf(where, mistake[key], word, why)]
      })
    )
  }
)

/** Pairs of side words in a line that cannot both be right. */
const broken = (text: string, pose: Pose, lexicon: Lexicon) =>
  lexicon
    .pairs(text, pose)
    .filter(({ must, words: [a, b] }) => (a.side === b.side) !== (must === 'same'))

/**
 * A slip whose mend breaks the line elsewhere, with the word that hangs on it changed as well:
 * “left knee beside the right” was meant the other way round as a whole. Where that does not
 * help, nothing is offered.
 */
export function wholeMend(slip: Found, card: Card, lexicon: Lexicon): Found {
  const patch = slip.fix?.patches[0]
  if (!patch || !('value' in patch)) return slip
  const value = patch.value as string
  const [pair] = broken(value, card, lexicon)
  if (!pair) return slip
  const { fix: _, ...told } = slip
  const before = lexicon.find(valueAt(card, slip.where) as string)
  const kept = pair.words.find(
    (word) => !before.some(({ start, side }) => start === word.start && side !== word.side)
  )
  const both = kept && withWord(value, kept, kept.other)
  if (!both || broken(both, card, lexicon).length > 0) return told
  return {
    ...told,
    fix: {
      label: SAY.sides.sayOther(both),
      patches: [{ path: slip.where, value: both }],
    },
  }
}

/** Two side words of one line that cannot both be right. */
export const pairSlips = (card: Card, lexicon: Lexicon): readonly Found[] =>
  pairSlipsIn(sidedLines(card), lexicon, card.base, card.spine)

const pairSlipsIn = inEach(
  (lexicon: Lexicon, base: Card['base'], spine: Card['spine']) =>
    ({ where, text, field }: SidedLine): readonly Found[] =>
      // The other way of a twist leaves the legs as they are: an arm may come to the knee of its side.
      field === 'otherWay'
        ? []
        : broken(text, { base, spine }, lexicon).map(({ must, told: words }) => ({
            where,
            message: must === 'same' ? SAY.sides.pairSame(words) : SAY.sides.pairDiffers(words),
          }))
)
