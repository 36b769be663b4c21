import { demoCards } from '../../../tests/support/cards'
import {
  form,
  ladderCard,
  loweredPlank,
  on,
  oneLeg,
  rungOf,
  seatedFold,
  squats,
} from '../../../tests/support/ladders'
import { applyPatches, type Card, DEFAULT_SCHOOL, runRules } from '../card'
import { differenceFrom, type Figure, mirroredFigure } from '../figure'
import { demandsOf, ladderReport, ladderRules } from '.'

const found = (card: Card) =>
  runRules(ladderRules, card, DEFAULT_SCHOOL).map(({ rule }) => rule.replace('ladder/', ''))
const of = (card: Card, rule: string) =>
  runRules(ladderRules, card, DEFAULT_SCHOOL).filter((each) => each.rule === `ladder/${rule}`)

const LADDERS: Record<string, () => Card> = {
  'the lowered plank': () => ladderCard(loweredPlank(), 'full'),
  'one leg': () => ladderCard(oneLeg(), 'one'),
  'a seated fold': () => ladderCard(seatedFold(), 'half'),
  squats: () => ladderCard(squats(), 'half'),
}
const swapped = (card: Card, i: number, j: number): Card => {
  const ladder = [...card.ladder]
  ;[ladder[i], ladder[j]] = [ladder[j]!, ladder[i]!]
  return { ...card, ladder }
}

describe('good ladders are left alone', () => {
  test.each(Object.entries(LADDERS))('%s', (_, card) => {
    expect(found(card())).toEqual([])
    expect(ladderReport(card(), DEFAULT_SCHOOL).order).toEqual(card().ladder.map(({ id }) => id))
  })
  test.each(demoCards().map((card) => [card.id, card] as const))('%s of the demo', (_, card) => {
    expect(found(card)).toEqual([])
    expect(card.ladder.length).toBeGreaterThanOrEqual(3)
    expect(card.ladder.length).toBeLessThanOrEqual(6)
    expect(demandsOf(card).every(({ sure }) => sure)).toBe(true)
  })
})

