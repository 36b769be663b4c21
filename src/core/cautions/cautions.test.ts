import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { demoCard, demoCards } from '../../../tests/support/cards'
import { both, form, ladderCard, on, oneLeg } from '../../../tests/support/ladders'
import { type Card, type Trait, TRAIT_NAMES, VERDICTS, type Verdict } from '../card'
import { type Figure, readFigure } from '../figure'
import { rungForm } from '../ladder'
import {
  ASK_ANYWAY,
  askedOf,
  type Condition,
  conditionNamed,
  conditions,
  DEFAULT_POLICY,
  highestOpen,
  nearestConditions,
  STRICTNESS,
  strictest,
  together,
  traitsOf,
  traitWords,
  verdictOf,
} from '.'

const POSED = JSON.parse(readFileSync('tests/fixtures/forms.json', 'utf8')) as Record<
  string,
  unknown
>
const only = (figure: Figure, more: Partial<Card> = {}) => ladderCard({ it: figure }, 'it', more)
/** Verdicts of every rung, from the bottom up. */
const verdictsFor = (card: Card, condition: Condition) =>
  askedOf(card).map((asked) => verdictOf(asked, condition))
const verdict = (card: Card, name: string): Verdict =>
  verdictsFor(card, conditionNamed(name)!).at(-1)!.verdict
const trait = (figure: Figure, name: Trait) => traitsOf(only(figure), 'it').traits[name]

/** Forms with nothing typed about anyone. */
const FORMS: Record<string, Figure> = {
  fold: form('standing-fold'),
  dog: form('dog'),
  standing: form('standing'),
  fours: form('hands-and-knees'),
  plank: form('plank'),
  heelSeat: form('heel-seat'),
  supine: form('supine'),
  prone: form('prone'),
  armsUp: form('arms-up'),
  one: oneLeg().one!,
  seated: form('long-seat'),
  chair: form('chair'),
  crossed: form('cross-legged'),
  shoulderStand: form(
    'supine',
    {
      pelvis: { tilt: -170 },
      neck: { flexion: 48 },
      head: { flexion: 14 },
      ribs: { flexion: 8 },
      ...both({
        Shoulder: { flexion: -30, abduction: 10 },
        Elbow: { flexion: 95 },
        Hip: { flexion: 5 },
      }),
    },
    {
      contacts: on('floor', 'shoulders', 'head', 'left elbow', 'right elbow'),
    }
  ),
  roundedFold: form(
    'long-seat',
    {
      pelvis: { tilt: 15 },
      lowBack: { flexion: 32 },
      ribs: { flexion: 34 },
      ...both({ Hip: { flexion: 100 }, Shoulder: { flexion: 100 } }),
    },
    { contacts: on('floor', 'sit bones', 'left heel', 'right heel') }
  ),
  cobra: rungForm(demoCard('low-cobra'), 'low').figure!,
  twist: form('chair', { lowBack: { rotation: -10 }, ribs: { rotation: -34 } }),
  fish: form(
    'supine',
    {
      pelvis: { tilt: -90 },
      lowBack: { flexion: -20 },
      ribs: { flexion: -30 },
      neck: { flexion: -45 },
      head: { flexion: -20 },
      ...both({ Elbow: { flexion: 90 }, Shoulder: { flexion: -20 } }),
    },
    {
      contacts: on(
        'floor',
        'crown',
        'pelvis',
        ...['left', 'right'].flatMap((side) => [`${side} elbow`, `${side} heel`])
      ),
    }
  ),
  camel: form('kneeling', {
    lowBack: { flexion: -22 },
    ribs: { flexion: -20 },
    neck: { flexion: -40 },
    pelvis: { tilt: -25 },
    ...both({ Hip: { flexion: -25 }, Shoulder: { flexion: -50 } }),
  }),
  /** Trunk and one leg level, on the other leg. */
  level: form(
    'standing',
    {
      pelvis: { tilt: 85 },
      leftHip: { flexion: 88 },
      rightHip: { flexion: -2 },
      ...both({ Shoulder: { flexion: 175 } }),
    },
    { contacts: on('floor', 'left sole') }
  ),
  locust: form(
    'prone',
    { lowBack: { flexion: -22 }, ribs: { flexion: -18 }, ...both({ Hip: { flexion: -20 } }) },
    { contacts: on('floor', 'belly') }
  ),
  lunge: form(
    'kneeling',
    {
      leftHip: { flexion: 95 },
      leftKnee: { flexion: 90 },
      ...both({ Shoulder: { flexion: 175 } }),
    },
    { contacts: on('floor', 'left sole', 'right knee') }
  ),
  ...Object.fromEntries(
    ['plough', 'crow', 'wheel', 'hero-seat', 'boat', 'headstand', 'eagle', 'side-plank'].map(
      (name) => [name, readFigure(POSED[name]).figure!]
    )
  ),
}

