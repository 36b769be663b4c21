import { otherSide, type Side } from '../card'
import { FIGURE } from '../language'
import { legLength, USUAL_STATURE } from './body'
import {
  angleOf,
  cm,
  earOf,
  flat,
  floorTurn,
  footWay,
  heel,
  joint,
  type MeasureContext,
  type Measuring,
  pelvisWay,
  seg,
  sideMeant,
  tiltFrom,
  toeTip,
  UP,
} from './landmarks'
import { balanceMargin, loadShares } from './loads'
import { SPINAL, jointOf, pointIn } from './skeleton'
import { type Solved } from './solve'
import { apply, between, cross, deg, dot, mid, norm, scale, sub, unit } from './vec'

/** What is measured on a figure, by name, with its unit and what it means. */
export interface MeasureInfo {
  name: string
  unit: 'deg' | 'cm' | 'leg lengths' | '%' | 'ratio'
  /** Whether it is measured on one side: left, right, front, back, lead or other. */
  sided: boolean
  means: string
}

type Measured = (figure: Measuring) => number | null
type SidedMeasured = (figure: Measuring, side: Side) => number | null

const SPINE = ['lowBack', 'ribs', 'neck'] as const

const MIDDLE: [Omit<MeasureInfo, 'sided' | 'means'>, Measured][] = [
  [
    {
      name: 'stance length',
      unit: 'leg lengths',
    },
    (f) => norm(flat(sub(joint(f, 'leftFoot'), joint(f, 'rightFoot')))) / legLength(f.body),
  ],
  [
    { name: 'stance', unit: 'cm' },
    (f) => cm(f, norm(flat(sub(joint(f, 'leftFoot'), joint(f, 'rightFoot'))))),
  ],
  [
    {
      name: 'hips level',
      unit: 'deg',
    },
    (f) => {
      const line = sub(joint(f, 'leftThigh'), joint(f, 'rightThigh'))
      return deg(Math.asin(line[1] / norm(line)))
    },
  ],
  [
    {
      name: 'shoulders level',
      unit: 'deg',
    },
    (f) => {
      const line = sub(joint(f, 'leftUpperArm'), joint(f, 'rightUpperArm'))
      return deg(Math.asin(line[1] / norm(line)))
    },
  ],
  [
    {
      name: 'shoulders over hips',
      unit: 'deg',
    },
    (f) => tiltFrom(sub(mid(joint(f, 'leftUpperArm'), joint(f, 'rightUpperArm')), f.pose.root)),
  ],
  [
    {
      name: 'arm line',
      unit: 'deg',
    },
    (f) =>
      between(
        sub(joint(f, 'leftForearm'), joint(f, 'leftUpperArm')),
        sub(joint(f, 'rightForearm'), joint(f, 'rightUpperArm'))
      ),
  ],
  [
    {
      name: 'spine arc',
      unit: 'deg',
    },
    (f) => SPINE.reduce((sum, region) => sum + angleOf(f, region, 'flexion'), 0),
  ],
  ...SPINE.map((region): [Omit<MeasureInfo, 'sided' | 'means'>, Measured] => [
    {
      name: `${region === 'lowBack' ? 'low back' : region} arc`,
      unit: 'deg',
    },
    (f) => angleOf(f, region, 'flexion'),
  ]),
  [
    { name: 'side arc', unit: 'deg' },
    (f) => SPINE.reduce((sum, region) => sum + angleOf(f, region, 'lateralFlexion'), 0),
  ],
  [
    {
      name: 'turn',
      unit: 'deg',
    },
    (f) => angleOf(f, 'lowBack', 'rotation') + angleOf(f, 'ribs', 'rotation'),
  ],
  [
    {
      name: 'arc evenness',
      unit: 'ratio',
    },
    (f) => {
      const bends = SPINAL.map(
        (name) => [angleOf(f, 'lowBack', name), angleOf(f, 'ribs', name)] as const
      ).sort((a, b) => Math.abs(b[0]) + Math.abs(b[1]) - Math.abs(a[0]) - Math.abs(a[1]))[0]!
      const [least, most] = bends.map(Math.abs).sort((a, b) => a - b)
      return most! < 1 ? 1 : bends[0] * bends[1] < 0 ? 0 : least! / most!
    },
  ],
  [
    {
      name: 'side bend plane',
      unit: 'deg',
    },
    (f) => {
      const trunk = sub(mid(joint(f, 'leftUpperArm'), joint(f, 'rightUpperArm')), f.pose.root)
      const ahead = apply(f.placed.rotations[0]!, [0, 0, 1])
      return deg(Math.asin(dot(trunk, ahead) / norm(trunk)))
    },
  ],
  [
    {
      name: 'head against heart',
      unit: 'cm',
    },
    (f) =>
      cm(
        f,
        pointIn(f.placed, 'head', [0, f.body.headUp / 2, 0])[1] -
          pointIn(f.placed, 'ribs', [0, f.body.shoulderUp * 0.6, 0.01])[1]
      ),
  ],
  [
    {
      name: 'balance margin',
      unit: 'cm',
    },
    (f) => {
      const margin = balanceMargin(f)
      return Number.isFinite(margin) ? cm(f, margin) : null
    },
  ],
]

