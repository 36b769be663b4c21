import type { Build } from '../card'

/**
 * The body in numbers: lengths as parts of stature, masses as parts of body mass.
 *
 * Lengths: Drillis & Contini 1966, as given in Winter, Biomechanics and Motor Control of Human
 * Movement (from memory). Masses and centres: Winter, after Dempster (from memory). The places
 * inside the trunk and the radii of the flesh are our own, set by looking.
 */
export const LENGTHS = {
  thigh: 0.245,
  shank: 0.246,
  foot: 0.152,
  ankleHeight: 0.039,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  shoulderHeight: 0.818,
  hipHeight: 0.53,
  biacromial: 0.259,
  hipBreadth: 0.191,
  headToChin: 0.13,
} as const

/** Mass of each segment as a part of the body's; both sides have the same. */
export const MASSES = {
  pelvis: 0.142,
  lowBack: 0.139,
  ribs: 0.216,
  head: 0.081,
  upperArm: 0.028,
  forearm: 0.016,
  hand: 0.006,
  thigh: 0.1,
  shank: 0.0465,
  foot: 0.0145,
} as const

/** Centre of mass of a limb's segment, from its proximal end, as a part of its length. */
export const CENTRES = {
  upperArm: 0.436,
  forearm: 0.43,
  hand: 0.506,
  thigh: 0.433,
  shank: 0.433,
  foot: 0.5,
} as const

/** How a body differs from the table; 1 is the table's. */
export interface BodyVariation {
  legs?: number
  arms?: number
  trunk?: number
  build?: Build
}

/** How a build differs from the usual one: factors of its lengths and of its flesh. */
interface BuildOf {
  legs: number
  arms: number
  trunk: number
  /** Of the flesh of limbs, chest, belly, and hips with buttocks. */
  girth: { limbs: number; chest: number; belly: number; hips: number }
  /** How far apart shoulders and hips are. */
  wide: number
  /** How far the neck stands ahead, in statures. */
  stoop: number
  hair: 'bun' | 'short' | 'light'
}

const plain = { limbs: 1, chest: 1, belly: 1, hips: 1 }

/** Our own, set by looking; the lengths of all stay near the published table. */
export const BUILD: Record<Build, BuildOf> = {
  usual: { legs: 1, arms: 1, trunk: 1, girth: plain, wide: 1, stoop: 0, hair: 'bun' },
  slight: {
    legs: 0.98,
    arms: 0.98,
    trunk: 0.98,
    girth: { limbs: 0.84, chest: 0.86, belly: 0.86, hips: 0.88 },
    wide: 0.92,
    stoop: 0,
    hair: 'short',
  },
  long: {
    legs: 1.06,
    arms: 1.05,
    trunk: 0.97,
    girth: { limbs: 0.9, chest: 0.93, belly: 0.9, hips: 0.9 },
    wide: 0.98,
    stoop: 0,
    hair: 'bun',
  },
  broad: {
    legs: 0.97,
    arms: 1,
    trunk: 1.03,
    girth: { limbs: 1.14, chest: 1.16, belly: 1.06, hips: 1 },
    wide: 1.1,
    stoop: 0,
    hair: 'short',
  },
  heavy: {
    legs: 0.98,
    arms: 0.98,
    trunk: 1.02,
    girth: { limbs: 1.32, chest: 1.24, belly: 1.55, hips: 1.34 },
    wide: 1.06,
    stoop: 0.004,
    hair: 'bun',
  },
  older: {
    legs: 0.98,
    arms: 1,
    trunk: 0.97,
    girth: { limbs: 0.88, chest: 0.98, belly: 1.14, hips: 1 },
    wide: 0.96,
    stoop: 0.02,
    hair: 'light',
  },
}

/** Lengths of one body, in statures. */
export interface Body {
  thigh: number
  shank: number
  foot: number
  ankleHeight: number
  upperArm: number
  forearm: number
  hand: number
  /** Of the hip joints from the middle. */
  hipOut: number
  /** Of the shoulder joints from the middle, with the girdle at rest. */
  shoulderOut: number
  /** Along the spine: hip line to low back, low back to ribs, ribs to shoulder line, on to the neck, the head. */
  pelvisUp: number
  lowBackUp: number
  shoulderUp: number
  neckFrom: number
  neckUp: number
  headUp: number
  /** How far the neck stands ahead. */
  stoop: number
  /** Factors of the flesh. */
  girth: BuildOf['girth']
  hair: BuildOf['hair']
}

/** Leg length, from the hip joint to the floor, in statures. */
export const legLength = (body: Body) => body.thigh + body.shank + body.ankleHeight

/**
 * The lengths of a body, in statures.
 * @param variation factors from 0.8 to 1.2
 */
export function bodyOf(variation: BodyVariation = {}): Body {
  const L = LENGTHS
  const build = BUILD[variation.build ?? 'usual']
  const [legs, arms, trunk] = (['legs', 'arms', 'trunk'] as const).map(
    (part) => (variation[part] ?? 1) * build[part]
  ) as [number, number, number]
  return {
    thigh: L.thigh * legs,
    shank: L.shank * legs,
    foot: L.foot,
    ankleHeight: L.ankleHeight,
    upperArm: L.upperArm * arms,
    forearm: L.forearm * arms,
    hand: L.hand * arms,
    hipOut: L.hipBreadth * 0.26 * build.wide,
    shoulderOut: L.biacromial * 0.44 * build.wide,
    pelvisUp: 0.05 * trunk,
    lowBackUp: 0.085 * trunk,
    shoulderUp: (L.shoulderHeight - L.hipHeight - 0.135) * trunk,
    neckFrom: (L.shoulderHeight - L.hipHeight - 0.135) * trunk + 0.012,
    neckUp: 0.045,
    headUp: 1 - L.shoulderHeight - 0.012 - 0.045,
    stoop: build.stoop,
    girth: build.girth,
    hair: build.hair,
  }
}

/** Stature that a figure is solved for, in cm; everything scales with it but the props. */
export const USUAL_STATURE = 170
