import { demoCards, lunge } from '../../../tests/support/cards'
import { type Card, runRules } from '../card'
import {
  ANGLES,
  both,
  centreOfMass,
  clashesIn,
  fallOf,
  type Figure,
  figureRules,
  jointMoments,
  keyframesOf,
  loadShares,
  MASSES,
  massesOf,
  NORMAL_RANGES,
  readFigure,
  solve,
  STARTS,
  typicalRange,
} from './index'
import { carriedOf } from './loads'
import { cross, norm, sub, type Vec } from './vec'

const read = (data: unknown): Figure => readFigure(data).figure!
const floor = (...parts: string[]) => parts.map((part) => ({ part, on: 'floor' }))
const FEET = floor('left sole', 'right sole')
const shares = (data: unknown) =>
  new Map(loadShares(solve(read(data))).map(({ part, share }) => [part, share]))
const told = (figure: unknown) =>
  runRules(
    figureRules,
    lunge({ setUp: { place: '', props: [], note: '', figure: figure as Card['setUp']['figure'] } })
  )
    .filter(({ rule }) => /fall|ranges|apart/.test(rule))
    .map(({ rule, message }) => `${rule}: ${message}`)

describe('shares by least effort', () => {
  test('a lying head weighs what a head weighs', () => {
    // Winter, after Dempster (from memory): head and neck 0.081 of the body.
    for (const id of ['supine', 'supine-knees-bent']) {
      const { figure } = STARTS.find((each) => each.id === id)!
      expect(shares(figure).get('head')!).toBeGreaterThan(0.07)
      expect(shares(figure).get('head')!).toBeLessThan(0.09)
    }
  })

  test('a headstand carries part of the weight on the head, most of the rest on the forearms', () => {
    // Hector & Jensen 2015 (from memory): 40 to 48 % of body weight at the crown, by way of going up.
    const headstand = (flexion: number) =>
      shares({
        angles: {
          pelvis: { tilt: 180 },
          ...both({ Shoulder: { flexion, rotation: 20 }, Elbow: { flexion: 115 } }),
        },
        contacts: floor('crown', 'left forearm', 'right forearm'),
      }).get('crown')!
    for (const flexion of [145, 155, 165]) {
      expect(headstand(flexion)).toBeGreaterThan(0.38)
      expect(headstand(flexion)).toBeLessThan(0.5)
    }
  })

  test('in crow all of it is on the hands, and the shins press on the arms', () => {
    const crow = solve(
      read({
        angles: {
          pelvis: { tilt: 70 },
          lowBack: { flexion: 40 },
          ribs: { flexion: 25 },
          ...both({
            Hip: { flexion: 120, abduction: 20 },
            Knee: { flexion: 140 },
            Shoulder: { flexion: 70 },
            Elbow: { flexion: 50 },
            Wrist: { flexion: -80 },
            Forearm: { pronation: 160 },
          }),
        },
        contacts: [
          ...floor('left palm', 'right palm'),
          { part: 'left shin', on: 'left upper arm', along: 0.3 },
          { part: 'right shin', on: 'right upper arm', along: 0.3 },
        ],
      })
    )
    const found = new Map(loadShares(crow).map(({ part, share }) => [part, share]))
    expect(found.get('left palm')! + found.get('right palm')!).toBeCloseTo(1, 6)
    const { pushes, forces } = carriedOf(crow)!
    const onArms = pushes.reduce((sum, { against }, i) => sum + (against ? forces[i]! : 0), 0)
    expect(onArms).toBeGreaterThan(0.01)
  })

  test('a heel named beside its sole changes nothing, in whichever order', () => {
    const bare = shares({ angles: {}, contacts: FEET })
    for (const contacts of [
      [...FEET, ...floor('left heel')],
      [...floor('left heel'), ...FEET],
    ]) {
      const both = shares({ angles: {}, contacts })
      for (const part of ['left sole', 'right sole'])
        expect(both.get(part)!).toBeCloseTo(bare.get(part)!, 3)
    }
  })

  test('what is not reached carries nothing', () => {
    const found = shares({
      angles: { pelvis: { tilt: -90 } },
      contacts: floor('back', 'head', 'left leg', 'right leg', 'left palm'),
    })
    expect(found.get('left palm') ?? 0).toBe(0)
  })

  test('forces and turning are in balance, for every start and every form of the demo', () => {
    const forms = [
      ...STARTS.map(({ id, figure }) => [id, read(figure)] as const),
      ...demoCards().flatMap((card) =>
        keyframesOf(card).frames.map(({ id, figure }) => [`${card.id} ${id}`, figure] as const)
      ),
    ]
    for (const [id, figure] of forms) {
      const solved = solve(figure)
      const carried = carriedOf(solved)
      expect([id, carried === null]).toEqual([id, false])
      const centre = centreOfMass(solved.body, solved.placed)
      let force: Vec = [0, -1, 0]
      let turn: Vec = [0, 0, 0]
      carried!.pushes.forEach(({ along, at, against }, i) => {
        if (against) return
        const one = along.map((k) => k * carried!.forces[i]!) as unknown as Vec
        const turned = cross(sub(at, centre), one)
        force = [force[0] + one[0], force[1] + one[1], force[2] + one[2]]
        turn = [turn[0] + turned[0], turn[1] + turned[1], turn[2] + turned[2]]
      })
      expect(norm(force)).toBeLessThan(4e-3)
      expect(norm(turn)).toBeLessThan(4e-3)
      for (const { moment } of jointMoments(solved)) expect(moment).toBeLessThan(0.2)
    }
  })

  test('the masses make one body, its centre where published', () => {
    const { body, placed } = solve(read({ angles: {}, contacts: FEET }))
    const whole = massesOf(body, placed).reduce((sum, { mass }) => sum + mass, 0)
    expect(whole).toBeCloseTo(1, 2)
    // Standing: 0.55 to 0.57 of stature (Winter, from memory); de Leva 1996 for men: 0.57 (from memory).
    expect(centreOfMass(body, placed)[1]).toBeGreaterThan(0.55)
    expect(centreOfMass(body, placed)[1]).toBeLessThan(0.575)
  })
})

