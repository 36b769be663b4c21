import { isDeepStrictEqual } from 'node:util'
import fc from 'fast-check'
import { demoCards } from '../../../tests/support/cards'
import {
  form,
  ladderCard,
  loweredPlank,
  oneLeg,
  on,
  seatedFold,
  squats,
} from '../../../tests/support/ladders'
import { DEFAULT_SCHOOL, DEMANDED } from '../card'
import {
  jointEfforts,
  keyframesOf,
  loadShares,
  mirroredFigure,
  NORMAL_RANGES,
  solved,
} from '../figure'
import {
  bent,
  DEMAND_WEIGHTS,
  demandOf,
  demandsOf,
  motionsOf,
  mostOf,
  NORMS,
  rungForm,
  totalOf,
} from '.'

const total = (figure: ReturnType<typeof form>, seconds = 20) => demandOf(figure, seconds).total
const part = (figure: ReturnType<typeof form>, name: (typeof DEMANDED)[number], seconds = 20) =>
  demandOf(figure, seconds).parts[name].value

describe('against things outside', () => {
  // Suprak, Dawes & Stephenson 2011 (from memory): lowered plank 75.0 % whole, 61.8 % on the knees.
  test('published hand loads order the rungs of the lowered plank', () => {
    const { wall, knees, full } = loweredPlank()
    const onHands = (figure: typeof wall) =>
      loadShares(solved(figure!))
        .filter(({ part: name }) => name.endsWith('palm'))
        .reduce((sum, { share }) => sum + share * 100, 0)
    expect(onHands(full!)).toBeGreaterThan(67)
    expect(onHands(full!)).toBeLessThan(80)
    expect(onHands(knees!)).toBeGreaterThan(53)
    expect(onHands(knees!)).toBeLessThan(68)
    expect(onHands(wall!)).toBeLessThan(25)
    for (const name of ['hands', 'strength'] as const)
      expect([
        part(wall!, name) < part(knees!, name),
        part(knees!, name) < part(full!, name),
      ]).toEqual([true, true])
  })

  // AAOS 1965, the published table (from memory).
  test('the norms are those of the table', () => {
    expect(NORMS['hip flexion'].normal).toBe(120)
    expect(NORMS['hip opening'].normal).toBe(45)
    expect(NORMS['knee flexion'].normal).toBe(135)
    expect(NORMS['ankle bend'].normal).toBe(20)
    expect(NORMS['shoulder reach'].normal).toBe(180)
    expect(NORMS['back bend'].normal).toBe(25)
    expect(NORMS['neck turn'].normal).toBe(NORMAL_RANGES.neckTurn)
  })

  /**
   * By hand from Winter’s table (from memory): an arm held straight ahead, of lengths 0.186,
   * 0.146, 0.108 and masses 0.028, 0.016, 0.006 with centres at 0.436, 0.430, 0.506:
   * 0.028·0.0811 + 0.016·(0.186+0.0628) + 0.006·(0.332+0.0546) = 0.00857 of weight times stature.
   */
  test('the moment at the shoulder of an arm held ahead is the one worked out by hand', () => {
    const held = form('standing', { rightShoulder: { flexion: 90 } })
    const found = jointEfforts(solved(held)).find(({ joint }) => joint === 'right shoulder')!
    expect(found.moment).toBeCloseTo(0.00857, 3)
  })

  /** Stobbe 1982, as given in Chaffin, Andersson & Martin (from memory), middle man and woman. */
  test('what joints can hold comes from the named table', () => {
    const efforts = jointEfforts(solved(form('standing')))
    const of = (joint: string) => efforts.find((each) => each.joint === joint)!.strength
    const middle = (man: number, woman: number) =>
      (man / (78 * 9.81 * 1.76) + woman / (62 * 9.81 * 1.63)) / 2
    expect(of('left knee')).toBeCloseTo(middle(168, 106), 6)
    expect(of('right hip')).toBeCloseTo(middle(190, 97), 6)
    expect(of('left shoulder')).toBeCloseTo(middle(92, 40), 6)
    expect(of('low back')).toBeCloseTo(middle(234, 143), 6)
  })

  // Common practice, no source: what the trade says is harder, by the part that makes it so.
  test.each([
    ['a deeper squat', 'strength', squats().high!, squats().deep!],
    ['a lower lunge', 'range', form('standing'), form('stride')],
    ['one foot', 'balance', form('standing'), oneLeg().one!],
    ['no wall', 'balance', oneLeg().wall!, oneLeg().one!],
    ['all fours on the hands', 'hands', form('kneeling'), form('hands-and-knees')],
    ['a plank', 'hands', form('hands-and-knees'), form('plank')],
    ['the head down', 'head', form('standing'), form('standing-fold')],
    ['straight knees', 'range', seatedFold().bent!, seatedFold().half!],
    ['lying', 'balance', form('supine'), form('standing')],
  ] as const)('%s asks more %s', (_, name, less, more) => {
    expect(part(more, name)).toBeGreaterThan(part(less, name) + 3)
  })
})

