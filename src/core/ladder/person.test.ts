import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { form, ladderCard, loweredPlank, on, seatedFold } from '../../../tests/support/ladders'
import { PROP_HEIGHT } from '../figure'
import { LADDER } from '../language'
import {
  closesWords,
  firstOpen,
  missingWords,
  openingOf,
  openingsFor,
  Person,
  READY_BODIES,
  readPerson,
  rungForm,
  USUAL_PERSON,
} from '.'

const person = (more: Partial<Person> = {}) => Person.parse(more)
const SUPPLE = person({
  straightLegRaise: 150,
  hipOpening: 95,
  shoulderReach: 180,
  ankleBend: 45,
  wristBend: 100,
  neckTurn: 90,
})

describe('a body that is read', () => {
  test('takes its fields as people write them, in groups or not', () => {
    const read = readPerson({
      'straight-leg raise': 60,
      proportions: { legs: 1.05 },
      limits: { hip_opening: 30, WeightOnHands: false },
    })
    expect(read.person).toMatchObject({
      straightLegRaise: 60,
      legs: 1.05,
      hipOpening: 30,
      weightOnHands: false,
      stature: 170,
    })
  })

  test.each([
    [[], 'should be an object'],
    ['tall', 'should be an object'],
    [{ hamstring: 60 }, '“hamstring” is not known; a body has'],
    [{ stature: 90 }, 'stature: should not be less than 100 cm'],
    [{ stature: '170' }, 'stature: should be a number of cm'],
    [{ straightLegRaise: 400 }, 'straightLegRaise: should not be more than 150 degrees'],
    [{ weightOnHands: 'no' }, 'weightOnHands: should be true or false'],
    [{ limits: { legs: 3 } }, 'legs: should not be more than 1.2'],
  ])('%j says what is wrong', (data, words) => {
    expect(readPerson(data)).toMatchObject({
      person: null,
      problem: expect.stringContaining(words),
    })
  })
})

