import fc from 'fast-check'
import { furthest, outsideLimits } from '../../../tests/support/numbers'
import {
  ANGLE_INDEX,
  ANGLES,
  allMeasures,
  balanceMargin,
  bodyOf,
  both,
  centreOfMass,
  type Figure,
  jointMoments,
  LENGTHS,
  legLength,
  loadShares,
  MASSES,
  measure,
  MEASURES,
  mirroredFigure,
  mirroredPose,
  NORMAL_RANGES,
  PARTS,
  pointIn,
  pointsOf,
  readFigure,
  solve,
  STARTS,
  startOf,
  svgOf,
  draw,
} from '.'

const read = (data: unknown): Figure => {
  const { figure, problem } = readFigure(data)
  if (!figure) throw new Error(problem)
  return figure
}
const start = (id: string) => read(startOf(id)!.figure)
const lead = { lead: 'right' as const }

describe('the body in numbers', () => {
  test('segments sum to one body', () => {
    // Winter, after Dempster (from memory).
    const { pelvis, lowBack, ribs, head, ...limbs } = MASSES
    const paired = Object.values(limbs).reduce((sum, mass) => sum + mass, 0)
    expect(pelvis + lowBack + ribs).toBeCloseTo(0.497, 6)
    expect(pelvis + lowBack + ribs + head + paired * 2).toBeCloseTo(1, 6)
  })

  test('lengths add up to standing', () => {
    // Drillis & Contini 1966, as given in Winter (from memory): hip height 0.530.
    const body = bodyOf()
    expect(legLength(body)).toBeCloseTo(LENGTHS.hipHeight, 6)
    const { placed } = solve(start('standing'))
    expect(placed.origins[0]![1]).toBeCloseTo(0.53, 3)
    const shoulder = placed.origins[6]![1]
    expect(shoulder).toBeCloseTo(LENGTHS.shoulderHeight, 2)
    expect(legLength(bodyOf({ legs: 1.1 }))).toBeCloseTo(0.53 + 0.491 * 0.1, 3)
  })

  test('standing, the centre of mass is 0.55 to 0.57 of stature above the floor', () => {
    // Standard texts (from memory).
    const { body, placed } = solve(start('standing'))
    const [x, y, z] = centreOfMass(body, placed)
    expect(y).toBeGreaterThan(0.55)
    expect(y).toBeLessThan(0.57)
    expect(x).toBeCloseTo(0, 6)
    expect(Math.abs(z)).toBeLessThan(0.03)
  })

  test('ranges of the joints are the published ones, or wider where that is told', () => {
    // AAOS 1965 (from memory).
    const max = (joint: string, name: string) =>
      ANGLES.find((each) => each.joint === joint && each.angle === name)!
    expect(max('leftShoulder', 'flexion')).toMatchObject({
      max: NORMAL_RANGES.shoulderFlexion,
      min: -NORMAL_RANGES.shoulderExtension,
    })
    expect(max('leftElbow', 'flexion').max).toBe(NORMAL_RANGES.elbowFlexion)
    expect(max('leftHip', 'flexion').min).toBe(-NORMAL_RANGES.hipExtension)
    expect(max('leftHip', 'flexion').max).toBeGreaterThanOrEqual(NORMAL_RANGES.hipFlexion)
    expect(max('leftKnee', 'flexion').max).toBeGreaterThanOrEqual(NORMAL_RANGES.kneeFlexion)
    expect(max('neck', 'rotation').max).toBe(NORMAL_RANGES.neckTurn)
    const trunk = max('lowBack', 'flexion').max + max('ribs', 'flexion').max
    expect(trunk).toBeGreaterThanOrEqual(NORMAL_RANGES.trunkFlexion)
  })
})

