import { demoCard, demoCards } from '../../../../tests/support/cards'
import { type CueMark, DEFAULT_SCHOOL, MARK_KINDS, withValue } from '../../card'
import { checkCard } from '../../check'
import { faultOf } from '../fault'
import { figureRules } from '../figureRules'
import { measure, MEASURES } from '../measures'
import { finalFigure } from '../ofCard'
import { figureShown } from '../shownForm'
import { jointOf, pointIn } from '../skeleton'
import { solve } from '../solve'
import { solved } from '../solved'
import { type Figure, readFigure } from '../spec'
import { lens } from '../view'
import { draw, type Drawing, markShown } from './draw'
import { cueCloseUp, drawnFigure, shownMeasures } from './drawn'
import { markOffered, markParts, mirroredMark, MOST_MARKS } from './teaching'

const LEADS = { lead: 'right', namedBy: 'front' } as const
const FORMS: [string, Figure][] = demoCards().flatMap((card): [string, Figure][] => {
  const final = finalFigure(card)
  return final ? [[card.id, figureShown(card, final.figure, card.writtenFor)]] : []
})
/** Every mark there can be. */
const ALL: CueMark[] = MARK_KINDS.flatMap((kind) => {
  const { sided, middle } = markParts(kind)
  const parts = [...middle, ...sided.flatMap((part) => [`left ${part}`, `front ${part}`])]
  return parts.flatMap((part): CueMark[] =>
    kind === 'turn'
      ? (/thigh|arm/.test(part) ? ['out', 'in'] : ['left', 'lead']).map((way) => ({
          kind,
          part,
          way,
        }))
      : [{ kind, part }]
  )
})

/** The numbers of the paths of some kinds, as places. */
const placesOf = ({ shapes }: Drawing, kinds: RegExp): [number, number][] =>
  shapes
    .filter(({ kind }) => kinds.test(kind))
    .flatMap(({ path }) =>
      [...path.matchAll(/[ML](-?[\d.]+)[ ,]?(-?[\d.]+)/g)].map(([, x, y]): [number, number] => [
        Number(x),
        Number(y),
      ])
    )
const TEACH = /^teach(?!Gap)/

test('every mark can be drawn at each part that it is offered at', () => {
  const [, standing] = FORMS.find(([id]) => id === 'mountain')!
  for (const mark of ALL)
    expect([mark, markShown(mark, standing, solve(standing), LEADS)]).toEqual([
      mark,
      expect.stringMatching(/drawn|over the face/),
    ])
})

test('what a kind cannot be drawn at is told, by name', () => {
  const [, standing] = FORMS.find(([id]) => id === 'mountain')!
  for (const mark of [
    { kind: 'press', part: 'left eyebrow' },
    { kind: 'arc', part: 'left heel' },
    { kind: 'turn', part: 'ribs', way: 'sideways' },
    { kind: 'level', part: 'feet' },
    { kind: 'spread', part: 'side' },
    { kind: 'look', part: 'inward' },
  ] as CueMark[])
    expect(markShown(mark, standing, solve(standing), LEADS)).toBe('no part')
  const card = withValue(demoCard('gate'), 'alignment[0].mark', {
    kind: 'press',
    part: 'left eyebrow',
  })
  const found = checkCard(card, DEFAULT_SCHOOL).filter(
    ({ rule }) => rule === 'figure/marks-are-drawn'
  )
  expect(found).toMatchObject([{ where: 'alignment[0].mark', severity: 'note' }])
  expect(found[0]!.message).toContain('press: left eyebrow')
  expect(found[0]!.message).toContain('sit bones')
})

test.each(FORMS.filter((_, i) => i % 4 === 0))(
  '%s: no mark covers the face or a letter',
  (_, figure) => {
    const at = solved(figure)
    for (let i = 0; i < ALL.length; i += 3) {
      const teach = ALL.slice(i, i + 3)
      const drawing = draw(figure, at, { letters: true, teach, context: LEADS, cell: 0.03 })
      const see = lens(drawing.view)
      const face = see(pointIn(at.placed, 'head', [0, 0.05, 0.045]))
      const middle = see(pointIn(at.placed, 'head', [0, 0.05, 0]))
      const places = placesOf(drawing, TEACH)
      for (const [x, y] of places) {
        if (face[2] > middle[2] + 0.004)
          expect(Math.hypot(x - face[0] * 100, y + face[1] * 100)).toBeGreaterThan(4)
        for (const letter of drawing.letters)
          expect(Math.hypot(x - letter.x, y - letter.y)).toBeGreaterThan(1.2)
      }
    }
  }
)