describe('what is planted is found', () => {
  test('rungs in a wrong order: in 9 of 10 ladders with two rungs exchanged', () => {
    let [all, seen] = [0, 0]
    for (const card of [...Object.values(LADDERS).map((make) => make()), ...demoCards()])
      for (let i = 0; i < card.ladder.length; i += 1)
        for (let j = i + 1; j < card.ladder.length; j += 1) {
          if (card.ladder[i]!.beside || card.ladder[j]!.beside) continue
          all += 1
          seen += Number(found(swapped(card, i, j)).some((rule) => /climbs|props/.test(rule)))
        }
    expect(all).toBeGreaterThan(80)
    expect(seen / all).toBeGreaterThan(0.87)
  })

  test('the offered mend puts the rung where it belongs, and keeps all of it', () => {
    const wrong = swapped(ladderCard(squats(), 'half'), 1, 2)
    const [finding] = of(wrong, 'climbs')
    expect(finding!.message).toContain('“half” asks less than “deep” below it')
    const mended = applyPatches(wrong, finding!.fix!.patches)
    expect(mended.ladder.map(({ id }) => id)).toEqual(['high', 'half', 'deep'])
    expect(found(mended)).toEqual([])
    for (const rung of wrong.ladder) expect(mended.ladder).toContainEqual(rung)
  })

  test('a leap, with what could stand between, opened as a draft rung', () => {
    const { two, 'arms-up': top } = oneLeg()
    const [leap] = of(ladderCard({ two: two!, top: top! }, 'top'), 'no-leaps')
    expect(leap!.message).toContain('is a leap')
    expect(leap!.message).toContain('fingertips on a wall')
    const folds = ladderCard({ tall: form('standing'), fold: form('standing-fold') }, 'fold')
    const [deep] = of(folds, 'no-leaps')
    expect(deep!.message).toContain('range')
    expect(deep!.fix!.label).toContain('draft rung')
    const drafted = applyPatches(folds, deep!.fix!.patches)
    expect(drafted.ladder).toHaveLength(3)
    const [a, b, c] = demandsOf(drafted).map(({ demand }) => demand!.total)
    expect([a! < b!, b! < c!]).toEqual([true, true])
    expect(drafted.ladder.filter((rung) => rung.reference)).toHaveLength(1)
  })

  test('two rungs that ask the same, and not two that differ', () => {
    const two = form('standing')
    expect(found(ladderCard({ wide: form('wide'), a: two, b: two }, 'b'))).toContain('rungs-differ')
    const longer = ladderCard(
      { a: two, b: form('wide') },
      'a',
      {},
      { b: { stay: { breaths: 9, repeats: 1 } } }
    )
    expect(found(longer)).not.toContain('rungs-differ')
  })

  test('a prop that deepens, by its figure and by its words; not one that supports', () => {
    const { half, whole } = seatedFold()
    const deep = ladderCard(
      { block: whole!, half: half! },
      'half',
      {},
      { block: { props: ['block'] } }
    )
    expect(found(deep)).toContain('props-support')
    expect(found(deep)).not.toContain('climbs')
    const worded = (text: string) => {
      const card = ladderCard(
        { block: half!, half: half! },
        'half',
        {},
        {
          block: {
            props: ['block'],
            figure: undefined,
            steps: {
              replace: [],
              add: [{ after: 's1', step: { id: 'n1', text, breath: 'out' } }],
              omit: [],
            },
          },
        }
      )
      return found(card).includes('props-support')
    }
    // What deepens and what supports: common practice, no source.
    for (const text of [
      'Slide a block under the front foot.',
      'Put a block under both feet.',
      'Stand with the feet on a block.',
      'Hold the block beyond the feet.',
      'Set a block under the belly for lift.',
      'Loop the strap past the soles.',
      'Place a block beneath the lifted foot.',
      'Rest the lifted heel with a block under the lifted heel.',
      'Step both feet on two blocks.',
      'Put the bolster under the back foot.',
    ])
      expect([text, worded(text)]).toEqual([text, true])
    for (const text of [
      'Set the right hand on the block.',
      'Sit on the block.',
      'Slide a block under the pelvis.',
      'Put a blanket under the knees.',
      'Put a folded blanket under the heels.',
      'Loop the strap round the feet.',
      'Rest the head on the bolster.',
      'Set both hands on two blocks.',
      'Lean the back on the wall.',
      'Rest the forearms on the chair.',
    ])
      expect([text, worded(text)]).toEqual([text, false])
  })

  test('no rung that takes weight, range or balance away', () => {
    const { high, half, deep } = squats()
    const [none] = of(ladderCard({ half: half!, deep: deep! }, 'half'), 'has-an-easier-way')
    expect(none!.message).toContain('is the lowest rung')
    expect(found(ladderCard({ high: high!, half: half! }, 'half'))).not.toContain(
      'has-an-easier-way'
    )
    const same = ladderCard({ a: half!, half: half! }, 'half')
    expect(of(same, 'has-an-easier-way')[0]!.message).toContain('nowhere to go')
  })

  test('rungs with no signs: up from all but the top, down from all but the lowest', () => {
    const bare = ladderCard(squats(), 'half')
    bare.ladder = bare.ladder.map((rung) => ({ ...rung, upWhen: [' '], downWhen: [] }))
    expect(of(bare, 'has-signs').map(({ where }) => where)).toEqual([
      'ladder[0].upWhen',
      'ladder[1].upWhen',
      'ladder[1].downWhen',
      'ladder[2].downWhen',
    ])
  })

  test('an up-sign that its own figure does not meet', () => {
    const card = ladderCard(squats(), 'half')
    const sign = (text: string) => {
      const ladder = card.ladder.map((rung) =>
        rung.id === 'high' ? { ...rung, upWhen: [text] } : rung
      )
      return of({ ...card, ladder }, 'signs-are-met')
    }
    expect(sign('the knee bends (left knee angle 32 deg ± 12)')).toEqual([])
    expect(sign('the knee bends (left knee angle 90 deg ± 5)')[0]!.message).toContain('not met')
    expect(sign('the breath stays even')).toEqual([])
  })

  test('a sided ladder whose rungs differ by side', () => {
    const lean = form('standing', {
      lowBack: { lateralFlexion: -18 },
      ribs: { lateralFlexion: -20 },
    })
    const little = form('standing', {
      lowBack: { lateralFlexion: -6 },
      ribs: { lateralFlexion: -6 },
    })
    const sided = { sides: 'sided' as const, sideNamedBy: 'side bent towards' }
    const good = ladderCard({ little, lean }, 'lean', sided)
    expect(found(good)).not.toContain('same-on-both-sides')
    const other = ladderCard({ little, across: mirroredFigure(lean), lean }, 'lean', sided)
    expect(found(other)).toContain('same-on-both-sides')
    const cued: Card = {
      ...good,
      ladder: good.ladder.map((rung) => ({
        ...rung,
        cues: {
          replace: [],
          omit: [],
          add: [{ id: 'b1', region: 'feet', text: 'Press the foot.', on: 'left-only' }],
        },
      })),
    }
    expect(found(cued)).toContain('same-on-both-sides')
    expect(found({ ...cued, sides: 'even' })).not.toContain('same-on-both-sides')
  })
})