describe('loads', () => {
  const pose = (more: object) => {
    const plank = start('plank')
    return solve(read({ ...plank, ...more }))
  }
  const hands = (solved: ReturnType<typeof solve>) =>
    loadShares(solved)
      .filter((load) => /palm/.test(load.part))
      .reduce((sum, load) => sum + load.share, 0)

  // Suprak, Dawes & Stephenson 2011 (from memory): push-up, share of body mass on the hands.
  test('plank: 69.2 % on the hands', () => {
    expect(Math.abs(hands(pose({})) - 0.692)).toBeLessThan(0.03)
  })
  test('lowered plank: 75.0 %', () => {
    const { angles } = start('plank')
    const lowered = pose({
      angles: {
        ...angles,
        pelvis: { tilt: 86 },
        leftShoulder: { flexion: 12, abduction: 36 },
        rightShoulder: { flexion: 12, abduction: 36 },
        leftElbow: { flexion: 95 },
        rightElbow: { flexion: 95 },
      },
    })
    expect(lowered.unmet).toEqual([])
    expect(Math.abs(hands(lowered) - 0.75)).toBeLessThan(0.03)
  })
  test('on the knees: 53.6 %', () => {
    const { angles } = start('plank')
    const knees = read({
      angles: {
        ...angles,
        pelvis: { tilt: 64 },
        leftKnee: { flexion: 65 },
        rightKnee: { flexion: 65 },
        leftAnkle: { dorsiflexion: -30 },
        rightAnkle: { dorsiflexion: -30 },
        leftShoulder: { flexion: 54 },
        rightShoulder: { flexion: 54 },
      },
      contacts: ['left palm', 'right palm', 'left knee', 'right knee'].map((part) => ({
        part,
        on: 'floor',
      })),
    })
    expect(Math.abs(hands(solve(knees)) - 0.536)).toBeLessThan(0.03)
  })
  test('on the knees, lowered: 61.8 %', () => {
    const { angles } = start('plank')
    const knees = solve(
      read({
        angles: {
          ...angles,
          pelvis: { tilt: 84 },
          ...both({
            Knee: { flexion: 60 },
            Ankle: { dorsiflexion: -30 },
            Shoulder: { flexion: 12, abduction: 36 },
            Elbow: { flexion: 95 },
          }),
        },
        contacts: ['left palm', 'right palm', 'left knee', 'right knee'].map((part) => ({
          part,
          on: 'floor',
        })),
      })
    )
    expect(knees.unmet).toEqual([])
    expect(Math.abs(hands(knees) - 0.618)).toBeLessThan(0.03)
  })

  test('the shares of every start make the whole weight, and standing needs little of the joints', () => {
    for (const each of STARTS) {
      const shares = loadShares(solve(read(each.figure)))
      expect(shares.reduce((sum, load) => sum + load.share, 0)).toBeCloseTo(1, 6)
    }
    const standing = new Map(
      jointMoments(solve(start('standing'))).map((each) => [each.joint, each.moment])
    )
    expect(standing.get('left knee')!).toBeLessThan(0.02)
    const plank = new Map(
      jointMoments(solve(start('plank'))).map((each) => [each.joint, each.moment])
    )
    expect(plank.get('left wrist')!).toBeGreaterThan(standing.get('left wrist')!)
  })
})

