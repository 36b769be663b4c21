import type { Body } from './body'
import { type Placed, pointIn, type Segment } from './skeleton'
import type { Vec } from './vec'

/**
 * The flesh that is drawn: each part of the body as round cones (two balls and what lies
 * between them). The radii are our own, set by looking.
 */
export interface Cone {
  a: Vec
  ra: number
  b: Vec
  rb: number
}

export interface FleshPart {
  name: string
  /** Limb that it belongs to; the trunk and head are the core. */
  limb: 'core' | 'leftArm' | 'rightArm' | 'leftLeg' | 'rightLeg'
  /** The part that it grows out of, and where. */
  parent: string | null
  root: Vec
  cones: Cone[]
}

const sideOf = (s: 1 | -1) => (s === 1 ? 'left' : 'right')

/** The parts of the body in space. */
export function fleshOf(body: Body, placed: Placed): FleshPart[] {
  const at = (segment: Segment, x: number, y: number, z: number): Vec =>
    pointIn(placed, segment, [x, y, z])
  const cone = (a: Vec, ra: number, b: Vec, rb: number): Cone => ({ a, ra, b, rb })
  const su = body.shoulderUp
  const trunk: Cone[] = []
  for (const s of [1, -1] as const) {
    const hip = at('pelvis', s * 0.04, 0.0, 0.002)
    const waist = at('lowBack', s * 0.03, body.lowBackUp * 0.35, 0.004)
    const low = at('ribs', s * 0.034, su * 0.2, 0.004)
    const chest = at('ribs', s * 0.046, su * 0.62, 0.004)
    const top = at('ribs', s * 0.05, su * 0.93, -0.006)
    trunk.push(
      cone(hip, 0.052, waist, 0.046),
      cone(waist, 0.046, low, 0.047),
      cone(low, 0.047, chest, 0.053),
      cone(chest, 0.053, top, 0.036),
      cone(at('pelvis', s * 0.042, -0.02, -0.018), 0.047, hip, 0.048),
      cone(top, 0.034, at(`${sideOf(s)}UpperArm`, 0, 0.002, 0), 0.03),
      // From the neck down to the point of the shoulder.
      cone(
        at('ribs', s * 0.012, body.neckFrom + 0.014, -0.008),
        0.022,
        at(`${sideOf(s)}UpperArm`, s * -0.012, 0.006, -0.004),
        0.026
      )
    )
  }
  trunk.push(
    cone(at('ribs', 0, body.neckFrom - 0.02, -0.006), 0.034, at('neck', 0, 0.01, 0), 0.028),
    cone(at('neck', 0, 0.005, 0), 0.028, at('head', 0, 0.022, 0.004), 0.027)
  )
  const up = body.headUp / 0.125
  const parts: FleshPart[] = [
    {
      name: 'trunk',
      limb: 'core',
      parent: null,
      root: at('pelvis', 0, 0, 0),
      cones: trunk,
    },
    {
      name: 'head',
      limb: 'core',
      parent: 'trunk',
      root: at('head', 0, 0.01, 0),
      cones: [
        cone(
          at('head', 0, 0.074 * up, -0.008),
          0.05 * up,
          at('head', 0, 0.066 * up, 0.006),
          0.048 * up
        ),
        cone(
          at('head', 0, 0.056 * up, 0.016),
          0.038 * up,
          at('head', 0, 0.016 * up, 0.032),
          0.02 * up
        ),
        cone(at('head', 0, 0.056 * up, 0.044), 0.012, at('head', 0, 0.043 * up, 0.058), 0.0075),
      ],
    },
  ]
  for (const s of [1, -1] as const) {
    const side = sideOf(s)
    const seg = (name: string) => `${side}${name}` as Segment
    const { upperArm, forearm, hand, thigh, shank, ankleHeight: ah, foot } = body
    parts.push(
      {
        name: `${side} upper arm`,
        limb: `${side}Arm`,
        parent: 'trunk',
        root: at(seg('UpperArm'), 0, 0, 0),
        cones: [
          cone(
            at(seg('UpperArm'), 0, 0, 0),
            0.033,
            at(seg('UpperArm'), 0, -upperArm * 0.35, 0),
            0.03
          ),
          cone(
            at(seg('UpperArm'), 0, -upperArm * 0.35, 0),
            0.03,
            at(seg('Forearm'), 0, 0, 0),
            0.0225
          ),
        ],
      },
      {
        name: `${side} forearm`,
        limb: `${side}Arm`,
        parent: `${side} upper arm`,
        root: at(seg('Forearm'), 0, 0, 0),
        cones: [
          cone(
            at(seg('Forearm'), 0, 0, 0),
            0.0225,
            at(seg('Forearm'), 0, -forearm * 0.28, 0),
            0.025
          ),
          cone(at(seg('Forearm'), 0, -forearm * 0.28, 0), 0.025, at(seg('Hand'), 0, 0, 0), 0.0155),
          cone(at(seg('Hand'), 0, 0, 0), 0.0155, at(seg('Hand'), 0, -hand * 0.45, 0.002), 0.0175),
          cone(
            at(seg('Hand'), 0, -hand * 0.45, 0.002),
            0.0165,
            at(seg('Hand'), 0, -hand * 0.94, 0.006),
            0.0085
          ),
          cone(
            at(seg('Hand'), s * 0.01, -hand * 0.16, 0.004),
            0.011,
            at(seg('Hand'), s * 0.032, -hand * 0.5, 0.012),
            0.0075
          ),
        ],
      },
      {
        name: `${side} thigh`,
        limb: `${side}Leg`,
        parent: 'trunk',
        root: at(seg('Thigh'), 0, 0, 0),
        cones: [
          cone(
            at(seg('Thigh'), 0, 0.005, 0),
            0.053,
            at(seg('Thigh'), 0, -thigh * 0.4, 0.003),
            0.047
          ),
          cone(
            at(seg('Thigh'), 0, -thigh * 0.4, 0.003),
            0.047,
            at(seg('Shank'), 0, 0, 0.002),
            0.033
          ),
        ],
      },
      {
        name: `${side} shank`,
        limb: `${side}Leg`,
        parent: `${side} thigh`,
        root: at(seg('Shank'), 0, 0, 0),
        cones: [
          cone(
            at(seg('Shank'), 0, 0, 0.002),
            0.033,
            at(seg('Shank'), 0, -shank * 0.3, -0.008),
            0.034
          ),
          cone(at(seg('Shank'), 0, -shank * 0.3, -0.008), 0.034, at(seg('Foot'), 0, 0, 0), 0.02),
          cone(at(seg('Foot'), 0, -0.004, 0), 0.02, at(seg('Foot'), 0, -ah + 0.021, -0.018), 0.021),
          cone(
            at(seg('Foot'), 0, -0.008, 0.006),
            0.018,
            at(seg('Foot'), 0, -ah + 0.014, foot * 0.5),
            0.0135
          ),
          cone(
            at(seg('Foot'), 0, -ah + 0.018, -0.012),
            0.018,
            at(seg('Foot'), 0, -ah + 0.0135, foot * 0.5),
            0.0135
          ),
          cone(at(seg('Toes'), 0, 0.005, 0), 0.0135, at(seg('Toes'), 0, 0.002, 0.03), 0.0095),
        ],
      }
    )
  }
  return parts
}