const SIDED: [Omit<MeasureInfo, 'sided' | 'means'>, SidedMeasured][] = [
  [
    {
      name: 'knee over ankle',
      unit: 'deg',
    },
    (f, side) => {
      const shin = sub(joint(f, seg(side, 'Shank')), joint(f, seg(side, 'Foot')))
      return deg(Math.atan2(dot(shin, footWay(f, side)), shin[1]))
    },
  ],
  [
    {
      name: 'knee past toes',
      unit: 'cm',
    },
    (f, side) => cm(f, dot(sub(joint(f, seg(side, 'Shank')), toeTip(f, side)), footWay(f, side))),
  ],
  [
    {
      name: 'knee tracking',
      unit: 'deg',
    },
    (f, side) => {
      const straight = angleOf(f, `${side}Knee`, 'flexion') < 15
      const hinge = apply(f.placed.rotations[jointOf(seg(side, 'Thigh'))]!, [1, 0, 0])
      const way = straight
        ? cross(hinge, UP)
        : flat(sub(joint(f, seg(side, 'Shank')), joint(f, seg(side, 'Thigh'))))
      if (norm(way) < 0.02) return null
      const turn = floorTurn(footWay(f, side), unit(way))
      return side === 'left' ? -turn : turn
    },
  ],
  [{ name: 'knee angle', unit: 'deg' }, (f, side) => angleOf(f, `${side}Knee`, 'flexion')],
  [{ name: 'elbow angle', unit: 'deg' }, (f, side) => angleOf(f, `${side}Elbow`, 'flexion')],
  [
    {
      name: 'hip angle',
      unit: 'deg',
    },
    (f, side) =>
      between(
        sub(joint(f, seg(side, 'Shank')), joint(f, seg(side, 'Thigh'))),
        apply(f.placed.rotations[0]!, [0, -1, 0])
      ),
  ],
  [
    {
      name: 'foot turn',
      unit: 'deg',
    },
    (f, side) => {
      const turn = floorTurn(pelvisWay(f), footWay(f, side))
      return side === 'left' ? turn : -turn
    },
  ],
  [
    {
      name: 'heel line',
      unit: 'cm',
    },
    (f, side) => {
      const across = otherSide(side)
      const arch = mid(heel(f, across), toeTip(f, across), 0.4)
      const away = flat(sub(arch, heel(f, side)))
      const way = footWay(f, side)
      return cm(f, norm(sub(away, scale(way, dot(away, way)))))
    },
  ],
  [
    {
      name: 'hips square',
      unit: 'deg',
    },
    (f, side) => Math.abs(floorTurn(pelvisWay(f), footWay(f, side))),
  ],
  [
    {
      name: 'shoulder over wrist',
      unit: 'deg',
    },
    (f, side) => tiltFrom(sub(joint(f, seg(side, 'UpperArm')), joint(f, seg(side, 'Hand')))),
  ],
  [
    {
      name: 'hip over knee',
      unit: 'deg',
    },
    (f, side) => tiltFrom(sub(joint(f, seg(side, 'Thigh')), joint(f, seg(side, 'Shank')))),
  ],
  [
    { name: 'ear to upper arm', unit: 'cm' },
    (f, side) => {
      const ear = earOf(f, side)
      const shoulder = joint(f, seg(side, 'UpperArm'))
      const arm = sub(joint(f, seg(side, 'Forearm')), shoulder)
      const t = Math.max(0, Math.min(1, dot(sub(ear, shoulder), arm) / dot(arm, arm)))
      return cm(f, norm(sub(ear, mid(shoulder, joint(f, seg(side, 'Forearm')), t))))
    },
  ],
  [
    { name: 'hand height', unit: 'cm' },
    (f, side) => cm(f, pointIn(f.placed, seg(side, 'Hand'), [0, -f.body.hand * 0.4, 0])[1]),
  ],
  [{ name: 'foot height', unit: 'cm' }, (f, side) => cm(f, heel(f, side)[1])],
]

