import type { Body } from '../body'
import { type Placed, pointIn, type Segment } from '../skeleton'
import type { Vec } from '../vec'
import { type Cone, cone } from './cones'
import { footCones, handCones, type HandForm, mittCones, plainFoot } from './handsAndFeet'

/** The flesh that is drawn, as round cones. The radii are our own, set by looking. */

export type Tone = 'skin' | 'cloth' | 'hair'

export interface FleshPart {
  name: string
  /** Limb that it belongs to; the trunk and head are the core. */
  limb: 'core' | 'leftArm' | 'rightArm' | 'leftLeg' | 'rightLeg'
  /** The part that it grows out of, and where. */
  parent: string | null
  root: Vec
  cones: Cone[]
  tone: Tone
  /** Where its cloth ends: beyond this place, that way, is skin. */
  hem?: { at: Vec; way: Vec }
  /** How much its cones melt into each other, in statures. */
  melt: number
}

const sideOf = (s: 1 | -1) => (s === 1 ? 'left' : 'right')

/** How the hands are held. */
export interface Hands {
  left: HandForm
  right: HandForm
}

/**
 * The parts of the body in space.
 * @param fine with each finger; without, what is enough while a part is pulled
 */
export function fleshOf(
  body: Body,
  placed: Placed,
  hands: Hands = { left: 'flat', right: 'flat' },
  fine = true
): FleshPart[] {
  const at = (segment: Segment, x: number, y: number, z: number): Vec =>
    pointIn(placed, segment, [x, y, z])
  return [
    trunkOf(body, at),
    ...headOf(body, at, fine),
    ...([1, -1] as const).flatMap((s) => [
      ...armOf(body, at, s, hands[sideOf(s)], fine),
      ...legOf(body, at, s, fine),
    ]),
  ]
}

export type At = (segment: Segment, x: number, y: number, z: number) => Vec

function trunkOf(body: Body, at: At): FleshPart {
  const su = body.shoulderUp
  const { chest: gc, belly: gb, hips: gh } = body.girth
  // Where shoulders and hips are wider, so is the flesh between them.
  const out = body.shoulderOut / 0.114
  const cones: Cone[] = []
  for (const s of [1, -1] as const) {
    const hip = at('pelvis', s * 0.04 * out, 0.0, 0.002)
    const waist = at('lowBack', s * 0.03, body.lowBackUp * 0.35, 0.004)
    const low = at('ribs', s * 0.034, su * 0.2, 0.004)
    const chest = at('ribs', s * 0.046 * out, su * 0.62, 0.004)
    const top = at('ribs', s * 0.05 * out, su * 0.93, -0.006)
    cones.push(
      cone(hip, 0.052 * gh, waist, 0.046 * gb),
      cone(waist, 0.046 * gb, low, 0.047 * gb),
      cone(low, 0.047 * gb, chest, 0.053 * gc),
      cone(chest, 0.053 * gc, top, 0.036 * gc),
      cone(at('pelvis', s * 0.042 * out, -0.02, -0.018), 0.047 * gh, hip, 0.048 * gh),
      cone(top, 0.034, at(`${sideOf(s)}UpperArm`, 0, 0.002, 0), 0.03),
      // From the neck down to the point of the shoulder.
      cone(
        at('ribs', s * 0.012, body.neckFrom + 0.008, -0.01),
        0.022,
        at(`${sideOf(s)}UpperArm`, s * -0.014, 0.002, -0.004),
        0.024
      )
    )
  }
  cones.push(cone(at('ribs', 0, su * 0.3, 0.004), 0.048, at('ribs', 0, su * 0.9, -0.004), 0.036))
  // A belly stands ahead of the waist.
  if (gb > 1.05)
    cones.push(
      cone(
        at('lowBack', 0, body.lowBackUp * 0.75, 0.03 * gb - 0.006),
        0.046 * gb,
        at('pelvis', 0, body.pelvisUp * 0.7, 0.03 * gb - 0.012),
        0.046 * gb
      )
    )
  return {
    name: 'trunk',
    limb: 'core',
    parent: null,
    root: at('pelvis', 0, 0, 0),
    cones,
    tone: 'cloth',
    melt: 0.03,
  }
}

function headOf(body: Body, at: At, fine: boolean): FleshPart[] {
  const up = body.headUp / 0.125
  const head = (x: number, y: number, z: number) => at('head', x * up, y * up, z * up)
  const core = { limb: 'core', melt: 0.012 } as const
  return [
    {
      ...core,
      name: 'neck',
      parent: 'trunk',
      root: at('neck', 0, 0, 0),
      tone: 'skin',
      melt: 0.02,
      cones: [
        cone(at('ribs', 0, body.neckFrom - 0.006, -0.004), 0.031, at('neck', 0, 0.012, 0), 0.0275),
        cone(at('neck', 0, 0.012, 0), 0.0275, head(0, 0.03, -0.002), 0.028),
      ],
    },
    {
      ...core,
      name: 'head',
      parent: 'neck',
      root: head(0, 0.01, 0),
      tone: 'skin',
      cones: [
        cone(head(0, 0.074, -0.008), 0.05 * up, head(0, 0.066, 0.006), 0.048 * up),
        // Cheeks to jaw, and the chin before it.
        cone(head(0, 0.058, 0.013), 0.042 * up, head(0, 0.024, 0.021), 0.0285 * up),
        cone(head(0, 0.024, 0.03), 0.02 * up, head(0, 0.012, 0.041), 0.0125 * up),
        cone(head(0, 0.066, 0.047), 0.0085 * up, head(0, 0.045, 0.0605), 0.0068 * up),
        cone(head(0, 0.028, 0.046), 0.008 * up, head(0, 0.034, 0.048), 0.008 * up),
      ],
    },
    {
      ...core,
      name: 'hair',
      parent: 'head',
      root: head(0, 0.074, -0.016),
      tone: 'hair',
      cones: [
        ...(body.hair === 'short'
          ? []
          : [cone(head(0, 0.1, -0.056), 0.018 * up, head(0, 0.104, -0.066), 0.0175 * up)]),
        ...([1, -1] as const).flatMap((s) => [
          cone(
            head(s * 0.004, 0.083, -0.012),
            0.0495 * up,
            head(s * 0.004, 0.06, -0.02),
            0.046 * up
          ),
        ]),
        cone(head(0, 0.06, -0.02), 0.0475 * up, head(0, 0.036, -0.022), 0.037 * up),
      ],
    },
    ...(fine ? ([1, -1] as const) : []).map((s): FleshPart => ({
      ...core,
      name: `${sideOf(s)} ear`,
      parent: 'head',
      root: head(s * 0.05, 0.06, -0.002),
      tone: 'skin',
      cones: [
        cone(
          head(s * 0.055, 0.069, -0.007),
          0.0112 * up,
          head(s * 0.053, 0.05, -0.001),
          0.008 * up
        ),
      ],
    })),
  ]
}

