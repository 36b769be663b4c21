import { readdirSync, readFileSync } from 'node:fs'
import { ribbonOf, timelineOf } from '../../src/core/breath'
import { type Card, DEFAULT_SCHOOL, type School, withValue } from '../../src/core/card'
import { askedOf, DEFAULT_POLICY, policyFrom } from '../../src/core/cautions'
import { checkCard } from '../../src/core/check'
import { type Figure, finalFigure, solve } from '../../src/core/figure'
import { readCard } from '../../src/core/formats'
import { demandsOf, rungForm } from '../../src/core/ladder'
import { draftsOf, readCard as readLines } from '../../src/core/reading'
import { cardLedFrom, rewriteSided, sidedLines } from '../../src/core/sides'
import { followDeck } from '../../src/workers/deckCautions'
import { deckFindings } from '../../src/workers/deckFindings'
import { workFigure } from '../../src/workers/figure'
import { player } from '../../src/workers/play'

/** Ratios of the core, measured in turns within one run; printed as JSON. */

const ROUNDS = 60
const TIMES = 40

/** Middle of the rounds, in microseconds a call; the rounds of all are run in turns. */
function inTurns<T extends Record<string, () => unknown>>(works: T): Record<keyof T, number> {
  const taken = Object.fromEntries(Object.keys(works).map((name) => [name, [] as number[]]))
  for (let round = 0; round < ROUNDS; round += 1)
    for (const [name, work] of Object.entries(works)) {
      const started = process.hrtime.bigint()
      for (let i = 0; i < TIMES; i += 1) work()
      taken[name]!.push(Number(process.hrtime.bigint() - started) / 1000 / TIMES)
    }
  return Object.fromEntries(
    Object.entries(taken).map(([name, times]) => [name, times.sort((a, b) => a - b)[ROUNDS / 2]!])
  ) as Record<keyof T, number>
}

/** A card with 40 steps, made from the demo. */
function fortySteps(): Card {
  const card = readCard(readFileSync('demo/long-side-angle.md', 'utf8'))
  const step = (i: number) => ({ ...card.enter[i % card.enter.length]!, id: `s${i + 1}` })
  return { ...card, enter: Array.from({ length: 40 }, (_, i) => step(i)) }
}

/** A card whose every line is its own, so that nothing worked out before serves again. */
function fresh(from: Card, n: number): Card {
  const mark = [...String(n)].map((digit) => 'bcdfglmnpr'[Number(digit)] + 'a').join('')
  const own = (text: string) => (text ? text.replace(/\.?$/, ` ${mark}.`) : text)
  return {
    ...rewriteSided(from, own),
    id: `${from.id}-${n}`,
    cautions: from.cautions.map((each) => ({ ...each, say: own(each.say) })),
  }
}

const card = fortySteps()
let typed = 0

/** One key press on the bench: the line changes, and all that hangs on it. */
function keyPress() {
  typed += 1
  const text = `Press the left foot down and grow ${'a'.repeat(1 + (typed % 30))}${typed}.`
  const now = withValue(card, `enter[${typed % 40}].text`, text)
  return [
    cardLedFrom(now, 'left', 'right'),
    cardLedFrom(now, 'right', 'right'),
    checkCard(now),
    timelineOf(now, DEFAULT_SCHOOL),
    ribbonOf(now, DEFAULT_SCHOOL),
  ]
}

const { mirror, clone, key } = inTurns({
  mirror: () => cardLedFrom(card, 'left', 'right'),
  clone: () => structuredClone(card),
  key: keyPress,
})

const demo = readdirSync('demo').map((name) => readCard(readFileSync(`demo/${name}`, 'utf8')))
const deck = Array.from({ length: 1000 }, (_, i) => ({
  card: fresh(demo[i % demo.length]!, i),
  version: 1,
}))
const microseconds = (work: () => unknown) => {
  const started = process.hrtime.bigint()
  work()
  return Number(process.hrtime.bigint() - started) / 1000
}
deckFindings({ cards: deck.slice(0, 100), school: DEFAULT_SCHOOL }, () => undefined)
const other = deck.map((each, i) => ({ ...each, card: fresh(each.card, 1000 + i) }))
let cloned = 0
let copied = 0
/** Copies of the cards whose findings were just told: both in turns, in the same minute. */
const copiedTo = (done: number) => {
  cloned += microseconds(() => other.slice(copied, done).map((each) => structuredClone(each.card)))
  copied = done
}
const found =
  microseconds(() =>
    deckFindings({ cards: other, school: DEFAULT_SCHOOL }, (told) => {
      if ('done' in told) copiedTo(told.done)
    })
  ) - cloned

/** A part of each demo figure, pulled a little further each time: one solve and one drawing. */
const pulled = demo.flatMap((each) => {
  const final = finalFigure(each)
  return final ? [{ figure: final.figure, from: solve(final.figure).pose }] : []
})
const HANDLES = ['right hand', 'left knee', 'head', 'pelvis']
const drags: number[] = []
for (let round = 0; round < 12; round += 1)
  for (const [i, { figure, from }] of pulled.entries()) {
    const drag = { handle: HANDLES[(round + i) % 4]!, from, dx: round / 2, dy: -round / 3 }
    const taken = microseconds(() =>
      workFigure({ seq: 1, figure, side: 'right', namedBy: null, drag })
    )
    // The first rounds warm the engine up.
    if (round >= 4) drags.push(taken)
  }