describe('solving', () => {
  test('every start meets its contacts inside the limits, and nothing is below the floor', () => {
    for (const each of STARTS) {
      const solved = solve(read(each.figure))
      expect([each.id, solved.unmet]).toEqual([each.id, []])
      expect(outsideLimits(solved.pose.angles, 0)).toEqual([])
      for (const contact of solved.contacts)
        for (const { segment, at, radius } of pointsOf(contact.part, solved.body)!) {
          if (contact.on !== 'floor') continue
          const y = pointIn(solved.placed, segment, at)[1] - radius
          expect(Math.abs(y * 1700)).toBeLessThan(5)
        }
    }
  })

  test('the same input gives the same pose, the mirrored one the mirrored pose', () => {
    for (const each of STARTS) {
      const figure = read(each.figure)
      const solved = solve(figure)
      expect(solve(figure).pose).toEqual(solved.pose)
      const mirrored = solve(mirroredFigure(figure))
      const wanted = mirroredPose(solved.pose)
      expect(furthest(mirrored.pose.root, wanted.root)).toBeLessThan(5e-7)
      expect(furthest(mirrored.pose.angles, wanted.angles)).toBeLessThan(5e-7)
    }
  })

  test('mirroring twice gives the figure back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...STARTS), (each) => {
        const figure = read(each.figure)
        expect(mirroredFigure(mirroredFigure(figure))).toEqual(figure)
      })
    )
  })

  test('a contact that cannot be met is told, with how far it stays away', () => {
    const standing = read({
      ...startOf('standing')!.figure,
      contacts: [
        { part: 'left sole', on: 'floor' },
        { part: 'right sole', on: 'floor' },
        { part: 'crown', on: 'floor' },
        { part: 'left knee', on: 'chair' },
      ],
    })
    const { unmet } = solve(standing)
    expect(unmet.length).toBeGreaterThan(0)
    expect(unmet[0]!.message).toMatch(/^The .* stays \d+\.\d cm away from the (?:floor|chair)\.$/)
    expect(unmet[0]!.cm).toBeGreaterThan(1)
  })

  test('a block brings the floor to the hand, by its height', () => {
    const at = (on: string) => {
      const solved = solve(
        read({
          ...startOf('standing-fold')!.figure,
          contacts: [
            { part: 'left sole', on: 'floor' },
            { part: 'right sole', on: 'floor' },
            { part: 'left palm', on },
            { part: 'right palm', on },
          ],
        })
      )
      const [heelOfHand] = pointsOf('left palm', solved.body)!
      const height = pointIn(solved.placed, heelOfHand!.segment, heelOfHand!.at)[1]
      return [solved.unmet.length, height * 170] as const
    }
    const [floorUnmet, low] = at('floor')
    const [blockUnmet, high] = at('block high')
    expect([floorUnmet, blockUnmet]).toEqual([0, 0])
    // Each contact is met to half a centimetre.
    expect(Math.abs(high - low - 23)).toBeLessThan(1)
  })

  test('a strap with a length holds its ends no farther apart; a slack one changes nothing', () => {
    const figure = start('supine')
    const apart = (cm?: number) => {
      const solved = solve({
        ...figure,
        straps: [cm === undefined ? ['left heel', 'left hand'] : ['left heel', 'left hand', cm]],
      })
      const [a, b] = ['left heel', 'left hand'].map((part) => {
        const { segment, at } = pointsOf(part, solved.body)![0]!
        return pointIn(solved.placed, segment, at)
      })
      return { cm: 170 * Math.hypot(...[0, 1, 2].map((k) => a![k]! - b![k]!)), unmet: solved.unmet }
    }
    const free = apart().cm
    expect(apart(Math.ceil(free) + 10).cm).toBeCloseTo(free, 3)
    const held = apart(free - 15)
    expect(held.cm).toBeLessThan(free - 14.9)
    expect(held.unmet).toEqual([])
  })

  test('wrong data says what is wrong', () => {
    expect(readFigure({ angles: { leftKnee: { bend: 4 } } }).problem).toBe(
      'angles.leftKnee.bend: leftKnee has no angle “bend”; it has flexion'
    )
    expect(readFigure({ contacts: [{ part: 'tail', on: 'floor' }] }).problem).toMatch(
      /should be a part of the body/
    )
    expect(readFigure({ angles: { wing: { up: 1 } } }).problem).toMatch(/there is no joint “wing”/)
    expect(readFigure(7).problem).toBeTruthy()
  })
})

