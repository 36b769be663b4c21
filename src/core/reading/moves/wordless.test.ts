import { readdirSync, readFileSync } from 'node:fs'
import { readCardBytes } from '../../formats'
import { type Instruction } from '../../language'
import { sidedLines } from '../../sides'
import { markRead } from '../marksRead'
import { readLine } from '../readLine'
import { apply } from './apply'
import { stanceOf, startFigure } from './stance'

/** What a line does to a body hangs on what was read in it, and on no word of its language. */

const DEMO = readdirSync('demo')
  .map((name) => readCardBytes(readFileSync(`demo/${name}`)))
  .flatMap((card) => sidedLines(card).map(({ text }) => text))
const LINES = [
  ...new Set([
    ...readFileSync('tests/fixtures/reading.txt', 'utf8')
      .split('\n')
      .map((line) => line.split('=>')[0]!.trim()),
    ...DEMO,
  ]),
].filter(Boolean)

/** As a language would say it that has none of our words. */
const inNoWords = (n: Instruction): Instruction => ({
  ...n,
  word: 'qx',
  places: n.places.map((place) => ({ ...place, word: 'qx' })),
  amount: n.amount && { ...n.amount, words: 'qx' },
  manner: n.manner && 'qx',
})

test.each([
  'standing',
  'wide',
  'kneeling',
  'hands-and-knees',
  'long-seat',
  'supine',
  'supine-knees-bent',
  'prone',
  'side-lying',
  'plank',
  'dog',
])('from %s every line does the same in no words', (start) => {
  let moved = 0
  for (const line of LINES)
    for (const n of readLine(line).instructions) {
      const [said, wordless] = [n, inNoWords(n)].map((each) => {
        const s = stanceOf(startFigure(start)!, 'right')
        return { did: apply(s, each), s }
      })
      expect([line, wordless]).toEqual([line, said])
      if (said!.did === 'moved') moved += 1
    }
  expect(moved).toBeGreaterThan(200)
})

test('a cue offers the same mark in no words', () => {
  let marks = 0
  for (const line of LINES)
    for (const n of readLine(line).instructions) {
      const mark = markRead(n)
      expect([line, markRead(inNoWords(n))]).toEqual([line, mark])
      if (mark) marks += 1
    }
  expect(marks).toBeGreaterThan(40)
})
