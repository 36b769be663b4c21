import fc from 'fast-check'
import { type Card, DEFAULT_SCHOOL, otherSide, runRules } from '../card'
import { demoCard, demoCards } from '../../../tests/support/cards'
import {
  ANGLES,
  anglesOf,
  atLimit,
  differenceFrom,
  drawnFigure,
  type Figure,
  figureLedFrom,
  figureRules,
  finalFigure,
  finalPlace,
  handleAt,
  HANDLES,
  keyframesOf,
  measuredCue,
  mirroredFigure,
  overReference,
  readFigure,
  sameFigure,
  sameForm,
  solve,
  STARTS,
  withFigure,
  withReferenceRung,
} from './index'

const read = (data: unknown): Figure => readFigure(data).figure!
const start = (id: string) => read(STARTS.find((each) => each.id === id)!.figure)
const kept = (figure: unknown) => figure as Card['setUp']['figure']

describe('the figures of a card', () => {
  test('every card of the demo has its final form drawn, contacts met, and both sides', () => {
    for (const card of demoCards()) {
      const final = finalFigure(card)
      expect([card.id, final !== null]).toEqual([card.id, true])
      expect(keyframesOf(card).problems).toEqual([])
      for (const side of ['left', 'right'] as const) {
        const solved = solve(figureLedFrom(card, final!.figure, side))
        expect([card.id, side, solved.unmet]).toEqual([card.id, side, []])
      }
    }
  })

  test('moving cards have their steps drawn', () => {
    for (const card of demoCards().filter((each) => each.manner === 'moving')) {
      const steps = keyframesOf(card).frames.filter((frame) => frame.id.startsWith('step '))
      expect([card.id, steps.length > 0]).toEqual([card.id, true])
    }
  })

  test('the side that the words are written for is drawn as it is, the other one mirrored', () => {
    const card = demoCard('tree')
    const { figure } = finalFigure(card)!
    expect(figureLedFrom(card, figure, card.writtenFor)).toBe(figure)
    const across = otherSide(card.writtenFor)
    expect(figureLedFrom(card, figure, across)).toEqual(mirroredFigure(figure))
    const even = demoCard('mountain')
    const standing = finalFigure(even)!.figure
    expect(figureLedFrom(even, standing, 'left')).toBe(standing)
  })

  test('without a figure on the reference rung the last drawn step is the form', () => {
    const whole = demoCard('crescent-lunge')
    const card = { ...whole, ladder: whole.ladder.map((rung) => ({ ...rung, figure: undefined })) }
    expect(finalFigure(card)!.where).toMatch(/^enter\[/)
    expect(finalPlace(demoCard('tree'))).toMatch(/^ladder\[\d\]\.figure$/)
  })
})

describe('rungs as differences', () => {
  const angle = fc.constantFrom(...ANGLES)
  const figure = fc
    .array(fc.tuple(angle, fc.integer({ min: -20, max: 20 })), { maxLength: 12 })
    .map((list) => {
      const angles: Figure['angles'] = {}
      for (const [{ joint, angle: name }, value] of list)
        angles[joint] = { ...angles[joint], [name]: value }
      return read({ angles, contacts: [{ part: 'left sole', on: 'floor' }] })
    })
  const whole = ({ angles }: Figure) =>
    ANGLES.map(({ joint, angle: name }) => angles[joint]?.[name] ?? 0)

  test('what is kept of a rung makes it whole again over its reference', () => {
    fc.assert(
      fc.property(figure, figure, (reference, rung) => {
        const back = read(overReference(reference, differenceFrom(reference, rung)))
        expect(whole(back)).toEqual(whole(rung))
        expect(back.contacts).toEqual(rung.contacts)
      })
    )
  })

  const card = () => {
    const base = demoCard('long-side-angle')
    const at = base.ladder.findIndex((rung) => !rung.reference)
    const where = `ladder[${at}].figure`
    const wide = start('wide')
    return { base: withFigure(base, where, wide), id: base.ladder[at]!.id, wide }
  }

  test('a rung is kept as a difference and read as a whole', () => {
    const { base, id, wide } = card()
    const found = finalFigure(base, id)!
    expect(found.id).toBe(`rung ${id}`)
    expect(whole(found.figure)).toEqual(whole(wide))
  })

  test('a figure that was kept and read again is the same, whatever its order', () => {
    const { base, id, wide } = card()
    const turned: Figure = { body: { legs: 1.1 }, view: { turn: 5 }, ...wide }
    const at = base.ladder.findIndex((rung) => rung.id === id)
    const where = `ladder[${at}].figure`
    const stored = withFigure(base, where, turned)
    const again = keyframesOf(stored).frames.find((frame) => frame.where === where)!.figure
    expect(sameFigure(turned, again)).toBe(true)
    expect(sameFigure(turned, { ...again, view: { turn: 6 } })).toBe(false)
    expect(sameFigure(turned, { ...again, body: {} })).toBe(false)
    expect(sameFigure(turned, null)).toBe(false)
    expect(sameFigure(null, null)).toBe(true)
  })

  test('a rung without a figure has the form described, under its own name', () => {
    const { base, id } = card()
    const other = base.ladder.find((rung) => rung.id !== id && !rung.reference)!
    const bare = withFigure(base, `ladder[${base.ladder.indexOf(other)}].figure`, null)
    expect(finalFigure(bare, other.id)!.id).toBe('rung forearm')
  })

  test('another reference leaves every drawn form as it is', () => {
    const { base, id } = card()
    const before = keyframesOf(base).frames
    const moved = withReferenceRung(base, id)
    expect(moved.ladder.filter((rung) => rung.reference).map((rung) => rung.id)).toEqual([id])
    for (const frame of keyframesOf(moved).frames) {
      const was = before.find((each) => each.id === frame.id)!
      expect(whole(frame.figure)).toEqual(whole(was.figure))
    }
  })
})

describe('rules about figures', () => {
  const found = (card: Card) =>
    runRules(figureRules, card, DEFAULT_SCHOOL).map(({ rule, where }) => `${rule} ${where}`)

  test('the demo has none to tell', () => {
    for (const card of demoCards()) expect([card.id, found(card)]).toEqual([card.id, []])
  })

  test('a cue that the figure breaks is told, with what is measured', () => {
    const card = demoCard('long-side-angle')
    const at = card.alignment.findIndex((cue) => cue.measure)
    expect(measuredCue(card, at)!.off).toBe(0)
    const strict: Card = {
      ...card,
      alignment: card.alignment.map((cue, i) =>
        i === at ? { ...cue, measure: { ...cue.measure!, target: 40, tolerance: 2 } } : cue
      ),
    }
    expect(found(strict)).toEqual([`figure/keeps-the-cues alignment[${at}]`])
    const [told] = runRules(figureRules, strict, DEFAULT_SCHOOL)
    expect(told!.message).toMatch(
      /front knee over ankle is -?\d+(\.\d)?°, wanted 40° give or take 2/
    )
    expect(measuredCue(strict, at)!.off).toBeGreaterThan(20)
  })

  test('a target in another unit is told; degrees in words are degrees', () => {
    const card = demoCard('long-side-angle')
    const at = card.alignment.findIndex((cue) => cue.measure)
    const inUnit = (unit: string): Card => ({
      ...card,
      alignment: card.alignment.map((cue, i) =>
        i === at ? { ...cue, measure: { ...cue.measure!, unit } } : cue
      ),
    })
    expect(found(inUnit('degrees'))).toEqual([])
    expect(found(inUnit('cm'))).toEqual([`figure/keeps-the-cues alignment[${at}].measure`])
  })

  test('a form is found again on a later state of its card, by its id', () => {
    const card = demoCard('long-side-angle')
    const later: Card = { ...card, enter: card.enter.toReversed(), ladder: card.ladder.slice(1) }
    const last = card.enter.length - 1
    expect(sameForm(card, 'enter[0].figure', later)).toBe(`enter[${last}].figure`)
    expect(sameForm(card, 'ladder[1].figure', later)).toBe('ladder[0].figure')
    expect(sameForm(card, 'ladder[0].figure', later)).toBeNull()
    expect(sameForm(card, 'setUp.figure', later)).toBe('setUp.figure')
  })

  test('a measure that there is not, a contact out of reach, data that is none', () => {
    const card = demoCard('long-side-angle')
    const odd: Card = {
      ...card,
      alignment: card.alignment.map((cue, i) =>
        i === 0
          ? { ...cue, measure: { name: 'left ear colour', target: 1, tolerance: 1, unit: 'deg' } }
          : cue
      ),
      setUp: {
        ...card.setUp,
        figure: kept({
          contacts: [
            { part: 'right palm', on: 'floor', at: [0, 0] },
            { part: 'left palm', on: 'floor', at: [3, 0] },
          ],
        }),
      },
      exit: card.exit.map((step, i) => (i === 0 ? { ...step, figure: kept({ wings: 2 }) } : step)),
    }
    const told = found(odd)
    expect(told).toContain('figure/keeps-the-cues alignment[0].measure')
    expect(told).toContain('figure/contacts-are-met setUp.figure')
    expect(told).toContain('figure/can-be-read exit[0].figure')
  })
})

describe('handles', () => {
  test('every handle is on the body, and a mirrored body has them mirrored', () => {
    const figure = start('stride')
    const [a, b] = [solve(figure), solve(mirroredFigure(figure))]
    const across = (name: string) =>
      name.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left'))
    for (const name of HANDLES) {
      const [x, y, z] = handleAt(a, name)
      const [mx, my, mz] = handleAt(b, across(name))
      expect(Math.hypot(x + mx, y - my, z - mz)).toBeLessThan(1e-6)
    }
  })

  test('the angles of a pose are kept to a tenth of a degree, and give the pose back', () => {
    for (const { figure } of STARTS) {
      const solved = solve(read(figure))
      const again = solve({ ...read(figure), angles: anglesOf(solved.pose) })
      const away = solved.placed.origins.map((p, i) =>
        Math.hypot(...p.map((value, k) => value - again.placed.origins[i]![k]!))
      )
      expect(Math.max(...away)).toBeLessThan(0.01)
    }
  })

  test('angles at the end of their range are told', () => {
    const solved = solve(read({ angles: { leftKnee: { flexion: 155 }, neck: { rotation: 20 } } }))
    expect(atLimit(solved.pose)).toEqual([{ joint: 'leftKnee', angle: 'flexion', value: 155 }])
  })
})

test('a drawing is made once for a figure, its letters and its measures', () => {
  const figure = start('squat')
  const once = drawnFigure(figure, true)
  expect(drawnFigure({ ...figure }, true)).toBe(once)
  expect(drawnFigure(figure, false)).not.toBe(once)
  const shown = { names: ['left knee angle'], lead: 'left' as const }
  expect(drawnFigure(figure, true, shown)).not.toBe(once)
  expect(drawnFigure(figure, true, { ...shown })).toBe(drawnFigure(figure, true, shown))
})