/** Of the weight on one contact: “load share left palm”. */
const LOAD_SHARE = 'load share'

/** Every measure, with its unit and meaning. */
export const MEASURES: readonly MeasureInfo[] = [
  ...MIDDLE.map(([info]) => ({ ...info, sided: false })),
  ...SIDED.map(([info]) => ({ ...info, sided: true })),
  { name: LOAD_SHARE, unit: '%' as const, sided: false },
].map((info) => ({ ...info, means: FIGURE.measures[info.name] ?? '' }))

/**
 * Measures a solved figure.
 * @param name such as `front knee over ankle`, `arm line`, `load share left palm`
 * @returns null when there is no such measure, or nothing to measure it on
 */
export function measure(
  solved: Solved,
  name: string,
  context: MeasureContext
): { value: number; unit: string } | null {
  const f: Measuring = { ...solved, stature: context.stature ?? USUAL_STATURE }
  const wanted = name.trim().toLowerCase().replace(/\s+/g, ' ')
  const load = /^load share (.+)$/.exec(wanted)
  if (load) {
    const part = load[1]!.replace(
      /^(lead|other|front|back) /,
      (_, word: string) => `${sideMeant(word, f, context)} `
    )
    const found = loadShares(solved).find((each) => each.part === part)
    return found ? { value: found.share * 100, unit: '%' } : null
  }
  const middle = MIDDLE.find(([info]) => info.name === wanted)
  if (middle) return valued(middle[1](f), middle[0].unit)
  const [, word = '', rest = ''] = /^(\w+) (.+)$/.exec(wanted) ?? []
  const side = sideMeant(word, f, context)
  const sided = SIDED.find(([info]) => info.name === (side ? rest : wanted))
  if (!sided) return null
  return valued(sided[1](f, side ?? context.lead), sided[0].unit)
}

const valued = (value: number | null, unit: string) => (value === null ? null : { value, unit })

const UNITS: Record<string, string> = {
  '°': 'deg',
  degree: 'deg',
  degrees: 'deg',
  percent: '%',
  legs: 'leg lengths',
  'leg length': 'leg lengths',
  centimetres: 'cm',
}

/** A unit as measures name it: `degrees` is `deg`. */
export const unitNamed = (unit: string): string => UNITS[unit.trim().toLowerCase()] ?? unit.trim()

/** A measured value in words: to a tenth, with its unit. */
export const measureWords = (value: number, unit: string): string =>
  `${Math.round(value * 10) / 10 + 0}${unit === 'deg' ? '°' : ` ${unit}`}`

/** Every measure of a figure by name, both sides. */
export function allMeasures(
  solved: Solved,
  context: MeasureContext
): Record<string, { value: number; unit: string }> {
  const names = MEASURES.filter((info) => info.name !== 'load share').flatMap((info) =>
    info.sided ? [`left ${info.name}`, `right ${info.name}`] : [info.name]
  )
  return Object.fromEntries(
    names.flatMap((name) => {
      const found = measure(solved, name, context)
      return found ? [[name, found]] : []
    })
  )
}