const drag = drags.sort((a, b) => a - b)[Math.floor(drags.length / 2)]!

/** Reading a card of 40 steps, each line of its own, so that none was read before. */
const reads: number[] = []
for (let round = 0; round < 200; round += 1) {
  const mine = fresh(card, 5000 + round)
  sidedLines(mine)
  const taken = microseconds(() => readLines(mine))
  if (round >= 100) reads.push(taken)
}

/** A chain of ten steps drafted anew, and the same forms solved one by one. */
const chains: number[] = []
const singles: number[] = []
const ten = {
  ...card,
  enter: card.enter.slice(0, 7),
  exit: card.exit.slice(0, 3),
  ladder: [],
} as Card
for (let round = 0; round < 12; round += 1) {
  const mine = { ...ten, id: `chain-${round}` }
  let forms: Figure[] = []
  // Another stature each time: no body that was found before serves again.
  const stature = 165 + round
  chains.push(
    microseconds(() => {
      forms = draftsOf(mine, { kept: false, stature }).map(({ figure }) => figure)
    })
  )
  singles.push(
    microseconds(() => forms.slice(1).forEach((figure) => solve(figure, { stature }))) /
      (forms.length - 1)
  )
}

/** One picture of a card as it moves, at times over all of it. */
const pictures: number[] = []
for (const each of demo.slice(0, 12)) {
  const play = player()
  const loaded = play({ kind: 'load', card: each, school: DEFAULT_SCHOOL })
  const whole = loaded?.kind === 'loaded' ? Math.min(loaded.seconds, 60) : 0
  // Twice: what leads from form to form is found ahead of its time, while the one before plays.
  for (const counts of [false, true])
    for (let seconds = 0; seconds < whole; seconds += 0.7) {
      const taken = microseconds(() => play({ kind: 'frame', seconds }))
      if (counts) pictures.push(taken)
    }
}
/** What all rungs of a deck ask, each of a form of its own, and the same forms only solved. */
const rungsOf = (round: number) =>
  deck.slice(0, 500).map(({ card: each }, i): Card => ({
    ...each,
    ladder: each.ladder.map((rung, k) => ({
      ...rung,
      figure: {
        ...rung.figure,
        angles: {
          ...(rung.figure?.angles as object | undefined),
          // Nobody sees it, and no body that was found before serves again.
          head: { flexion: ((round * 500 + i) * 7 + k) / 5000 },
        },
      } as typeof rung.figure,
    })),
  }))
const formsOfDeck = rungsOf(0).map((each) =>
  each.ladder.flatMap(({ id }) => rungForm(each, id).figure ?? [])
)
let [solves, demands] = [0, 0]
// Card by card in turns, both in the same minute.
for (const [i, each] of rungsOf(1).entries()) {
  solves += microseconds(() => formsOfDeck[i]!.forEach((figure) => solve(figure)))
  demands += microseconds(() => demandsOf(each, DEFAULT_SCHOOL))
}

/** The verdicts of 1,000 cards of five rungs for 40 conditions, and the same traits read once. */
const FIVE_OWN = Array.from({ length: 5 }, (_, i) => ({
  id: `own-${i}`,
  group: 'our own',
  name: `own ${i}`,
  synonyms: [],
}))
const ownSchool: School = {
  ...DEFAULT_SCHOOL,
  conditions: FIVE_OWN,
  policy: policyFrom([
    ...DEFAULT_POLICY,
    ...FIVE_OWN.flatMap(({ id }, i) =>
      DEFAULT_POLICY.slice(i * 4, i * 4 + 4).map((rule, k) => ({
        ...rule,
        id: `${id}/${k}`,
        condition: id,
      }))
    ),
  ]),
}
const fiveRungs = deck.map(({ card: each }, i) => {
  const rungs = each.ladder.length > 0 ? each.ladder : demo[0]!.ladder
  const own = Array.from({ length: 5 }, (_, k) => rungs[k % rungs.length]!)
  return {
    card: {
      ...each,
      ladder: own.map((rung, k) => ({
        ...rung,
        id: `r${k}`,
        figure: {
          ...rung.figure,
          angles: {
            ...(rung.figure?.angles as object | undefined),
            // 500 forms that differ, so that solving them does not take minutes.
            head: { flexion: (Math.floor(i / demo.length) % 5) / 500 },
          },
        } as typeof rung.figure,
      })),
    },
  }
})
const traits = microseconds(() => fiveRungs.forEach(({ card: each }) => askedOf(each, ownSchool)))
const verdicts = microseconds(() =>
  followDeck()({ n: 1, ask: 'load', cards: fiveRungs, school: ownSchool }, () => undefined)
)

const middle = (all: number[]) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)]!

console.log(
  JSON.stringify({
    read: middle(reads),
    chain: middle(chains),
    single: middle(singles),
    picture: middle(pictures),
    mirror,
    clone,
    key,
    found: found / 1000,
    cloned: cloned / 1000,
    drag,
    demands: demands / 1000,
    solves: solves / 1000,
    rungs: formsOfDeck.flat().length,
    traits: traits / 1000,
    verdicts: verdicts / 1000,
  })
)
