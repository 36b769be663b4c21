import { demoCards } from '../../../tests/support/cards'
import {
  finalFigure,
  keyframesOf,
  mirroredFigure,
  norm,
  solve,
  solved,
  sub,
  USUAL_STATURE,
} from '.'

/** A figure that was solved is solved once, and is never taken for another one. */

const figures = demoCards().flatMap((card) => finalFigure(card)?.figure ?? [])

test('is what solving gives', () => {
  for (const figure of figures.slice(0, 6))
    expect(solved(figure).pose).toEqual(solve(figure, { stature: USUAL_STATURE }).pose)
})

test('the same figure, and one that is written alike, stand in the very same body', () => {
  for (const figure of figures) {
    expect(solved(figure)).toBe(solved(figure))
    expect(solved(structuredClone(figure))).toBe(solved(figure))
  }
})

test('its mirror, another stature, and a coarser try are bodies of their own', () => {
  const sided = demoCards().filter(({ sides }) => sides === 'sided')
  for (const figure of sided.slice(0, 5).flatMap((card) => finalFigure(card)?.figure ?? [])) {
    expect(solved(mirroredFigure(figure))).not.toBe(solved(figure))
    expect(solved(mirroredFigure(figure)).pose).not.toEqual(solved(figure).pose)
    expect(solved(figure, 190)).not.toBe(solved(figure))
    expect(solved(figure, 190)).toBe(solved(figure, 190))
    expect(solved(figure, USUAL_STATURE, true)).not.toBe(solved(figure))
  }
})

test('the mirror of one that was solved stands as it would by itself', () => {
  const kept = demoCards().flatMap((card) => keyframesOf(card).frames.map(({ figure }) => figure))
  for (const [i, figure] of kept.entries()) {
    // One that nothing has solved before, nor its mirror.
    const own = { ...figure, angles: { ...figure.angles, head: { flexion: 1 + i / 1000 } } }
    const mirror = mirroredFigure(own)
    expect(mirroredFigure(mirror)).toEqual(own)
    solved(own)
    expect(solved(mirror)).toEqual({ ...solve(mirror), rounds: expect.any(Number) as number })
  }
})

test('one degree is another body', () => {
  const [figure] = figures
  const bent = { ...figure!, angles: { ...figure!.angles, head: { flexion: 1 } } }
  const more = { ...figure!, angles: { ...figure!.angles, head: { flexion: 2 } } }
  expect(solved(bent)).not.toBe(solved(more))
  expect(solved(bent).pose).not.toEqual(solved(more).pose)
})

test('it is given up when there are too many, and found anew as it was', () => {
  const [figure] = figures
  const before = solved(figure!)
  for (let i = 0; i < 700; i += 1)
    solved(
      { angles: { neck: { flexion: i / 100 } }, contacts: [], straps: [] },
      USUAL_STATURE,
      true
    )
  const after = solved(figure!)
  expect(after).not.toBe(before)
  expect(after).toEqual(before)
})

test('a coarser try stands where the exact one does, as far as one sees, and is found sooner', () => {
  const all = demoCards().flatMap((card) => keyframesOf(card).frames.map(({ figure }) => figure))
  const apart = all.map((figure) => {
    const [exact, rough] = [solved(figure), solved(figure, USUAL_STATURE, true)]
    const cm = exact.placed.origins.map(
      (joint, i) => norm(sub(joint, rough.placed.origins[i]!)) * USUAL_STATURE
    )
    return { cm: Math.max(...cm), exact, rough }
  })
  for (const { exact, rough, cm } of apart) {
    expect(rough.unmet.length).toBe(exact.unmet.length)
    expect(rough.rounds).toBeLessThanOrEqual(exact.rounds)
    expect(cm).toBeLessThan(5)
  }
  const far = apart.map(({ cm }) => cm).toSorted((a, b) => a - b)
  expect(far[Math.floor(far.length / 2)]).toBeLessThan(0.1)
  expect(far[Math.floor(far.length * 0.9)]).toBeLessThan(1)
  const rounds = (of: 'exact' | 'rough') => apart.reduce((sum, each) => sum + each[of].rounds, 0)
  expect(rounds('rough')).toBeLessThan(rounds('exact') * 0.7)
})