describe('conditions', () => {
  test('there are at least thirty, in groups, each found by all its names', () => {
    expect(conditions.length).toBeGreaterThanOrEqual(30)
    expect(new Set(conditions.map(({ group }) => group)).size).toBeGreaterThanOrEqual(6)
    for (const condition of conditions)
      for (const name of [condition.id, condition.name, ...condition.synonyms])
        expect([name, conditionNamed(name)?.id]).toEqual([name, condition.id])
  })

  test.each([
    ['Glaucoma', 'eye-pressure'],
    ['  HIGH blood-pressure ', 'high-blood-pressure'],
    ['placenta previa', 'placenta-praevia'],
    ['pregnant', 'second-trimester'],
    ['Scoliosis', 'uneven-spine'],
    ['slipped disc', 'disc'],
    ['carpal tunnel', 'wrist'],
    ['migraine', 'headache'],
    ['heartburn', 'reflux'],
    ['knee replacement', 'knee-surgery'],
  ])('%s', (name, id) => {
    expect(conditionNamed(name)?.id).toBe(id)
  })

  test.each([
    ['glaucomo', 'eye-pressure'],
    ['vertego', 'vertigo'],
    ['osteoperosis', 'osteoporosis'],
    ['reflex', 'reflux'],
    ['hypertenshun', 'high-blood-pressure'],
  ])('“%s” is not known, and the nearest is told', (name, id) => {
    expect(conditionNamed(name)).toBeNull()
    expect(nearestConditions(name).map((each) => each.id)).toContain(id)
  })
})