function armOf(body: Body, at: At, s: 1 | -1, form: HandForm, fine: boolean): FleshPart[] {
  const side = sideOf(s)
  const limb = `${side}Arm` as const
  const own = (name: string) => (x: number, y: number, z: number) =>
    at(`${side}${name}` as Segment, x, y, z)
  const [upper, fore, hand] = [own('UpperArm'), own('Forearm'), own('Hand')]
  const g = body.girth.limbs
  const [shoulder, elbow, wrist] = [upper(0, 0, 0), fore(0, 0, 0), hand(0, 0, 0)]
  return [
    {
      name: `${side} upper arm`,
      limb,
      parent: 'trunk',
      root: shoulder,
      tone: 'cloth',
      hem: hemAt(upper(0, -body.upperArm * 0.48, 0), shoulder, elbow),
      melt: 0.03,
      cones: [
        cone(shoulder, 0.033 * g, upper(0, -body.upperArm * 0.35, 0), 0.03 * g),
        cone(upper(0, -body.upperArm * 0.35, 0), 0.03 * g, elbow, 0.0225 * g),
      ],
    },
    {
      name: `${side} forearm`,
      limb,
      parent: `${side} upper arm`,
      root: elbow,
      tone: 'skin',
      melt: 0.03,
      cones: [
        cone(elbow, 0.0225 * g, fore(0, -body.forearm * 0.28, 0), 0.025 * g),
        cone(fore(0, -body.forearm * 0.28, 0), 0.025 * g, wrist, 0.0152 * (0.5 + g / 2)),
      ],
    },
    {
      name: `${side} hand`,
      limb,
      parent: `${side} forearm`,
      root: wrist,
      tone: 'skin',
      melt: 0.0035,
      cones: fine ? handCones(body, hand, s, form) : mittCones(body, hand, s),
    },
  ]
}

/** Cloth from one joint on ends at a place between it and the next. */
const hemAt = (at: Vec, from: Vec, to: Vec) => ({
  at,
  way: [to[0] - from[0], to[1] - from[1], to[2] - from[2]] as Vec,
})

function legOf(body: Body, at: At, s: 1 | -1, fine: boolean): FleshPart[] {
  const side = sideOf(s)
  const limb = `${side}Leg` as const
  const own = (name: string) => (x: number, y: number, z: number) =>
    at(`${side}${name}` as Segment, x, y, z)
  const [thigh, shank, foot, toes] = [own('Thigh'), own('Shank'), own('Foot'), own('Toes')]
  const g = body.girth.limbs
  const [hip, knee] = [thigh(0, 0, 0), shank(0, 0, 0)]
  return [
    {
      name: `${side} thigh`,
      limb,
      parent: 'trunk',
      root: hip,
      tone: 'cloth',
      hem: hemAt(thigh(0, -body.thigh * 0.58, 0), hip, knee),
      melt: 0.03,
      cones: [
        cone(thigh(0, 0.005, 0), 0.053 * g, thigh(0, -body.thigh * 0.4, 0.003), 0.047 * g),
        cone(thigh(0, -body.thigh * 0.4, 0.003), 0.047 * g, shank(0, 0.008, 0.001), 0.033 * g),
        cone(shank(0, 0.012, 0.008), 0.027 * g, shank(0, -0.012, 0.009), 0.0255 * g),
      ],
    },
    {
      name: `${side} shank`,
      limb,
      parent: `${side} thigh`,
      root: knee,
      tone: 'skin',
      melt: 0.03,
      cones: [
        cone(shank(0, 0, 0.001), 0.0325 * g, shank(0, -body.shank * 0.3, -0.009), 0.0345 * g),
        cone(
          shank(0, -body.shank * 0.3, -0.009),
          0.0345 * g,
          shank(0, -body.shank * 0.66, -0.005),
          0.0235 * g
        ),
        cone(shank(0, -body.shank * 0.66, -0.005), 0.0235 * g, foot(0, 0.006, -0.002), 0.0185),
      ],
    },
    {
      name: `${side} foot`,
      limb,
      parent: `${side} shank`,
      root: foot(0, 0, 0),
      tone: 'skin',
      melt: 0.01,
      cones: fine ? footCones(body, foot, toes, s) : plainFoot(body, foot, toes),
    },
  ]
}
