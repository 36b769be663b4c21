import fc from 'fast-check'
import {
  BASES,
  BASES_OF_CLAIM,
  BREATHS,
  Card,
  dropUnwritable,
  MANNERS,
  ON,
  REGIONS,
  SPINES,
  tidyLine,
  tidyProse,
  TRAIT_NAMES,
  VERDICTS,
} from '@/core/card'

/** Any card that the model allows, with wording that is meant to break files. */

const awkward = fc.constantFrom(
  'Press the left foot.',
  'Roll to the {right}.',
  '[in] looks like a bracket',
  '[ ] x',
  '- not a list',
  '1. not a step',
  '# no heading',
  '## Cautions',
  '---',
  '> quote',
  '<script>alert("x")</script>',
  '*stars* and _lines_ and `ticks`',
  'Label: with a colon',
  'a \\ backslash \\[ \\',
  '&amp; &#x20; &copy;',
  '[link](http://x) ![image](y) [ref]: z',
  '~~~',
  '| a | b |',
  'yes',
  'null',
  '2026-01-01',
  '"quoted" \'text\'',
  'Vīrabhadrāsana ṛ ḷ ñ',
  'שלום مرحبا',
  'e\u0301\u0302\u0303',
  '👩🏽‍🦰🙏',
  'x  two blanks',
  '+ plus',
  'trailing \\',
  '\u00a0nbsp\u00a0inside'
)
// The library has a unit like it, and takes a second to lay it out.
const anyCharacter = fc.integer({ min: 0, max: 0x10ffff }).map((code) => String.fromCodePoint(code))
const text = fc
  .oneof(
    { weight: 3, arbitrary: awkward },
    { weight: 1, arbitrary: fc.string({ unit: 'grapheme', maxLength: 30 }) },
    { weight: 1, arbitrary: fc.string({ unit: anyCharacter, maxLength: 20 }) }
  )
  .map((each) => tidyLine(dropUnwritable(each)))
const prose = fc
  .array(text, { maxLength: 5 })
  .chain((lines) =>
    fc.constantFrom('\n', '\n\n').map((gap) => tidyProse(dropUnwritable(lines.join(gap))))
  )
const short = text
  .map((each) => tidyLine(each.slice(0, 20)))
  .map((each) => (each.isWellFormed() ? each : 'cut'))
const number = fc.oneof(
  fc.integer({ min: 1, max: 60 }),
  fc.double({ min: 0.5, max: 600, noNaN: true })
)
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined })
const few = <T>(arbitrary: fc.Arbitrary<T>) => fc.array(arbitrary, { maxLength: 3 })
const id = fc.stringMatching(/^[a-z][a-z0-9]{0,4}(-[a-z0-9]{1,3})?$/)
const breath = fc.constantFrom(...BREATHS)
const on = fc.constantFrom(...ON)
const pace = fc.record({ in: number, out: number, holdIn: maybe(number), holdOut: maybe(number) })
const stay = fc
  .record({
    breaths: maybe(number),
    seconds: maybe(fc.tuple(number, number).map((pair) => pair.sort((a, b) => a - b))),
    repeats: fc.integer({ min: 1, max: 20 }),
    restBetween: maybe(fc.record({ breaths: number })),
    pace: maybe(pace),
    more: fc.record({
      breaths: maybe(fc.integer({ min: 1, max: 9 })),
      repeats: maybe(fc.integer({ min: 1, max: 9 })),
    }),
  })
  .map(({ more, ...one }) => ({
    ...one,
    breathsMost:
      one.breaths === undefined || more.breaths === undefined
        ? undefined
        : one.breaths + more.breaths,
    repeatsMost: more.repeats === undefined ? undefined : one.repeats + more.repeats,
  }))
const figure = maybe(fc.dictionary(id, fc.oneof(number, text), { maxKeys: 3, minKeys: 1 }))
const step = fc
  .record({
    id,
    text,
    breath,
    seconds: maybe(number),
    repeat: maybe(fc.integer({ min: 1, max: 9 })),
    repeatMost: maybe(fc.integer({ min: 1, max: 9 })),
    cycle: maybe(fc.constant(true as const)),
    figure,
  })
  .map(({ repeatMost, ...one }) => ({
    ...one,
    ...(repeatMost === undefined || one.repeat === undefined
      ? {}
      : { repeatMost: one.repeat + repeatMost }),
  }))

