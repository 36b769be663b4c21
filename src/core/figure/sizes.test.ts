import { demoCard } from '../../../tests/support/cards'
import {
  BLOCK_HEIGHTS,
  finalFigure,
  handSizesOf,
  heelPad,
  nearestBlock,
  PROP_HEIGHT,
  rampAngle,
  readFigure,
  sizesOf,
  sizeWords,
  STARTS,
  STATURES,
} from './index'

const start = (id: string) => readFigure(STARTS.find((each) => each.id === id)!.figure).figure!

test('a ramp by hand: 13 cm up over 13 cm along is 45 degrees', () => {
  expect(rampAngle(10, 23, 13)).toBeCloseTo(45, 6)
  expect(rampAngle(10, 23, 40)).toBeCloseTo(18.0, 1)
  expect(rampAngle(15, 15, 40)).toBe(0)
})

test('a heel pad by hand: 20 cm of foot lifted by 30 degrees is 10 cm', () => {
  expect(heelPad(50, 20, 20)).toBeCloseTo(10, 6)
  expect(heelPad(18, 20, 20)).toBe(0)
})

test('the block that comes nearest, of 10, 15 and 23 cm', () => {
  // Heights of blocks: common practice, no source.
  expect(BLOCK_HEIGHTS.map((name) => PROP_HEIGHT[`block ${name}`])).toEqual([10, 15, 23])
  expect([2, 9, 12, 13, 18.9, 19.1, 30, 40].map(nearestBlock)).toEqual([
    'the floor',
    'a block, low',
    'a block, low',
    'a block, middle',
    'a block, middle',
    'a block, high',
    'a block, high',
    'a chair or the wall',
  ])
})

test('a stance grows as the person does, a little under one leg length', () => {
  const card = demoCard('long-side-angle')
  const rows = sizesOf(finalFigure(card)!.figure, [], 'right')
  const stance = rows.find((row) => row.what === 'from ankle to ankle')!
  stance.values.forEach((cm, i) => {
    const leg = 0.53 * STATURES[i]!
    expect(cm / leg).toBeGreaterThan(0.85)
    expect(cm / leg).toBeLessThan(1.1)
    expect(cm / STATURES[i]!).toBeCloseTo(stance.values[0]! / STATURES[0]!, 2)
  })
})

test('a dog has its distance from hands to feet; lying down has nothing to tell', () => {
  expect(sizesOf(start('dog'), [], 'right').map((row) => row.what)).toContain('from hands to feet')
  expect(sizesOf(start('supine'), ['bolster'], 'right')).toEqual([])
})

test('a bolster on two blocks makes a ramp that is flatter for a longer back', () => {
  const [ramp] = sizesOf(start('supine'), ['bolster', 'two blocks'], 'right')
  expect(ramp!.unit).toBe('deg')
  expect(ramp!.values.toSorted((a, b) => b - a)).toEqual(ramp!.values)
  // Low back to shoulders is 0.238 of stature: 40.5 cm at 170.
  expect(ramp!.values[2]).toBeCloseTo((Math.atan(13 / (0.238 * 170)) * 180) / Math.PI, 1)
})

test('a squat on stiff ankles wants a pad, the larger the longer the foot', () => {
  const squat = start('squat')
  const pad = sizesOf(squat, [], 'right').find((row) => /heel/.test(row.what))
  expect(pad).toBeDefined()
  expect(pad!.values[4]! / pad!.values[0]!).toBeCloseTo(190 / 150, 6)
})

test('a hand on a block: the block that keeps the shape grows with the person', () => {
  const card = demoCard('gate')
  const rung = card.ladder.find((each) => each.props.includes('block'))!
  const [row] = handSizesOf(finalFigure(card, rung.id)!.figure)
  expect(row!.what).toBe('under the right hand')
  // High at 170, where it was posed: 23 cm.
  expect(row!.values[2]).toBeCloseTo(23, 1)
  expect(row!.values[4]! / row!.values[0]!).toBeCloseTo(190 / 150, 6)
  expect(row!.told).toContain('a block, high')
  const [hanging] = handSizesOf(
    readFigure({
      angles: {
        pelvis: { tilt: 86 },
        leftHip: { flexion: 86 },
        rightHip: { flexion: 86 },
        leftShoulder: { flexion: 86 },
      },
      contacts: [
        { part: 'left sole', on: 'floor' },
        { part: 'right sole', on: 'floor' },
      ],
    }).figure!
  )
  expect(hanging!.what).toBe('under the left hand')
})

test('sizes in words', () => {
  expect([sizeWords(87.7, 'cm'), sizeWords(2.3, 'cm'), sizeWords(17.8, 'deg')]).toEqual([
    '88 cm',
    '2.5 cm',
    '18°',
  ])
})