describe('motions', () => {
  test('a straight leg raised to a right angle is 90, and a bent knee takes from it', () => {
    const raised = (knee: number) =>
      motionsOf(
        solved(
          form(
            'standing',
            { rightHip: { flexion: 90 }, rightKnee: { flexion: knee } },
            { contacts: on('floor', 'left sole') }
          )
        )
      )
    expect(mostOf(raised(0), 'straight-leg raise').degrees).toBeCloseTo(90, 0)
    expect(mostOf(raised(40), 'straight-leg raise').degrees).toBeCloseTo(50, 0)
    expect(mostOf(raised(40), 'hip flexion').degrees).toBeCloseTo(90, 0)
  })

  test('an opening is told as it stands out from the middle, a closing as none', () => {
    const wide = motionsOf(
      solved(
        form('standing', { leftHip: { abduction: 30 } }, { contacts: on('floor', 'right sole') })
      )
    )
    expect(mostOf(wide, 'hip opening')).toMatchObject({ side: 'left' })
    expect(mostOf(wide, 'hip opening').degrees).toBeCloseTo(30, 0)
    expect(mostOf(motionsOf(solved(form('standing'))), 'twist').degrees).toBe(0)
  })
})

describe('a demand', () => {
  test('is half at an ask of one, three quarters at two, and never whole', () => {
    expect([bent(0), bent(1), bent(2)]).toEqual([0, 50, 75])
    expect(bent(30)).toBeLessThanOrEqual(100)
    expect(bent(-1)).toBe(0)
  })

  test('of every drawn form of the demo is from 0 to 100, the same in a mirror, and told with its parts', () => {
    for (const card of demoCards())
      for (const { figure } of keyframesOf(card).frames) {
        const one = demandOf(figure, 30)
        const other = demandOf(mirroredFigure(figure), 30)
        for (const name of DEMANDED) {
          expect(one.parts[name].value).toBeGreaterThanOrEqual(0)
          expect(one.parts[name].value).toBeLessThanOrEqual(100)
          expect(other.parts[name].value).toBeCloseTo(one.parts[name].value, 3)
        }
        expect(one.total).toBeCloseTo(totalOf(one.parts), 9)
      }
  })

  test('of a form that is its own mirror names the limb of one side, always the same', () => {
    const even = demoCards()
      .flatMap((card) => keyframesOf(card).frames.map(({ figure }) => figure))
      .filter((figure) => isDeepStrictEqual(mirroredFigure(figure).angles, figure.angles))
      .filter((figure) => figure.contacts.every(({ on: under }) => !/^(?:left|right) /.test(under)))
    const named = even.flatMap((figure) =>
      demandOf(figure, 30).parts.strength.from.flatMap((each) =>
        each.of === 'joint' && /^(?:left|right)/.test(each.joint) ? [each.joint] : []
      )
    )
    expect(named.length).toBeGreaterThan(10)
    expect(named.filter((joint) => joint.startsWith('right'))).toEqual([])
  })

  test('grows with the stay, and rest tires less than work', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 900 }), (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        const plank = form('plank')
        expect(total(plank, more)).toBeGreaterThanOrEqual(total(plank, less))
        expect(part(form('supine'), 'time', a)).toBeLessThan(part(plank, 'time', a))
      }),
      { numRuns: 30 }
    )
  })

  test('grows with each angle that is taken further from where it is easy', () => {
    const fold = (hip: number) =>
      form('long-seat', {
        pelvis: { tilt: hip - 90 },
        leftHip: { flexion: hip },
        rightHip: { flexion: hip },
      })
    const ranges = [90, 100, 110, 120].map((hip) => part(fold(hip), 'range'))
    expect([...ranges].sort((a, b) => a - b)).toEqual(ranges)
    expect(
      part(
        form('standing', { leftHip: { flexion: 20 } }, { contacts: on('floor', 'right sole') }),
        'range'
      )
    ).toBeLessThan(3)
  })

  test('is weighted by the school, and weights of nothing count as usual', () => {
    const figure = form('plank')
    const { parts } = demandOf(figure, 20)
    const only = { range: 0, strength: 0, balance: 0, hands: 4, head: 0, time: 0 }
    expect(demandOf(figure, 20, { weights: only }).total).toBeCloseTo(parts.hands.value, 9)
    expect(demandOf(figure, 20, { weights: DEMAND_WEIGHTS }).total).toBeCloseTo(total(figure), 9)
    expect(totalOf(parts, { ...only, hands: 0 })).toBe(0)
  })

  test('closed eyes make a stand harder', () => {
    const open = demandOf(form('standing'), 20).parts.balance.value
    const closed = demandOf(form('standing'), 20, { eyesClosed: true }).parts.balance
    expect(closed.value).toBeGreaterThan(open * 1.5)
    expect(closed.from.map((each) => each.of)).toContain('eyes')
  })

  test.each([
    ['Close the eyes.', true],
    ['Close your eyes and breathe.', true],
    ['Let both eyes close.', true],
    ['Shut the eyes.', true],
    ['Lower the gaze and close the eyes.', true],
    ['Keep the eyes closed.', true],
    ['Look ahead.', false],
    ['Soften the gaze.', false],
    ['Close the fingers.', false],
    ['Close the left hand.', false],
    ['Keep the eyes open.', false],
  ])('the eyes are closed by “%s”: %s', (text, closed) => {
    const tree = demoCards().find(({ id }) => id === 'tree')!
    const rest = { ...tree.enter.at(-1)!, id: 'rest', text }
    const { demand } = demandsOf({ ...tree, enter: [...tree.enter, rest] }).at(-1)!
    expect(demand!.parts.balance.from.some(({ of }) => of === 'eyes')).toBe(closed)
  })

  test('a form that falls is told so', () => {
    const falling = demandOf(form('standing', { pelvis: { tilt: 60 } }), 20)
    expect(falling.parts.balance.from).toEqual([{ of: 'falls' }])
  })

  test('shows what each number came from', () => {
    const { parts } = demandOf(form('plank'), 20)
    expect(parts.hands.from).toContainEqual(
      expect.objectContaining({ of: 'hand', part: 'left palm', share: expect.closeTo(0.34, 1) })
    )
    expect(parts.strength.from[0]).toMatchObject({ of: 'joint' })
    expect(parts.balance.from[0]).toMatchObject({ of: 'balance' })
  })
})

