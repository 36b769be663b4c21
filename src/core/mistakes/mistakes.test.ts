import fc from 'fast-check'
import { cueOf, lunge } from '../../../tests/support/cards'
import { applyPatches, type Card, DEFAULT_SCHOOL, runRules } from '../card'
import { checkDeck } from '../check'
import { claimWordsOf, mistakeWordsOf } from '../language'
import { mistakeRules, oneWording } from '.'

const words = mistakeWordsOf('en')!

const wrong = (...mistakes: Partial<Card['mistakes'][number]>[]): Card =>
  lunge({
    alignment: [cueOf('Press the left foot down.')],
    mistakes: mistakes.map((each) => ({ seen: '', why: '', say: '', on: 'both', ...each })),
  })
const rules = (card: Card) => runRules(mistakeRules, card).map(({ rule }) => rule)

// Common practice, no source: a correction says what to do.
describe('a correction that only forbids', () => {
  test.each([
    'Don’t let the knee roll in.',
    "Don't sink.",
    'Do not lock the elbow!',
    'Never drop out of the stay.',
    'Avoid arching the low back.',
    'Stop gripping the toes.',
    'No sinking in the shoulders.',
    'Try not to push with the arm.',
    'Not so fast.',
    'Please don’t hunch, and don’t hold the breath.',
    'The knee should not pass the toes.',
    'Shoulders must not creep up.',
    'Keep the knee from rolling in.',
    'Make sure you don’t lean.',
    'Watch that the hip doesn’t hike.',
    'So, without jerking.',
    'Careful not to throw the head back.',
    'Knees not past the toes.',
    'The chin not so high.',
    'Quit bouncing.',
  ])('%s', (line) => expect(words.onlyForbids(line)).toBe(true))

  test.each([
    'Press the foot down, don’t grip.',
    'Lift the chest without shrugging.',
    'Don’t sink; press the floor away.',
    'Slide your back along a wall you cannot see.',
    'Stand tall.',
    'Let the shoulders hang, not creep up.',
    'Turn from the ribs, not from the arm.',
    'No more than half as far, slowly.',
    'Knees apart.',
    'Instead of leaning, lift the ribs.',
    'Bend the knee until the back is long.',
    'Notice the left foot, and press it down.',
    'Nod the chin a little.',
    'Stopping is fine; soften the jaw.',
    'Keep the heel down and breathe.',
    'Stop, and breathe.',
    'Less in the neck.',
    'Rather than pushing, soften the belly.',
  ])('not: %s', (line) => expect(words.onlyForbids(line)).toBe(false))

  test('the cue that it breaks is offered in its place, where it can be said', () => {
    const card = wrong({ seen: 'The foot lifts.', say: 'Don’t lift the foot.', cue: 'a1' })
    const [found] = runRules(mistakeRules, card)
    expect(found).toMatchObject({ rule: 'mistakes/says-what-to-do', where: 'mistakes[0].say' })
    const mended = applyPatches(card, found!.fix!.patches)
    expect(mended.mistakes[0]!.say).toBe('Press the left foot down.')
    expect(rules(mended)).not.toContain('mistakes/says-what-to-do')
    const loose = wrong({ seen: 'The foot lifts.', say: 'Don’t lift the foot.' })
    expect(runRules(mistakeRules, loose)[0]!.fix).toBeUndefined()
  })
})

test('a correction is held against the out-breath of the card, not of the in-breath', () => {
  const say = 'Press the outer edge of the left foot.'
  expect(rules(wrong({ seen: 'It lifts.', cue: 'a1', say }))).not.toContain('mistakes/one-breath')
  const quick = { ...wrong({ seen: 'It lifts.', cue: 'a1', say }) }
  quick.stay = { ...quick.stay, pace: { in: 9, out: 2 } }
  expect(rules(quick)).toContain('mistakes/one-breath')
  const slow = { ...DEFAULT_SCHOOL, speechRate: 60 }
  expect(
    runRules(mistakeRules, wrong({ seen: 'It lifts.', cue: 'a1', say }), slow).map((f) => f.rule)
  ).toContain('mistakes/one-breath')
})