describe('measures', () => {
  test('standing still, worked by hand', () => {
    const solved = solve(start('standing'))
    const value = (name: string) => measure(solved, name, lead)!.value
    expect(value('left knee angle')).toBeCloseTo(0, 3)
    expect(value('hips level')).toBeCloseTo(0, 3)
    expect(value('shoulders over hips')).toBeLessThan(3)
    expect(value('stance')).toBeCloseTo(2 * bodyOf().hipOut * 170, 1)
    expect(value('head against heart')).toBeGreaterThan(20)
    expect(value('balance margin')).toBeGreaterThan(2)
    expect(measure(solved, 'no such thing', lead)).toBeNull()
  })

  test('in a lunge the shin stands, and front and lead mean the same leg', () => {
    const figure = read({
      ...start('stride'),
      angles: { ...start('stride').angles, rightHip: { flexion: 88 }, rightKnee: { flexion: 88 } },
    })
    const solved = solve(figure)
    const context = { lead: 'right' as const, namedBy: 'front' as const }
    const front = measure(solved, 'front knee over ankle', context)!
    expect(front).toEqual(measure(solved, 'lead knee over ankle', context))
    expect(front).toEqual(measure(solved, 'right knee over ankle', context))
    // The shin stands by as much as the knee bends more than the thigh is lifted.
    const angle = (name: string) => solved.pose.angles[ANGLE_INDEX.get(name)!]!
    const lean = angle('rightKnee.flexion') - angle('rightHip.flexion') + angle('pelvis.tilt')
    expect(Math.abs(front.value - lean)).toBeLessThan(2)
    expect(measure(solved, 'front knee past toes', context)!.value).toBeLessThan(0)
    expect(measure(solved, 'back knee angle', context)).toEqual(
      measure(solved, 'left knee angle', context)
    )
    expect(measure(solved, 'stance length', context)!.value).toBeGreaterThan(0.9)
    expect(Math.abs(measure(solved, 'front foot turn', context)!.value)).toBeLessThan(3)
  })

  test('the wide stance arithmetic: two legs of one length, 27 degrees out each', () => {
    const solved = solve(start('wide'))
    const body = bodyOf()
    const out = 2 * (body.hipOut + (body.thigh + body.shank) * Math.sin((27 * Math.PI) / 180))
    expect(measure(solved, 'stance length', lead)!.value).toBeCloseTo(out / legLength(body), 1)
    expect(measure(solved, 'arm line', lead)!.value).toBeGreaterThan(175)
  })

  test('head below heart in a dog, and balance is lost when the weight is beyond the feet', () => {
    expect(measure(solve(start('dog')), 'head against heart', lead)!.value).toBeLessThan(0)
    const leaning = solve(
      read({
        ...start('standing'),
        angles: { pelvis: { tilt: 60 }, leftHip: { flexion: 60 }, rightHip: { flexion: 60 } },
      })
    )
    expect(balanceMargin(leaning)).toBeLessThan(balanceMargin(solve(start('standing'))))
  })

  test('every measure of every start is a number, and its mirror the mirrored one', () => {
    for (const each of STARTS) {
      const figure = read(each.figure)
      const all = allMeasures(solve(figure), lead)
      const mirrored = allMeasures(solve(mirroredFigure(figure)), { lead: 'left' })
      for (const [name, { value }] of Object.entries(all)) {
        expect(Number.isFinite(value)).toBe(true)
        const across = name.startsWith('left ')
          ? name.replace('left', 'right')
          : name.startsWith('right ')
            ? name.replace('right', 'left')
            : name
        const flips = ['hips level', 'shoulders level', 'side arc', 'turn'].includes(name)
        expect([each.id, name, Math.round(mirrored[across]!.value * 1e3) + 0]).toEqual([
          each.id,
          name,
          Math.round((flips ? 0 - value : value) * 1e3) + 0,
        ])
      }
    }
    expect(MEASURES.length).toBeGreaterThan(25)
  })
})

describe('drawing', () => {
  test('every start has a body, a floor and a box around them; the mirrored one is mirrored', () => {
    for (const each of STARTS) {
      const figure = read(each.figure)
      const drawing = draw(figure, solve(figure), { cell: 0.02 })
      const kinds = drawing.shapes.map((shape) => shape.kind)
      expect(kinds).toContain('body')
      expect(kinds).toContain('floor')
      const numbers = drawing.shapes.flatMap((shape) =>
        shape.path.match(/-?\d+(?:\.\d+)?/g)!.map(Number)
      )
      expect(numbers.every(Number.isFinite)).toBe(true)
      const [left, top, width, height] = drawing.box
      const view = { turn: -drawing.view.turn, tilt: drawing.view.tilt }
      const mirrored = draw(mirroredFigure(figure), solve(mirroredFigure(figure)), {
        cell: 0.02,
        view,
      })
      expect(mirrored.box[0]).toBeCloseTo(-(left + width), 3)
      expect(mirrored.box[1]).toBeCloseTo(top, 3)
      expect(mirrored.box[3]).toBeCloseTo(height, 3)
    }
  })

  test('as SVG its title is text', () => {
    const figure = start('standing')
    const svg = svgOf(draw(figure, solve(figure), { cell: 0.03, letters: true }), {
      title: '<b>"&',
    })
    expect(svg).not.toContain('<b>')
    expect(svg).toContain('<title id="title">&#60;b&#62;&#34;&#38;</title>')
    expect(svg).toMatch(/>L<\/text>[\s\S]*>R<\/text>/)
  })

  test('every part has points', () => {
    for (const part of PARTS) expect(pointsOf(part, bodyOf())!.length).toBeGreaterThan(0)
    expect(pointsOf('tail', bodyOf())).toBeNull()
  })
})

test('every measure, angle and start is told in words', () => {
  expect(MEASURES.filter(({ means }) => !means)).toEqual([])
  expect(STARTS.filter(({ id, title }) => !title || title === id)).toEqual([])
})