const cue = fc.record({
  id,
  region: fc.constantFrom(...REGIONS),
  text,
  on,
  measure: maybe(fc.record({ name: short, target: number, tolerance: number, unit: short })),
})

const rung = fc.record({
  id,
  name: text,
  reference: maybe(fc.constant(true as const)),
  props: few(text),
  steps: fc.record({
    replace: few(fc.record({ step: id, text, breath: maybe(breath), seconds: maybe(number) })),
    add: few(fc.record({ after: maybe(id), step })),
    omit: few(id),
  }),
  cues: maybe(
    fc
      .record({ replace: few(fc.record({ cue: id, text })), add: few(cue), omit: few(id) })
      .filter((cues) => Object.values(cues).some((each) => each.length > 0))
  ),
  beside: maybe(fc.constant(true as const)),
  stay: maybe(stay),
  figure,
  upWhen: few(text),
  downWhen: few(text),
})

/** Steps, cues and rungs get ids of their own, so that figures find their owner. */
function distinct(card: Card): Card {
  let n = 0
  const fresh = <T extends { id: string }>(part: T): T => ({
    ...part,
    id: `${part.id.slice(0, 20)}-${(n += 1)}`,
  })
  return {
    ...card,
    enter: card.enter.map((each, i) => (i % 2 ? fresh(each) : { ...each, id: `s${i + 1}` })),
    otherWay: card.otherWay.map((each, i) => (i % 2 ? fresh(each) : { ...each, id: `w${i + 1}` })),
    exit: card.exit.map((each, i) => (i % 2 ? fresh(each) : { ...each, id: `x${i + 1}` })),
    ladder: card.ladder.map((each) => ({
      ...fresh(each),
      steps: {
        ...each.steps,
        add: each.steps.add.map((added) => ({ ...added, step: fresh(added.step) })),
      },
      ...(each.cues ? { cues: { ...each.cues, add: each.cues.add.map(fresh) } } : {}),
    })),
  }
}

export const arbitraryCard: fc.Arbitrary<Card> = fc
  .record({
    id,
    number: short,
    language: fc.constantFrom('en', 'en-GB', 'sa'),
    names: fc.record({ sanskrit: text, common: few(text), aliases: few(text), meaning: text }),
    base: fc.constantFrom(...BASES),
    spine: fc.constantFrom(...SPINES),
    manner: fc.constantFrom(...MANNERS),
    sides: fc.constantFrom('even' as const, 'sided' as const),
    sideNamedBy: text,
    firstSide: maybe(fc.constantFrom('left' as const, 'right' as const)),
    writtenFor: fc.constantFrom('left' as const, 'right' as const),
    setUp: fc.record({ place: text, props: few(text), note: text, figure }),
    enter: few(step),
    alignment: few(cue),
    stay,
    otherWay: few(step),
    exit: few(step),
    betweenSides: fc.record({ breaths: maybe(number), text }),
    mistakes: few(fc.record({ seen: text, why: text, say: text, cue: maybe(id), on })),
    cautions: few(
      fc.record({
        condition: text,
        verdict: fc.constantFrom(...VERDICTS),
        say: text,
        rung: maybe(id),
        instead: maybe(id),
        reason: maybe(text),
        over: maybe(text),
      })
    ),
    traits: few(
      fc.record({
        trait: fc.constantFrom(...TRAIT_NAMES),
        value: fc.integer({ min: 0, max: 1000 }),
        rung: maybe(id),
      })
    ),
    ladder: few(rung),
    counter: few(id),
    when: fc.record({ mealGapHours: maybe(fc.integer({ min: 0, max: 24 })), timeOfDay: text }),
    effects: few(
      fc.record({ text, basis: fc.constantFrom(...BASES_OF_CLAIM), source: maybe(text) })
    ),
    assists: few(fc.record({ text, stance: text, breath: maybe(breath), on })),
    notes: prose,
  })
  .map((card) => distinct(Card.parse(JSON.parse(JSON.stringify(card)))))