describe('what cannot be told is not called wrong', () => {
  test('rungs with no form of their own are left out of the order', () => {
    const card = swapped(ladderCard(squats(), 'half'), 0, 2)
    const undrawn: Card = {
      ...card,
      ladder: card.ladder.map((rung) =>
        rung.reference ? rung : { ...rung, figure: undefined, props: ['chair'] }
      ),
    }
    expect(found(undrawn)).toEqual([])
    expect(ladderReport(undrawn, DEFAULT_SCHOOL).rungs.map(({ sure }) => sure)).toEqual([
      false,
      true,
      false,
    ])
  })

  test('a form beside the ladder is no step of the climb', () => {
    const card = ladderCard({ ...squats(), rest: form('supine') }, 'half')
    expect(found(card)).toContain('climbs')
    const beside = {
      ...card,
      ladder: card.ladder.map((rung) =>
        rung.id === 'rest' ? { ...rung, beside: true as const } : rung
      ),
    }
    expect(found(beside)).toEqual([])
  })
})

test('the order of a right ladder does not hang on the stature', () => {
  for (const make of Object.values(LADDERS))
    for (const stature of [145, 155, 170, 185, 200]) {
      const totals = demandsOf(make(), DEFAULT_SCHOOL, stature).map(({ demand }) => demand!.total)
      expect([stature, totals]).toEqual([stature, [...totals].sort((a, b) => a - b)])
    }
})

test('reordering and renaming keep what rungs are told against', () => {
  const card = ladderCard(squats(), 'half')
  const before = demandsOf(card)
  const after = demandsOf({
    ...card,
    ladder: [...card.ladder].reverse().map((rung) => ({ ...rung, name: `${rung.name} anew` })),
  })
  for (const { id, demand } of before)
    expect(after.find((each) => each.id === id)!.demand!.total).toBeCloseTo(demand!.total, 9)
})

test('every ladder whose forms are drawn is told, whatever else is on it', () => {
  const odd: Figure = form('standing', {}, { contacts: on('floor', 'head') })
  const card = ladderCard({ odd, two: form('standing') }, 'two')
  expect(
    ladderReport(
      {
        ...card,
        ladder: [...card.ladder, rungOf('x', { figure: differenceFrom(odd, odd) as never })],
      },
      DEFAULT_SCHOOL
    ).rungs
  ).toHaveLength(3)
})