test.each([
  ['Better!', true],
  ['Grow tall, then turn.', true],
  ['Push the floor away.', true],
  ['Again, slower.', true],
  ['Lift the left hip.', false],
  ['Soften the jaw.', false],
  ['Let the breath go out first.', false],
  ['Widen the collarbones.', false],
  ['Look at the thumb.', false],
])('“%s” names no part: %s', (say, none) => {
  const found = rules(wrong({ seen: 'It lifts.', cue: 'a1', say }))
  expect(found.includes('mistakes/names-a-part')).toBe(none)
})

describe('one mistake, one wording', () => {
  const deck = (...seen: string[]) =>
    seen.map((each, i): Card => ({ ...wrong({ seen: each, cue: 'a1' }), id: `card-${i}` }))
  const told = (...seen: string[]) => [...oneWording(deck(...seen)).values()].flat()

  test.each([
    ['The front knee rolls in.', 'Front knee falling inward'],
    ['The shoulders creep up to the ears.', 'Shoulders to the ears.'],
    ['The low back sways.', 'Low back arched too much'],
    ['The chin pokes forward.', 'Chin jutting forward'],
    ['The breath is held in the neck.', 'The neck holds the breath'],
    ['The hips tilt to one side.', 'Hips tipped to one side'],
    ['The upper back rounds.', 'Rounded upper back'],
    ['The elbows drop out to the side.', 'Elbows fall outward'],
  ])('“%s” is “%s”', (a, b) => {
    const found = told(a, b)
    expect(found).toHaveLength(1)
    // The shorter of two that are used alike is offered.
    expect(found[0]!.fix!.patches).toMatchObject([
      { path: 'mistakes[0].seen', value: a.length <= b.length ? a : b },
    ])
  })

  test.each([
    ['The front knee rolls in.', 'The back knee rolls in.'],
    ['The front knee rolls in.', 'The front knee rolls out.'],
    ['The low back pinches.', 'The low back sways.'],
    ['The chin drops.', 'The chin pokes forward.'],
    ['The shoulders creep up.', 'The shoulders round.'],
    ['The hips tilt.', 'The hips hang back.'],
    ['The elbow locks.', 'The knee locks.'],
    ['The back rounds.', 'The back arches.'],
    ['The hands slide.', 'The hands are too wide.'],
    ['The head hangs.', 'The head is thrown back.'],
  ])('“%s” is not “%s”', (a, b) => expect(told(a, b)).toEqual([]))

  test('the wording that most cards use is offered, and each other card is told', () => {
    const cards = deck(
      'Front knee falling inward',
      'The front knee rolls in.',
      'The front knee rolls in.',
      'The front knee caves in badly.'
    )
    const found = checkDeck(cards)
    expect([...found.keys()].sort()).toEqual(['card-0', 'card-3'])
    for (const [id, [finding]] of found) {
      expect(finding!.rule).toBe('mistakes/one-wording')
      const mended = applyPatches(
        cards.find((card) => card.id === id)!,
        finding!.fix!.patches
      )
      expect(mended.mistakes[0]!.seen).toBe('The front knee rolls in.')
    }
  })

  test('words with a side are told and not exchanged: a side belongs to its card', () => {
    const found = told('The left knee rolls in.', 'Left knee falling inward')
    expect(found).toHaveLength(1)
    expect(found[0]!.fix).toBeUndefined()
  })

  test('the mistakes of one card are not held against each other', () => {
    expect(
      oneWording([wrong({ seen: 'The knee rolls in.' }, { seen: 'Knee falling inward' })]).size
    ).toBe(0)
  })
})