test('at most three marks are drawn, and the fourth is told', () => {
  const card = demoCard('mountain')
  const marks: CueMark[] = [
    { kind: 'press', part: 'left foot' },
    { kind: 'press', part: 'right foot' },
    { kind: 'reach', part: 'crown' },
    { kind: 'level', part: 'hips' },
  ]
  const marked = {
    ...card,
    alignment: card.alignment.map((cue, i) => ({
      ...cue,
      ...(marks[i] ? { mark: marks[i] } : {}),
    })),
  }
  const figure = finalFigure(card)!.figure
  const heads = (count: number) =>
    draw(figure, solved(figure), { teach: marks.slice(0, count), context: LEADS }).shapes.filter(
      ({ kind }) => kind === 'teachHead'
    ).length
  expect([heads(1), heads(2), heads(3), heads(4)]).toEqual([1, 2, 3, 3])
  const rule = figureRules.find(({ id }) => id === 'figure/marks-are-drawn')!
  expect(rule.check(marked, DEFAULT_SCHOOL).map(({ where }) => where)).toEqual([
    `alignment[${MOST_MARKS}].mark`,
  ])
})

test('led from the other side a mark is on the other side', () => {
  const card = demoCard('gate')
  const [left, right] = (['left', 'right'] as const).map((side) =>
    drawnFigure(
      figureShown(card, finalFigure(card)!.figure, side),
      false,
      shownMeasures(card, side)
    )
  )
  const mirror = placesOf(left!, TEACH).map(([x, y]) => [-x, y])
  const those = placesOf(right!, TEACH)
  expect(those.length).toBeGreaterThan(8)
  those.forEach(([x, y], i) => {
    expect(x).toBeCloseTo(mirror[i]![0]!, 1)
    expect(y).toBeCloseTo(mirror[i]![1]!, 1)
  })
  expect(mirroredMark({ kind: 'turn', part: 'left thigh', way: 'right' })).toEqual({
    kind: 'turn',
    part: 'right thigh',
    way: 'left',
  })
})

test('a measure offers the mark that shows it, or none', () => {
  const [, figure] = FORMS.find(([id]) => id === 'long-side-angle')!
  const offered = MEASURES.flatMap(
    ({ name, sided }) => markOffered(sided ? `front ${name}` : name) ?? []
  )
  expect(offered.length).toBeGreaterThan(14)
  for (const mark of offered)
    expect([mark, markShown(mark, figure, solve(figure), LEADS)]).toEqual([
      mark,
      expect.stringMatching(/drawn|over the face/),
    ])
  expect(markOffered('front knee over ankle')).toEqual({ kind: 'plumb', part: 'front knee' })
  expect(markOffered('load share left palm')).toBeNull()
})

test('a close-up holds its region and its mark, with finer lines', () => {
  const card = demoCard('gate')
  const cue = card.alignment.find(({ mark }) => mark?.kind === 'press')!
  const figure = figureShown(card, finalFigure(card)!.figure, 'right')
  const [whole, close] = [
    drawnFigure(figure, false),
    drawnFigure(figure, false, cueCloseUp(card, cue, 'right')),
  ]
  expect(close.box[2]).toBeLessThan(whole.box[2] / 2)
  const [left, top, width, height] = close.box
  const ankle = lens(close.view)(solved(figure).placed.origins[jointOf('rightFoot')]!)
  for (const [x, y] of [[ankle[0] * 100, -ankle[1] * 100], ...placesOf(close, TEACH)] as [
    number,
    number,
  ][]) {
    expect(x).toBeGreaterThan(left)
    expect(x).toBeLessThan(left + width)
    expect(y).toBeGreaterThan(top)
    expect(y).toBeLessThan(top + height)
  }
  expect(close.weight).toBeLessThan(1)
})

describe('the wrong form beside the right one', () => {
  const figure = finalFigure(demoCard('long-side-angle'))!.figure
  const wanted = [
    { name: 'front knee over ankle', target: 0, tolerance: 12 },
    { name: 'hips level', target: 0, tolerance: 3 },
    { name: 'left elbow angle', target: 0, tolerance: 5 },
    { name: 'neck arc', target: 0, tolerance: 10 },
  ]
  test.each(wanted)('$name is pushed out of what is wanted, and nothing comes loose', (want) => {
    const base = solve(
      readFigure({
        contacts: [
          { part: 'left sole', on: 'floor' },
          { part: 'right sole', on: 'floor' },
        ],
      }).figure!
    )
    expect(base.unmet).toEqual([])
    const fault = faultOf(figure, want, LEADS)!
    const wrong = solve(fault.figure)
    expect(Math.abs(measure(wrong, want.name, LEADS)!.value - want.target)).toBeGreaterThan(
      want.tolerance
    )
    expect(wrong.unmet.length).toBeLessThanOrEqual(solve(figure).unmet.length)
    const drawing = draw(fault.figure, wrong, { fault: fault.at })
    const kinds = new Set(drawing.shapes.map(({ kind }) => kind))
    expect([kinds.has('ring'), kinds.has('ghost'), kinds.has('cloth'), kinds.has('body')]).toEqual([
      true,
      true,
      false,
      false,
    ])
  })
  test('of what is no measure there is no wrong form', () =>
    expect(faultOf(figure, { name: 'shine', target: 0, tolerance: 1 }, LEADS)).toBeNull())
})