// What the body does, and what usually follows. Common practice, no source: the handbook of the trade.
describe('verdicts of forms with nothing typed', () => {
  test.each<[keyof typeof FORMS & string, string, Verdict]>([
    ['fold', 'glaucoma', 'avoid'],
    ['fold', 'retina trouble', 'avoid'],
    ['fold', 'high blood pressure', 'ask-first'],
    ['fold', 'heart disease', 'ask-first'],
    ['fold', 'reflux', 'change'],
    ['fold', 'sinusitis', 'change'],
    ['fold', 'osteoporosis', 'avoid'],
    ['fold', 'disc trouble', 'change'],
    ['dog', 'glaucoma', 'avoid'],
    ['dog', 'wrist trouble', 'change'],
    ['standing', 'glaucoma', 'fine'],
    ['standing', 'wrist trouble', 'fine'],
    ['standing', 'vertigo', 'fine'],
    ['shoulderStand', 'neck problem', 'avoid'],
    ['shoulderStand', 'osteoporosis', 'avoid'],
    ['shoulderStand', 'glaucoma', 'avoid'],
    ['shoulderStand', 'placenta praevia', 'avoid'],
    ['heelSeat', 'recent knee surgery', 'avoid'],
    ['heelSeat', 'knee trouble', 'change'],
    ['heelSeat', 'glaucoma', 'fine'],
    ['chair', 'knee trouble', 'fine'],
    ['fours', 'wrist trouble', 'change'],
    ['fours', 'recent knee surgery', 'change'],
    ['plank', 'carpal tunnel', 'change'],
    ['plank', 'shoulder injury', 'change'],
    ['plank', 'third trimester', 'avoid'],
    ['supine', 'third trimester', 'change'],
    ['supine', 'reflux', 'change'],
    ['supine', 'second trimester', 'fine'],
    ['supine', 'knee trouble', 'fine'],
    ['prone', 'second trimester', 'avoid'],
    ['prone', 'first trimester', 'ask-first'],
    ['cobra', 'acute back pain', 'avoid'],
    ['cobra', 'spine injury', 'ask-first'],
    ['cobra', 'osteoporosis', 'change'],
    ['roundedFold', 'osteoporosis', 'avoid'],
    ['roundedFold', 'disc trouble', 'change'],
    ['armsUp', 'heart disease', 'change'],
    ['armsUp', 'high blood pressure', 'change'],
    ['armsUp', 'shoulder injury', 'change'],
    ['armsUp', 'wrist trouble', 'fine'],
    ['one', 'vertigo', 'change'],
    ['one', 'third trimester', 'change'],
    ['one', 'osteoporosis', 'change'],
    ['one', 'pelvic girdle pain', 'avoid'],
    ['one', 'wrist trouble', 'fine'],
    ['crossed', 'recent knee surgery', 'avoid'],
    ['crossed', 'groin strain', 'change'],
    ['twist', 'osteoporosis', 'change'],
    ['twist', 'second trimester', 'avoid'],
    ['twist', 'acute back pain', 'avoid'],
    ['fish', 'neck problem', 'avoid'],
    ['fish', 'osteoporosis', 'avoid'],
    ['fish', 'glaucoma', 'avoid'],
    ['fish', 'wrist trouble', 'fine'],
    ['camel', 'acute back pain', 'avoid'],
    ['camel', 'neck problem', 'change'],
    ['camel', 'glaucoma', 'fine'],
    ['camel', 'knee trouble', 'change'],
    ['level', 'vertigo', 'change'],
    ['level', 'disc trouble', 'change'],
    ['level', 'glaucoma', 'fine'],
    ['level', 'wrist trouble', 'fine'],
    ['locust', 'second trimester', 'avoid'],
    ['locust', 'first trimester', 'ask-first'],
    ['locust', 'reflux', 'change'],
    ['locust', 'glaucoma', 'fine'],
    ['lunge', 'heart disease', 'change'],
    ['lunge', 'shoulder injury', 'change'],
    ['lunge', 'knee trouble', 'change'],
    ['lunge', 'vertigo', 'fine'],
    ['plough', 'neck problem', 'avoid'],
    ['plough', 'glaucoma', 'avoid'],
    ['plough', 'high blood pressure', 'ask-first'],
    ['plough', 'third trimester', 'avoid'],
    ['crow', 'wrist trouble', 'change'],
    ['crow', 'retina trouble', 'avoid'],
    ['crow', 'recent knee surgery', 'avoid'],
    ['wheel', 'third trimester', 'avoid'],
    ['wheel', 'wrist trouble', 'change'],
    ['wheel', 'glaucoma', 'avoid'],
    ['hero-seat', 'recent knee surgery', 'avoid'],
    ['hero-seat', 'knee trouble', 'change'],
    ['hero-seat', 'vertigo', 'fine'],
    ['boat', 'second trimester', 'avoid'],
    ['boat', 'hernia', 'avoid'],
    ['boat', 'glaucoma', 'fine'],
    ['headstand', 'neck problem', 'avoid'],
    ['headstand', 'high blood pressure', 'avoid'],
    ['headstand', 'placenta praevia', 'avoid'],
    ['eagle', 'vertigo', 'change'],
    ['eagle', 'osteoporosis', 'change'],
    ['side-plank', 'wrist trouble', 'change'],
    ['side-plank', 'glaucoma', 'fine'],
  ])('%s, %s: %s', (name, condition, wanted) => {
    expect(verdict(only(FORMS[name]!), condition)).toBe(wanted)
  })

  test('breath that is held is found in steps and in the pace of the stay', () => {
    const held = only(FORMS.standing!, {
      enter: [{ id: 's1', text: 'Stay full.', breath: 'hold-in' }],
    })
    const paced = only(FORMS.standing!, {
      stay: { breaths: 5, repeats: 1, pace: { in: 4, out: 4, holdIn: 4 } },
    })
    for (const card of [held, paced]) {
      for (const name of ['third trimester', 'high blood pressure', 'heart disease', 'glaucoma'])
        expect([name, verdict(card, name)]).toEqual([name, 'avoid'])
      expect(verdict(card, 'asthma')).toBe('ask-first')
    }
    expect(verdict(only(FORMS.standing!), 'asthma')).not.toBe('avoid')
  })

  test('a wall makes the one-legged stand steadier, and less is asked', () => {
    expect(trait(oneLeg().wall!, 'one-leg balance')).toBeLessThan(
      trait(oneLeg().one!, 'one-leg balance')
    )
  })
})

