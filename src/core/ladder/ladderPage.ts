import { DEMANDED } from '../card'
import { LADDER } from '../language'
import {
  BY_WALL,
  DEMAND_WEIGHTS,
  EASY,
  EYES_CLOSED,
  HALF_HEAD,
  HALF_LOW_CM,
  HALF_NECK,
  HALF_SECONDS,
  HALF_STRENGTH,
  HALF_TIP,
  HALF_WRIST,
  HANGS,
  HEAD_OWN,
  IN_THE_MIDDLE,
  MOST_OF_NORM,
  OF_REST,
  REST,
  STRAIGHT_WRIST,
} from './demand'
import { GAP } from './levels'
import { NORMS } from './motions'
import { LEAP, LEAP_TOTAL, SAME, SAME_CM, TAKES } from './order'
import { LESS } from './place'
import { READY_BODIES } from './person'
import { MOTIONS } from './words'

const percent = (part: number) => `${Math.round(part * 100)} %`

/** How demands are worked out, as a page for trainers: made from the numbers that are used. */
export function ladderPage(): string {
  const motions = MOTIONS.map(
    (motion) => `| ${motion} | ${NORMS[motion].normal}° | ${NORMS[motion].counts} |`
  ).join('\n')
  const weights = DEMANDED.map(
    (part) =>
      `| ${LADDER.demanded[part]} | ${LADDER.demandedMeans[part]} | ${DEMAND_WEIGHTS[part]} |`
  ).join('\n')
  const bodies = READY_BODIES.map(
    ({ id, person: p }) =>
      `| ${LADDER.person.ready[id]} | ${p.stature} cm | ${p.legs} / ${p.arms} / ${p.trunk} | ${p.straightLegRaise}° | ${p.hipOpening}° | ${p.shoulderReach}° | ${p.ankleBend}° | ${p.wristBend}° | ${p.neckTurn}° | ${p.weightOnHands ? 'yes' : 'no'} |`
  ).join('\n')
  const moves = Object.keys(LADDER.moves)
    .map((move) => move.replaceAll('-', ' '))
    .join(', ')
  return `# The ladder

What each rung asks of the body, how the order is judged, and how a rung is found for a person. This page is made from the numbers that Notula uses (\`npm run docs\`). They are a measure to compare rungs by, not a measure of a person, and never a promise that a form is safe: a clinician and the teacher’s eye come first.

## A rung is a difference

A rung tells what it does otherwise than the form described: steps and cues that are replaced, added or left out, props, a stay, a figure. Its whole step list, time, findings, figure and paper follow (\`?rung=ID\` on a card’s page, \`--rung ID\` on the command line). Rungs are named by their ids, so that moving and renaming them changes nothing else. A cue in other words keeps no measure of the card’s. A form that stands beside the ladder (*Beside: yes*) is no step of the climb.

The form of a rung is the one that is drawn for it; else the one that its words move, when all that it changes is understood; else the form described. Where it says something else that is not understood, or names other props and nothing more, the number is the form described and is told as **not sure**; the order rules leave such rungs alone.

## What a form asks

Each part goes from 0 to 100 by one bend: an ask of 1 is 50, of 2 is 75, 100 is never reached (100 · (1 − 2^−ask)). *Why* under the bars shows what each number came from.

| part | is | counts |
|---|---|---|
${weights}

The total is the mean of the parts by what each counts; a school sets its own weights. It is always told with its parts.

**Range.** Each motion against its normal range, as (part − ${EASY}) / (1 − ${EASY}) squared, times what it counts; below ${percent(EASY)} of the range is easy, above ${percent(MOST_OF_NORM)} no more is counted. Motions together by their third powers. An ask of 1 is one large joint at the end of its normal range. Wrists are told under hands. Normal ranges: AAOS 1965; straight-leg raise 80°, texts on physical examination, 70 to 90 (both from memory). What each counts is our own.

| motion | normal | counts |
|---|---|---|
${motions}

**Strength.** The moments that hold the form still, shared so that joints hold least against what they can ([figures](figures.md)), against what joints can hold: Stobbe 1982, static strength of fifty working people, the middle of the middle man and woman, as given in Chaffin, Andersson & Martin, *Occupational Biomechanics* (from memory). Below ${percent(REST)} it is rest. A joint at the end of its range that is pushed on that way hangs in its ligaments: ${percent(HANGS)} of it is counted. The largest joints lead (fourth powers). An ask of 1 is a joint that holds ${percent(HALF_STRENGTH)} of what it can. It is the least that a body needs; a body that grips needs more.

**Balance.** How far the body could tip before its weight is past the edge: the way to the edge (${percent(IN_THE_MIDDLE)} by half of the support’s narrowest width, because people sway to the middle, the rest by where the weight is drawn) over the height of the centre of mass. ${HALF_TIP}° is 50, twice that is 25. A wall that is touched leaves ${percent(BY_WALL)}; closed eyes count the support as ${EYES_CLOSED} times as small. Our own.

**Hands.** Weight on each hand, times how far its wrist bends back against the normal 70°; a straight wrist (fist, fingertips) counts ${percent(STRAIGHT_WRIST)}. An ask of 1 is ${percent(HALF_WRIST)} of the weight at the end of the range. The shares of weight are held against Suprak, Dawes & Stephenson 2011 in the tests.

**Head and neck.** Weight on the head beyond its own (${percent(HEAD_OWN)} of the body; ${percent(HALF_HEAD)} is an ask of 1), a bent neck under weight (${percent(HALF_NECK)} of the weight above a neck at the end of its range), and the head below the heart (${HALF_LOW_CM} cm). Our own.

**Time.** How long the form is held or moved: ${HALF_SECONDS} s of full work is an ask of 1; rest counts ${percent(OF_REST)} of it.

## The order

Only rungs whose form is known are compared. A rung is told that asks ${LESS} points less than one below it; a step of more than ${LEAP} points in one part or ${LEAP_TOTAL} in all is a leap; two rungs are the same when every part is within ${SAME} points and the joints within ${SAME_CM} cm; a part is taken away when it is ${TAKES} points less. A lower rung whose own prop takes the range further than the rung above *deepens*; without a figure, words such as “a block under the front foot” tell it. All of these are our own, set by trying them on ladders of the trade. In the deck a stretch of ${GAP} points with no rung in it is a gap.

## Named moves

${moves}. Each is solved as a figure; what no body could stand in is not offered.

## For a body

A person is told by stature, proportions and six ranges, and by whether the hands may carry weight. The form is solved on their proportions; what it asks beyond their ranges is missing in degrees; with their ranges it is solved again, and what then stays away from the floor is missing in centimetres. Of blanket, blocks and chair the lowest that closes the gap is told; a pad under a stiff heel and a wedge under a stiff wrist by their heights. Two degrees and two centimetres are let go. The first open rung is the lowest one that is open.

| ready body | stature | legs / arms / trunk | leg raise | hip opening | shoulder | ankle | wrist | neck | hands |
|---|---|---|---|---|---|---|---|---|---|
${bodies}

As JSON: \`{"stature": 170, "straightLegRaise": 60, "hipOpening": 30, "weightOnHands": false}\`; what is left out is the usual. Names may be written with blanks or hyphens, and be grouped in \`limits\` and \`proportions\`.

## What it cannot tell

What a form is worth; fear; pain; how fresh someone is. A figure that is drawn out of balance by up to 5 cm is taken as meant; one that falls further is not compared. Steps on the way in and out are not rated, only the form.
`
}
