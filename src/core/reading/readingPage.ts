import { ACTIONS, BODY_PARTS, readerOf, THINGS, WAYS } from '../language'

const MOST_TOLD = 14

const row = (name: string, words: readonly string[]) =>
  `| ${name} | ${words.slice(0, MOST_TOLD).join(', ')}${words.length > MOST_TOLD ? ' …' : ''} |`

const table = (title: string, names: readonly string[], words: Record<string, string[]>) =>
  `| ${title} | as it is written |\n|---|---|\n${names
    .filter((name) => words[name]?.length)
    .map((name) => row(name, words[name]!))
    .join('\n')}`

/** What is understood of English, as a page for trainers: made from the words that are read. */
export function readingPage(): string {
  const { words } = readerOf('en')!
  return `# What the words do

A line that is understood moves the figure, and is checked for sense. This page is made from the words that Notula knows (\`npm run docs\`).

## How a line is read

- A line is what to do, with which part, on which side, and where to: *Step the left foot back.* *Bend the right knee over the ankle.* Or a part and how it is to be: *left arm up*, *palms together*, *heels under the knees*.
- Several things in one line are read one by one, at commas, *and*, *then*, *while* and *as you*.
- A part that has two sides is done with both when it is told of both: *the knees*, *both arms*. *The knee* alone is no side, and moves nothing on a card with two sides, unless the same line or the step before said which.
- *Front*, *back*, *top*, *bottom*, *standing*, *lifted*, *bent*, *other* and *opposite* are settled by what the side is named by, and by the lines before.
- How much: *a little*, *halfway*, *45 degrees*, *a leg length*, *hip-width*.
- What is told not to be done, and what hangs on *if*, *until* or *before*, moves nothing.
- **What is not understood stays a plain line**: it gets a dotted line under the row, moves nothing, and no rule speaks of it. Nothing is guessed. When you are in doubt, hover or enter the line and look.

## How the figure follows

The set-up’s place line gives the start (*Kneel tall*, *Lie on the back, knees bent*, *All fours*); each step goes on from the form before. A foot that steps leaves the floor and lands; a hand that is placed is carried; what is said of both does both. How far a movement goes when the words do not say is usual practice, and yours to correct: pull the pale figure, or keep it with \`Alt+K\`. A form that you keep stays, and the words after it go on from it.

How near the drafts of the demo come to its figures posed by hand: [drafts](drafts.md).

## Set-up lines

Standing (feet together, apart, wide, facing a wall or an edge of the mat, on one leg), squat, kneeling, one knee down, the heel seat, seated (legs long, crossed, knees bent, soles together, on a blanket, a block, a bolster or a chair), hands and knees, forearms and knees, plank, dog, lying on the front, the back (knees bent, legs up the wall, calves on a chair) or a side.

## Actions

${table('action', ACTIONS, words.actions)}

## Parts

${table('part', BODY_PARTS, words.parts)}

## Ways

${table('way', WAYS, words.ways)}

## Places that are no part of the body

${table('place', THINGS, words.things)}

## How a part stands to a place

${table('relation', Object.keys(words.relations), words.relations)}
`
}
