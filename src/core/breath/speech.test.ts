import { dictionary } from 'cmu-pronouncing-dictionary'
import fc from 'fast-check'
import { demoCards } from '../../../tests/support/cards'
import {
  cuesWithin,
  fitOf,
  spoken,
  spokenWords,
  speechSeconds,
  syllablesOf,
} from '../../../tests/support/english'
import { spokenLines } from '.'

describe('syllables', () => {
  test('the words of the demo deck have as many as a pronouncing dictionary says', () => {
    // Carnegie Mellon Pronouncing Dictionary, from the registry: a vowel carries a stress digit.
    const words = new Set(
      demoCards().flatMap((card) => [
        ...spokenLines(card).flatMap((line) => spokenWords(line.text)),
        ...card.alignment.flatMap((cue) => spokenWords(cue.text)),
        ...card.mistakes.flatMap((each) => spokenWords(`${each.seen} ${each.why} ${each.say}`)),
      ])
    )
    const known = [...words].filter((word) => dictionary[word])
    const wrong = known.filter(
      (word) => syllablesOf(word) !== dictionary[word]!.match(/\d/g)!.length
    )
    expect(known.length).toBeGreaterThan(300)
    expect(wrong.length / known.length).toBeLessThan(0.03)
  })

  test.each([
    ['pārśvakoṇāsana', 6],
    ['vṛkṣāsana', 4],
    ['adho', 2],
    ['śavāsana', 4],
    ['bālāsana', 4],
    ['namaskāra', 4],
    ['uttānāsana', 5],
    ['sukhāsana', 4],
  ])('%s has %i', (word, count) => {
    expect(syllablesOf(word)).toBe(count)
  })
})

describe('what is said', () => {
  test('numbers and signs are said as words', () => {
    expect(spokenWords('Hold 12 breaths at 90°, L foot.')).toEqual(
      'hold twelve breaths at ninety degrees left foot'.split(' ')
    )
    expect(spokenWords('10-15 cm')).toEqual('ten to fifteen centimetres'.split(' '))
    expect(spoken('108').words).toBe(4)
    expect(spoken('Roll to the {right} side.').words).toBe(5)
    expect(spoken('').words).toBe(0)
  })

  test('at 120 words a minute a phase of 4 s carries 8 words', () => {
    // Common practice, no source.
    const eight = 'Press the left foot down and grow tall.'
    expect(spoken(eight).words).toBe(8)
    expect(speechSeconds(eight, 120)).toBe(4)
    expect(fitOf(eight, 4, 120).over).toBe(0)
    expect(fitOf(`${eight} now`, 4, 120)).toMatchObject({ over: 0.5, overWords: 1 })
    expect(fitOf(`${eight} now`, 4, 135).over).toBe(0)
  })

  test('long Sanskrit takes longer than its number of words', () => {
    const name = 'Utthita pārśvakoṇāsana.'
    expect(spoken(name)).toEqual({ words: 2, syllables: 9 })
    expect(speechSeconds(name, 120)).toBe(2.25)
  })

  test('a clause that only says how can go, with what is left', () => {
    expect(fitOf('Step the right leg out to the side, slowly and with care.', 4, 120).cut).toEqual({
      clause: 'slowly and with care',
      left: 'Step the right leg out to the side.',
    })
    expect(fitOf('Sweep the arms up overhead while breathing evenly.', 3, 120).cut).toEqual({
      clause: 'while breathing evenly',
      left: 'Sweep the arms up overhead.',
    })
  })

  test.each([
    'Step the right leg out to the side, foot flat.',
    'Step the right foot back, left arm up.',
    'Lift the arms, palms in, and let the shoulders slide down the back.',
    'Bring the big toe mound and the inner heel to the wall',
    'Reach long from the left knee to the fingers.',
    'Lower the hips towards the floor, without forcing.',
    'Fold forward from the hips until the breath catches.',
    'Bend the right knee over the ankle, not past the toes.',
    'Raise the arms to the ceiling and look up.',
    'Take the block to the left hand, the low side up.',
  ])('nothing of “%s” can go: all of it is to be done', (line) => {
    expect(fitOf(line, 2, 120).over).toBeGreaterThan(0)
    expect(fitOf(line, 2, 120).cut).toBeNull()
  })

  test('what is left fits, and a longer phase is never worse', () => {
    const text = fc
      .array(
        fc.constantFrom(
          'press',
          'the',
          'left',
          'foot,',
          'and',
          'grow',
          'tall',
          'while',
          'breathing',
          'slowly,'
        ),
        { maxLength: 24 }
      )
      .map((words) => words.join(' '))
    fc.assert(
      fc.property(text, fc.integer({ min: 1, max: 9 }), (line, seconds) => {
        const fit = fitOf(line, seconds, 120)
        if (fit.cut) expect(fitOf(fit.cut.left, seconds, 120).over).toBe(0)
        expect(fitOf(line, seconds + 1, 120).over).toBeLessThanOrEqual(fit.over)
        expect(fit.over > 0).toBe(fit.seconds > seconds)
      })
    )
  })

  test('how many cues can be said in a stay', () => {
    const cues = ['Press the left foot down.', 'Grow tall.', 'Soften the jaw and the eyes.']
    expect(cuesWithin(cues, 40, 120)).toBe(3)
    expect(cuesWithin(cues, 3.5, 120)).toBe(2)
    expect(cuesWithin(cues, 1, 120)).toBe(0)
  })
})