describe('whether a rung is open', () => {
  const fold = () => ladderCard(seatedFold(), 'half')

  test('the first open rung goes down as the backs of the legs get shorter', () => {
    const open = (straightLegRaise: number) =>
      openingsFor(fold(), { ...SUPPLE, straightLegRaise }).map((each) => each.open)
    expect(open(130)).toEqual([true, true, true])
    expect(open(100)).toEqual([true, true, false])
    expect(open(60)).toEqual([true, false, false])
    expect(open(20)).toEqual([false, false, false])
  })

  test('what is missing is told in degrees, by the range that is short', () => {
    const whole = openingsFor(fold(), { ...SUPPLE, straightLegRaise: 100 })[2]!
    expect(whole.missing[0]).toMatchObject({ of: 'degrees', need: 'straightLegRaise', can: 100 })
    expect(missingWords(whole.missing[0]!)).toMatch(/^straight-leg raise: 1\d° short$/)
  })

  test('no weight on the hands closes what carries weight on them, and nothing else', () => {
    const planks = openingsFor(ladderCard(loweredPlank(), 'full'), {
      ...SUPPLE,
      weightOnHands: false,
    })
    expect(planks.map((each) => each.open)).toEqual([false, false, false])
    expect(planks[2]!.missing).toContainEqual(expect.objectContaining({ of: 'weight' }))
    const folds = openingsFor(fold(), { ...SUPPLE, weightOnHands: false })
    expect(folds.map((each) => each.open)).toEqual([true, true, true])
  })

  test('wrists, ankles, shoulders and neck each close what bends them further', () => {
    const closed = (figure: ReturnType<typeof form>, more: Partial<Person>) =>
      openingOf('x', figure, { ...SUPPLE, ...more }).missing.flatMap((each) =>
        each.of === 'degrees' ? [each.need] : []
      )
    expect(closed(form('plank'), { wristBend: 60 })).toEqual(['wristBend'])
    expect(closed(form('squat'), { ankleBend: 10 })).toEqual(['ankleBend'])
    expect(closed(form('arms-up'), { shoulderReach: 140 })).toEqual(['shoulderReach'])
    expect(closed(form('standing', { neck: { rotation: 60 } }), { neckTurn: 40 })).toEqual([
      'neckTurn',
    ])
    expect(closed(form('cross-legged'), { hipOpening: 15 })).toEqual(['hipOpening'])
  })

  test('the prop that brings the floor to the hand is told, and with it the gap is closed', () => {
    const reach = (surface: string) =>
      form(
        'standing',
        {
          pelvis: { tilt: 95 },
          lowBack: { flexion: 15 },
          ribs: { flexion: 15 },
          leftHip: { flexion: 98 },
          rightHip: { flexion: 98 },
          leftShoulder: { flexion: 110 },
          rightShoulder: { flexion: 110 },
        },
        {
          contacts: [
            ...on('floor', 'left sole', 'right sole'),
            ...on(surface, 'left fingertips', 'right fingertips'),
          ],
        }
      )
    const stiff = { ...SUPPLE, straightLegRaise: 72 }
    const opening = openingOf('x', reach('floor'), stiff)
    expect(opening.open).toBe(false)
    const prop = opening.closes.find((each) => each.of === 'prop')!
    expect(prop).toMatchObject({ of: 'prop', cm: expect.any(Number) })
    if (prop.of !== 'prop') throw new Error('no prop')
    expect(prop.cm).toBe(PROP_HEIGHT[prop.prop])
    expect(closesWords(prop)).toContain('raise the floor')
    // A stiffer person wants a higher one, never a lower one.
    const higher = openingOf('x', reach('floor'), { ...SUPPLE, straightLegRaise: 55 }).closes.find(
      (each) => each.of === 'prop'
    )
    if (higher?.of === 'prop') expect(higher.cm).toBeGreaterThanOrEqual(prop.cm)
  })

  test('a pad under the heel as high as the published foot is long', () => {
    const [pad] = openingOf('x', form('squat'), { ...SUPPLE, ankleBend: 15 }).closes
    expect(pad!.of).toBe('heel pad')
    if (pad!.of === 'heel pad') {
      expect(pad!.cm).toBeGreaterThan(1)
      expect(pad!.cm).toBeLessThan(8)
    }
  })

  test('a form that is not known is neither open nor closed', () => {
    const card = ladderCard(
      { two: form('standing') },
      'two',
      { enter: [{ id: 's1', text: 'Let the thing happen.', breath: 'out' }] },
      { two: { figure: undefined } }
    )
    expect(openingsFor(card, SUPPLE)[0]).toMatchObject({ open: null, missing: [] })
    expect(firstOpen(openingsFor(card, SUPPLE))).toBeNull()
  })

  test('more range never closes a rung: on every rung of the demo', () => {
    const cards = demoCards()
    fc.assert(
      fc.property(
        fc.constantFrom(...cards),
        fc.record({
          straightLegRaise: fc.integer({ min: 20, max: 120 }),
          hipOpening: fc.integer({ min: 5, max: 80 }),
          shoulderReach: fc.integer({ min: 60, max: 180 }),
          ankleBend: fc.integer({ min: -10, max: 30 }),
          wristBend: fc.integer({ min: 20, max: 95 }),
        }),
        fc.integer({ min: 1, max: 30 }),
        (card, limits, more) => {
          const wider = Object.fromEntries(
            Object.entries(limits).map(([need, value]) => [
              need,
              value + (need === 'shoulderReach' ? 0 : Math.min(more, 5)),
            ])
          )
          const [less, wide] = [limits, wider].map((each) => openingsFor(card, person(each)))
          for (const [i, { open }] of less!.entries())
            if (open)
              expect([card.id, wide![i]!.id, wide![i]!.open]).toEqual([card.id, wide![i]!.id, true])
        }
      ),
      { numRuns: 12 }
    )
  })
})

describe('four ready bodies', () => {
  /** Every second card of the demo, for one of them. */
  const openingsOf = (id: string) =>
    demoCards()
      .filter((_, i) => i % 2 === 0)
      .flatMap((card) => openingsFor(card, READY_BODIES.find((each) => each.id === id)!.person))

  test('differ plainly: each opens another set of the demo’s rungs', () => {
    const sets = READY_BODIES.map(({ id: who }) =>
      openingsOf(who)
        .map(({ id, open }) => `${id} ${open}`)
        .join()
    )
    expect(new Set(sets).size).toBe(4)
    expect(READY_BODIES.map(({ id }) => LADDER.person.ready[id])).toHaveLength(4)
  })

  test('the supple one is open to more than the stiff one', () => {
    const count = (id: string) => openingsOf(id).filter(({ open }) => open).length
    expect(count('supple')).toBeGreaterThan(count('stiff') + 5)
  })

  test('no weight on the hands: dog is closed from the floor up', () => {
    const wrists = READY_BODIES.find(({ id }) => id === 'wrists')!.person
    const openings = openingsFor(demoCard('downward-dog'), wrists)
    expect(openings.every(({ open }) => open === false)).toBe(true)
    expect(rungForm(demoCard('downward-dog'), 'long').sure).toBe(true)
  })

  test('the usual one does what asks little', () => {
    expect(firstOpen(openingsFor(demoCard('mountain'), USUAL_PERSON))).toBe('wall')
  })
})