describe('the form of a rung', () => {
  const card = () => ladderCard({ two: form('standing'), wide: form('wide') }, 'two')

  test('is the one that is kept, else what its words say, else the form described', () => {
    expect(rungForm(card(), 'wide')).toMatchObject({ from: 'kept', sure: true })
    const worded = card()
    worded.ladder[1] = {
      ...worded.ladder[1]!,
      figure: undefined,
      steps: {
        replace: [],
        add: [{ after: 's1', step: { id: 'n1', text: 'Lift both arms overhead.', breath: 'in' } }],
        omit: [],
      },
    }
    const told = rungForm(worded, 'wide')
    expect(told).toMatchObject({ from: 'words', sure: true })
    expect(part(told.figure!, 'range')).toBeGreaterThan(part(form('standing'), 'range') + 10)
  })

  test('is not sure when it says what is not understood, or names a prop and nothing else', () => {
    const vague = (more: object) => {
      const one = card()
      one.ladder[1] = { ...one.ladder[1]!, figure: undefined, ...more }
      return rungForm(one, 'wide')
    }
    expect(vague({ props: ['chair'] })).toMatchObject({ from: 'described', sure: false })
    expect(
      vague({
        steps: { replace: [{ step: 's1', text: 'Let the thing happen.' }], add: [], omit: [] },
      })
    ).toMatchObject({ sure: false })
    // Nothing differs but the count: the form is the one described, for sure.
    expect(vague({ stay: { breaths: 12, repeats: 1 } })).toMatchObject({
      from: 'described',
      sure: true,
    })
  })

  test('a longer count of the same form asks more time and nothing else', () => {
    const long = card()
    long.ladder[1] = { ...long.ladder[1]!, figure: undefined, stay: { breaths: 12, repeats: 1 } }
    const [short, longer] = demandsOf(long, DEFAULT_SCHOOL)
    expect(longer!.demand!.parts.time.value).toBeGreaterThan(short!.demand!.parts.time.value)
    expect(longer!.demand!.parts.range.value).toBe(short!.demand!.parts.range.value)
  })

  test('with nothing drawn the words tell the form, or that it is not known', () => {
    const bare = (text: string) => {
      const one = ladderCard({ two: form('standing') }, 'two', {
        enter: [{ id: 's1', text, breath: 'in' }],
      })
      return { ...one, ladder: one.ladder.map((rung) => ({ ...rung, figure: undefined })) }
    }
    expect(demandsOf(bare('Lift both arms overhead.'))[0]).toMatchObject({
      sure: true,
      from: 'words',
      demand: { total: expect.any(Number) },
    })
    expect(demandsOf(bare('Let the thing happen.'))[0]).toMatchObject({ sure: false })
    // The start alone is not the form that steps lead to.
    const begun = bare('Lift both arms overhead.')
    begun.setUp = { ...begun.setUp, figure: form('standing') as never }
    expect(rungForm(begun, 'two').from).toBe('words')
  })

  test('words that are told of a prop have to use it', () => {
    const at = (text: string, props: string[]) => {
      const one = card()
      one.ladder[1] = {
        ...one.ladder[1]!,
        figure: undefined,
        props,
        steps: {
          replace: [],
          add: [{ after: 's1', step: { id: 'n1', text, breath: 'out' } }],
          omit: [],
        },
      }
      return rungForm(one, 'wide').sure
    }
    expect(at('Lift both arms overhead.', [])).toBe(true)
    // By any word for it: what carries a form is drawn in it.
    for (const prop of ['wall', 'a brick', '2 blocks', 'cushion', 'Belt', 'stool', 'towel'])
      expect([prop, at('Lift both arms overhead.', [prop])]).toEqual([prop, false])
    for (const prop of ['eye pillow', 'wallet', 'strapless top', 'timer'])
      expect([prop, at('Lift both arms overhead.', [prop])]).toEqual([prop, true])
    expect(at('Set the right hand on the block.', ['brick'])).toBe(true)
    expect(at('Set the right hand on the block.', ['chair'])).toBe(false)
  })
})
