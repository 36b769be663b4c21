import { paceOf, speechSeconds } from '../breath'
import { type Card, type Found, type Rule, type School, usualRule } from '../card'
import { inEach, LABELS, mistakeWordsOf, readerOf, touchWordsOf } from '../language'
import { partsIn } from '../reading'
import { plainText, type SidedLine, sidedLines } from '../sides'
import { oneWording } from './alike'

type Words = NonNullable<ReturnType<typeof mistakeWordsOf>>
type TouchWords = NonNullable<ReturnType<typeof touchWordsOf>>

/** A rule that reads the words of a card: it says nothing in a language that has none. */
const inWords =
  (check: (card: Card, words: Words, school: School) => readonly Found[]): Rule['check'] =>
  (card, school) => {
    const words = mistakeWordsOf(card.language)
    return words ? check(card, words, school) : []
  }
const ofTouch =
  (check: (card: Card, words: TouchWords) => Found[]): Rule['check'] =>
  (card) => {
    const words = touchWordsOf(card.language)
    return words ? check(card, words) : []
  }

/** Seconds of the out-breath on a card. */
const outBreath = (card: Card, school: School) => paceOf(card, school).out

/** Corrections that only forbid; where the cue can be said instead, it is offered. */
function onlyForbids(card: Card, words: Words, school: School): Found[] {
  return card.mistakes.flatMap(({ say, cue: id }, i): Found[] => {
    if (!say || !words.onlyForbids(say)) return []
    const cue = card.alignment.find((each) => each.id === id)?.text ?? ''
    const sayable =
      cue !== '' &&
      !words.onlyForbids(cue) &&
      speechSeconds(cue, school.speechRate, card.language) <= outBreath(card, school)
    return [
      {
        where: `mistakes[${i}].say`,
        message: words.onlyForbidsTold(say),
        ...(sayable
          ? {
              fix: {
                label: words.sayTheCue(plainText(cue, card)),
                patches: [{ path: `mistakes[${i}].say`, value: cue }],
              },
            }
          : {}),
      },
    ]
  })
}

/** Cues that only forbid, those that a rung says in place of them too. */
const cuesForbid = (card: Card, words: Words) => forbiddenIn(sidedLines(card), words)
const forbiddenIn = inEach(
  (words: Words) =>
    ({ where, text, owner }: SidedLine): Found[] =>
      CUES.has(owner.of) && words.onlyForbids(text)
        ? [{ where, message: words.onlyForbidsTold(text) }]
        : []
)
const CUES: ReadonlySet<string> = new Set(['cue', 'insteadCue'])

function tooLong(card: Card, words: Words, school: School): Found[] {
  const lasts = outBreath(card, school)
  return card.mistakes.flatMap(({ say }, i): Found[] => {
    const takes = say ? speechSeconds(say, school.speechRate, card.language) : 0
    return takes <= lasts + 1e-6
      ? []
      : [
          {
            where: `mistakes[${i}].say`,
            message: words.tooLong(LABELS.sheet.seconds(takes), LABELS.sheet.seconds(lasts)),
          },
        ]
  })
}

function namesNoPart(card: Card, words: Words): Found[] {
  if (!readerOf(card.language)) return []
  return card.mistakes.flatMap(({ say }, i): Found[] =>
    !say || words.needsNoPart(say) || partsIn(say, card.language).length > 0
      ? []
      : [{ where: `mistakes[${i}].say`, message: words.noPart(say) }]
  )
}

const withoutCue = (card: Card, words: Words): Found[] =>
  card.alignment.length === 0
    ? []
    : card.mistakes.flatMap(({ seen, cue }, i): Found[] =>
        seen && cue === undefined
          ? [{ where: `mistakes[${i}].cue`, message: words.noCue(plainText(seen, card)) }]
          : []
      )

function cuesAlone(card: Card, words: Words): Found[] {
  const broken = new Set(card.mistakes.map(({ cue }) => cue))
  const alone = card.alignment.filter(({ id, text }) => text && !broken.has(id))
  return alone.length === 0
    ? []
    : [
        {
          where: 'mistakes',
          message: words.cuesAlone(alone.map(({ text }) => plainText(text, card))),
        },
      ]
}

const pressesOnOut = (card: Card, words: TouchWords): Found[] =>
  card.assists.flatMap(({ text, breath }, i): Found[] =>
    breath === undefined || breath === 'out' || breath === 'free' || !words.presses(text)
      ? []
      : [
          {
            where: `assists[${i}].breath`,
            message: words.onOut(plainText(text, card), LABELS.breath[breath]),
            fix: {
              label: words.makeOut,
              patches: [{ path: `assists[${i}].breath`, value: 'out' }],
            },
          },
        ]
  )

const noStance = (card: Card, words: TouchWords): Found[] =>
  card.assists.length === 0 || card.assists.some(({ stance }) => stance)
    ? []
    : [{ where: 'assists[0].stance', message: words.noStance }]

/** The rules about what goes wrong and what is said to it, and about touch. */
export const mistakeRules: readonly Rule[] = [
  usualRule('mistakes/says-what-to-do', 'mend', inWords(onlyForbids)),
  usualRule('mistakes/cue-says-what-to-do', 'note', inWords(cuesForbid)),
  usualRule('mistakes/one-breath', 'mend', inWords(tooLong)),
  usualRule('mistakes/names-a-part', 'note', inWords(namesNoPart)),
  usualRule('mistakes/has-a-cue', 'note', inWords(withoutCue)),
  usualRule('mistakes/cue-has-one', 'note', inWords(cuesAlone), { whenAsked: true }),
  usualRule('mistakes/one-wording', 'note', () => [], { deck: oneWording }),
  usualRule('touch/on-the-out', 'mend', ofTouch(pressesOnOut)),
  usualRule('touch/stance', 'note', ofTouch(noStance), { whenAsked: true }),
]
