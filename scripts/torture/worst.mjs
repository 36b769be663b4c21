import { readFileSync } from 'node:fs'
import path from 'node:path'
import { zipSync } from 'fflate'
import { root } from '../lib.mjs'

/** The worst files that are known, and cards that are changed at random; made from a demo card. */

const gate = readFileSync(path.join(root, 'demo/gate.md'), 'utf8')
const bytes = (text) => new TextEncoder().encode(text)
const lines = (many, line) => Array.from({ length: many }, (_, i) => line(i)).join('\n')

/** Files that want more than their share, by what they do. */
export function worstFiles(cards = 1500) {
  const zip = (files) => zipSync(Object.fromEntries(files))
  return {
    'lists nested 2,500 deep': [
      'x.md',
      bytes(`${gate}\n${lines(1200, (i) => `${' '.repeat(i)}- a`)}`),
    ],
    '6,000 underlined headings': ['x.md', bytes(`${gate}\n${lines(6000, () => 'a\n---')}`)],
    '15,000 names between the --- lines': [
      'x.md',
      bytes(`---\n${lines(15_000, (i) => `k${i}: 1`)}\n---\n`),
    ],
    '60 files of 2 MB of one letter in a ZIP': [
      'x.zip',
      zip(
        Array.from({ length: 60 }, (_, i) => [`${i}.md`, bytes('a'.repeat(2 * 1024 * 1024 - 10))])
      ),
    ],
    'emphasis without end': ['x.md', bytes(`${gate}\n${`${'*a _b '.repeat(100)}\n`.repeat(2000)}`)],
    'JSON 20,000 deep': ['x.json', bytes(`{"notula": 2, "x": ${'['.repeat(20_000)}`)],
    [`a ZIP of ${cards.toLocaleString('en')} cards`]: [
      'x.zip',
      zip(
        Array.from({ length: cards }, (_, i) => [
          `${i}.md`,
          bytes(gate.replace(/^id: gate$/m, `id: gate-${i}`)),
        ])
      ),
    ],
  }
}

/** A generator that gives the same numbers for the same seed (mulberry32). */
export function seeded(seed) {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const SCRAPS = [
  '---',
  '\n',
  '- ',
  '## ',
  '[',
  ']',
  '{',
  '}',
  '"',
  ':',
  '*',
  '&a',
  '*a',
  '\t',
  '\u0000',
  '\ud83d',
  'ś',
  '1e308',
  '#',
  '> ',
  '```',
  'left',
  '=1',
  '\\',
  "'",
  '!!',
  '|',
  '<',
  '%',
]

/** A demo card with a few places changed: cut, doubled, swapped, scraps put in. */
export function mutated(random) {
  let text = gate
  const at = () => Math.floor(random() * text.length)
  for (let i = 0, many = 1 + Math.floor(random() * 6); i < many; i += 1) {
    const [a, b] = [at(), at()].sort((x, y) => x - y)
    switch (Math.floor(random() * 4)) {
      case 0:
        text = text.slice(0, a) + text.slice(Math.min(b, a + 200))
        break
      case 1:
        text = text.slice(0, a) + text.slice(a, Math.min(b, a + 300)).repeat(2) + text.slice(a)
        break
      case 2:
        text = text.slice(0, a) + SCRAPS[Math.floor(random() * SCRAPS.length)] + text.slice(a)
        break
      default:
        text = text.slice(0, a) + text.slice(b) + text.slice(a, Math.min(b, a + 100))
    }
  }
  return bytes(text)
}

/** A card as long as one may be, as a file: hundreds of long cues. */
export function longestCard(id) {
  const [before, after] = gate
    .replace(/^id: gate$/m, `id: ${id}`)
    .split(/^## Alignment\n[\s\S]*?(?=^## )/m)
  const cue = (i) =>
    `- Hips and pelvis: Press the left foot down${', and grow long from the left hip to the right hand'.repeat(7)} ${i}.`
  const text = `${before}## Alignment\n\n${lines(350, cue)}\n\n${after}`
  return [`${id}.md`, bytes(text.replace(/^.*Cue: .*\n/gm, ''))]
}