test('the masses stand beside a second published table', () => {
  // de Leva 1996, men (from memory): the cuts between trunk and thigh differ, so they are taken together.
  const arm = MASSES.upperArm + MASSES.forearm + MASSES.hand
  const trunk = MASSES.pelvis + MASSES.lowBack + MASSES.ribs
  for (const [own, published] of [
    [arm, 0.0271 + 0.0162 + 0.0061],
    [MASSES.shank + MASSES.foot, 0.0433 + 0.0137],
    [trunk + 2 * MASSES.thigh, 0.4346 + 2 * 0.1416],
    [MASSES.head, 0.0694],
  ] as const)
    expect(Math.abs(own - published)).toBeLessThan(0.025)
  expect(MASSES.head + trunk + 2 * (arm + MASSES.thigh + MASSES.shank + MASSES.foot)).toBeCloseTo(
    1,
    2
  )
})

describe('falling', () => {
  test.each([
    ['front', { pelvis: { tilt: 60 } }],
    ['back', { pelvis: { tilt: -40 } }],
    ['left', { pelvis: { lean: 50 } }],
    ['right', { pelvis: { lean: -50 } }],
  ])('to the %s is told, by how far', (way, angles) => {
    const figure = { angles, contacts: FEET }
    const fall = fallOf(solve(read(figure)))
    // Leaning to the left or the right has its sign from the figure itself.
    expect(fall!.by! * 170).toBeGreaterThan(3)
    expect(told(figure).join()).toMatch(
      /front|back/.test(way) ? new RegExp(`falls.* to the ${way}`) : /falls.* to the (?:left|right)/
    )
    expect(loadShares(solve(read(figure)))).toEqual([])
  })

  test('nothing that carries it is a fall, too', () => {
    expect(told({ angles: {}, contacts: [] }).join()).toContain('nothing carries it')
  })

  test('leaning on a wall is none', () => {
    const lean = (wall: boolean) => ({
      angles: { pelvis: { tilt: -12 } },
      contacts: [...FEET, ...(wall ? [{ part: 'shoulders', on: 'wall' }] : [])],
      ...(wall ? { wall: -0.42 } : {}),
    })
    const against = solve(read(lean(true)))
    expect([against.unmet.length, fallOf(against)]).toEqual([0, null])
    expect(fallOf(solve(read(lean(false))))).not.toBeNull()
  })

  test('no start and no form of the demo falls or goes through itself', () => {
    for (const { id, figure } of STARTS) expect([id, told(figure)]).toEqual([id, []])
    for (const card of demoCards())
      expect(
        runRules(figureRules, card).filter(({ rule }) => /fall|ranges|apart/.test(rule))
      ).toEqual([])
  })
})