// Common practice, no source: what teachers pass on, and how it can be said.
describe('claims', () => {
  const claims = claimWordsOf('en')!

  test.each([
    ['Cures back pain.', 'Is said to help with back pain.'],
    ['It heals the knees.', 'It is said to help with the knees.'],
    ['Will cure asthma.', 'Is said to help with asthma.'],
    ['A gentle form that treats sciatica.', 'A gentle form that is said to help with sciatica.'],
    ['It is a natural remedy for headaches.', 'It is said to help with headaches.'],
    ['Flushes toxins out of the liver.', 'Is said to be good for the liver.'],
    ['The twist removes toxins.', 'The twist is said to feel cleansing.'],
    ['Cleanses the kidneys.', 'Is said to be good for the kidneys.'],
    ['Helps cure sciatica.', 'Is said to help with sciatica.'],
    ['A remedy for anxiety.', 'Said to help with anxiety.'],
    ['Can reverse diabetes.', 'Is said by some to help with diabetes.'],
    ['Reverses ageing.', 'Is said to help with ageing.'],
    [
      'Gets rid of insomnia and cures stress.',
      'Is said to help with insomnia and is said to help with stress.',
    ],
  ])('a cure: %s', (line, calmer) => expect(claims.cure(line)?.calmer).toBe(calmer))

  test.each([
    ['Will lower the blood pressure.', 'May lower the blood pressure.'],
    ['Prevents injuries.', 'Is said to protect against injuries.'],
    ['It always calms.', 'It often calms.'],
    ['Is proven to ease tension.', 'Is said to ease tension.'],
    ['You will sleep better.', 'You may sleep better.'],
    ['Guarantees a long spine.', 'May bring a long spine.'],
    ['Melts away tension.', 'Is said to ease tension.'],
    ['Relieves back pain.', 'Is said to relieve back pain.'],
    ['Ends migraine for good.', 'Is said to ease migraine.'],
    ['Massages the organs.', 'Is said to massage the organs.'],
    ['Stimulates the thyroid and calms.', 'Is said to stimulate the thyroid and calms.'],
    ['Clinically proven to calm.', 'Said to calm.'],
    ['Boosts the mood.', 'Is said to help the mood.'],
  ])('a promise: %s', (line, calmer) => expect(claims.promise(line)?.calmer).toBe(calmer))

  test.each([
    ['Slows the pulse by 30 %.', 'Slows the pulse.'],
    ['Opens the lungs by up to 20 percent.', 'Opens the lungs.'],
    ['Brings ten times more air.', 'Brings more air.'],
    ['Calms within three weeks.', 'Calms.'],
    ['Deepens the breath by half.', 'Deepens the breath.'],
  ])('a number: %s', (line, calmer) => expect(claims.number(line)?.calmer).toBe(calmer))

  test.each([
    'Many players find it calming.',
    'The heel presses down.',
    'Is said to help with back pain.',
    'It may ease tension.',
    'Cannot cure anything, and is pleasant.',
    'You will feel the breath in the ribs.',
    'Strengthens the thighs.',
    'Lengthens the hamstrings over months of practice.',
    'Tradition calls it the pose of heroes.',
    'Rest for 5 minutes.',
    'Warms the shoulders before the second act.',
    'No claim is made here.',
    'Treat the knee with care.',
    'Clean lines from heel to crown.',
    'Strengthens the thighs and the back.',
    'Relieves tired feet after standing.',
  ])('nothing in: %s', (line) => {
    expect([claims.cure(line), claims.promise(line), claims.number(line)]).toEqual([
      null,
      null,
      null,
    ])
  })

  test('what is offered is calm: it is not told again', () => {
    const claimed = [claims.cure, claims.promise, claims.number]
    fc.assert(
      fc.property(
        fc.constantFrom('Cures', 'Heals', 'Prevents', 'Always eases', 'Treats', 'Boosts'),
        fc.constantFrom(' the back', ' tension', ' the mood by 20 %', ' sleep in two weeks'),
        (verb, what) => {
          for (const calm of claimed) {
            const told = calm(`${verb}${what}.`)
            if (told) expect(calm(told.calmer)).toBeNull()
          }
        }
      )
    )
  })
})