describe('safe by default', () => {
  const bare = () => {
    const card = only(FORMS.standing!, {
      enter: [{ id: 's1', text: 'Let the thing happen.', breath: 'out' }],
    })
    return { ...card, ladder: card.ladder.map(({ figure: _, ...rung }) => rung) }
  }

  test('a form that is not known is never fine, for any condition', () => {
    for (const condition of conditions)
      for (const { verdict: told, reason } of verdictsFor(bare(), condition)) {
        expect([condition.id, told]).not.toEqual([condition.id, 'fine'])
        expect(reason.length).toBeGreaterThan(0)
      }
    expect(verdictsFor({ ...bare(), ladder: [] }, conditions[0]!)).toHaveLength(1)
  })

  test('a condition that no rule is about is never fine', () => {
    const own = { id: 'own', group: 'school', name: 'own', synonyms: [] }
    expect(verdictsFor(only(FORMS.standing!), own)[0]!.verdict).toBe('ask-first')
  })

  test('with some conditions the clinician is asked whatever the form', () => {
    for (const id of ASK_ANYWAY)
      expect([id, verdict(only(FORMS.standing!), id)]).not.toEqual([id, 'fine'])
  })

  test('every condition has a rule or is told as unknown, and every rule is about something that is there', () => {
    const ids = new Set(conditions.map(({ id }) => id))
    for (const rule of DEFAULT_POLICY) {
      expect([rule.id, ids.has(rule.condition)]).toEqual([rule.id, true])
      expect(TRAIT_NAMES).toContain(rule.trait)
      expect(rule.change).not.toBe('')
    }
    expect(new Set(DEFAULT_POLICY.map(({ id }) => id)).size).toBe(DEFAULT_POLICY.length)
    const without = conditions.filter(
      ({ id }) => !DEFAULT_POLICY.some((rule) => rule.condition === id)
    )
    expect(without).toEqual([])
  })

  test('more of a trait is never judged more mildly', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEFAULT_POLICY.map(({ condition }) => condition)),
        fc.constantFrom(...TRAIT_NAMES),
        fc.integer({ min: 0, max: 160 }),
        fc.integer({ min: 0, max: 60 }),
        (condition, name, value, more) => {
          const rules = DEFAULT_POLICY.filter(
            (rule) => rule.condition === condition && rule.trait === name
          )
          const at = (x: number) =>
            strictest(rules.filter(({ least }) => x >= least).map((rule) => rule.verdict))
          expect(STRICTNESS.indexOf(at(value + more))).toBeLessThanOrEqual(
            STRICTNESS.indexOf(at(value))
          )
        }
      )
    )
  })
})

describe('several conditions together', () => {
  test('the strictest stands, the changes add up, and the highest rung that all leave open is told', () => {
    const card = demoCard('standing-fold')
    const all = ['glaucoma', 'wrist trouble'].map((name) =>
      verdictsFor(card, conditionNamed(name)!)
    )
    const lowest = together(all.map((verdicts) => verdicts[0]!))
    expect(lowest.verdict).toBe('change')
    expect(lowest.change.join()).toContain('fists')
    const top = together(all.map((verdicts) => verdicts.at(-1)!))
    expect(top.verdict).toBe('avoid')
    expect(highestOpen(all)).toBe('chair')
    expect(highestOpen([])).toBeNull()
    expect(
      highestOpen([verdictsFor(demoCard('low-cobra'), conditionNamed('late pregnancy')!)])
    ).toBeNull()
  })

  test('on every card of the demo all that is judged is a verdict, with its reason', () => {
    for (const card of demoCards())
      for (const condition of conditions)
        for (const each of verdictsFor(card, condition)) {
          expect(VERDICTS).toContain(each.verdict)
          if (each.verdict !== 'fine')
            expect([card.id, condition.id, each.reason.length > 0]).toEqual([
              card.id,
              condition.id,
              true,
            ])
        }
  })
})

test('traits are numbers with a unit, in words', () => {
  expect(traitWords('head below heart', 23.4)).toBe('head below heart 23 cm')
  expect(traitWords('loaded neck', 55)).toBe('loaded neck 55 %')
  expect(traitWords('turn', 43)).toBe('turn 43°')
  for (const figure of Object.values(FORMS))
    for (const value of Object.values(traitsOf(only(figure), 'it').traits)) {
      expect(Number.isFinite(value)).toBe(true)
      expect(value).toBeGreaterThanOrEqual(0)
    }
})