describe('ranges', () => {
  // AAOS 1965 (from memory), literally; in degrees.
  test.each([
    ['leftShoulder', 'flexion', -60, 180],
    ['leftShoulder', 'abduction', 0, 180],
    ['rightShoulder', 'rotation', -70, 90],
    ['leftElbow', 'flexion', 0, 150],
    ['rightWrist', 'flexion', -70, 80],
    ['leftHip', 'flexion', -30, 120],
    ['rightHip', 'abduction', -30, 45],
    ['leftHip', 'rotation', -45, 45],
    ['leftKnee', 'flexion', 0, 135],
    ['rightAnkle', 'dorsiflexion', -50, 20],
    ['neck', 'flexion', -45, 45],
    ['neck', 'lateralFlexion', -45, 45],
    ['neck', 'rotation', -80, 80],
  ])('%s %s is usually from %d to %d', (joint, angle, least, most) => {
    expect(typicalRange(joint, angle)).toEqual([least, most])
    // A joint goes as far as is usual, and the hard end lies at or past it.
    const hard = ANGLES.find((each) => each.joint === joint && each.angle === angle)!
    expect(hard.max).toBeGreaterThanOrEqual(most)
  })
  test('of the trunk: 80, 25, 35, 45', () => {
    const { trunkFlexion, trunkExtension, trunkSide, trunkTurn } = NORMAL_RANGES
    expect([trunkFlexion, trunkExtension, trunkSide, trunkTurn]).toEqual([80, 25, 35, 45])
  })

  test('an angle typed past the end is told, with the end and what is usual', () => {
    const found = told({ angles: { leftKnee: { flexion: 210 } }, contacts: FEET })
    expect(found.join()).toMatch(
      /left knee flexion of 210° is past .* stands at \d+° \(usual: 0° to 135°\)/
    )
    expect(
      told({
        angles: { leftKnee: { flexion: 30 }, rightKnee: { flexion: 30 } },
        contacts: FEET,
      }).join()
    ).not.toMatch(/past/)
  })

  test('a hip bent over a straight knee past the back of the thigh is told', () => {
    const raised = (hip: number, knee: number) =>
      told({
        angles: { pelvis: { tilt: -90 }, leftHip: { flexion: hip }, leftKnee: { flexion: knee } },
        contacts: floor('back', 'head', 'right leg'),
      }).join()
    expect(raised(140, 0)).toMatch(/left hip bends \d+° over a straight knee/)
    expect(raised(90, 0)).not.toMatch(/straight knee/)
    expect(raised(138, 90)).not.toMatch(/straight knee/)
  })
})

describe('limbs in one place', () => {
  test.each([
    [
      'crossed legs that stand',
      { ...both({ Hip: { abduction: -25 } }) },
      FEET,
      /thigh .* through the right thigh/,
    ],
    [
      'arms that cross in the air',
      { ...both({ Shoulder: { flexion: 90, abduction: -40 } }) },
      FEET,
      /through/,
    ],
  ])('%s are told', (_, angles, contacts, words) => {
    expect(told({ angles, contacts }).join()).toMatch(words)
  })

  test('a forearm through a thigh is pushed out of it', () => {
    const card = demoCards().find(({ id }) => id === 'seated-half-twist')!
    const folded = keyframesOf(card).frames.find(({ id }) => id === 'rung folded')!.figure
    expect(clashesIn(solve(folded))).toEqual([])
  })

  test('what rests on the other by a contact is meant', () => {
    const found = told({
      angles: both({
        Hip: { flexion: 90 },
        Knee: { flexion: 90 },
        Shoulder: { flexion: 40 },
        Elbow: { flexion: 30 },
      }),
      contacts: [
        ...floor('left sole', 'right sole', 'sit bones'),
        { part: 'left palm', on: 'left thigh', along: 0.8 },
      ],
    })
    expect(found.join()).not.toMatch(/left hand goes .* through the left thigh/)
  })
})
