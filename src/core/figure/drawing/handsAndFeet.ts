import type { Body } from '../body'
import type { Vec } from '../vec'
import { type Cone, cone } from './cones'

/** Hands and feet as round cones, told for the left and mirrored. */

/** How a hand is held: open, on its fingertips, a fist, hooked round something, laced with the other. */
export type HandForm = 'flat' | 'fingertips' | 'fist' | 'hook' | 'clasp'

type In = (x: number, y: number, z: number) => Vec

/** Of each finger, from the index: its knuckle aside and down, how long it is, how thick. */
const FINGERS = [
  [0.0175, 0.49, 0.45, 0.0062],
  [0.006, 0.51, 0.49, 0.0064],
  [-0.0055, 0.5, 0.45, 0.0062],
  [-0.0165, 0.46, 0.36, 0.0056],
] as const

/** Degrees by which knuckles and middle joints of the fingers are bent to the palm. */
const BENT: Record<HandForm, [number, number]> = {
  flat: [4, 8],
  fingertips: [-32, 52],
  fist: [85, 105],
  hook: [55, 75],
  clasp: [70, 60],
}

export function handCones(body: Body, hand: In, s: 1 | -1, form: HandForm): Cone[] {
  const long = body.hand
  const [knuckle, middle] = BENT[form].map((degrees) => (degrees * Math.PI) / 180) as [
    number,
    number,
  ]
  const spread = form === 'fingertips' ? 1.6 : form === 'flat' ? 1.15 : 0.9
  const cones: Cone[] = []
  for (const [x, y, length, r] of FINGERS) {
    const root = hand(s * x, -long * y, 0)
    const [l1, l2] = [long * length * 0.5, long * length * 0.5]
    // Bent towards the palm, which looks to the front.
    const out = (x * (spread - 1)) / 0.5
    const y1 = -long * y - l1 * Math.cos(knuckle)
    const z1 = l1 * Math.sin(knuckle)
    const joint = hand(s * (x + out * 0.5), y1, z1)
    const bent = knuckle + middle
    const tip = hand(s * (x + out), y1 - l2 * Math.cos(bent), z1 + l2 * Math.sin(bent))
    cones.push(
      cone(hand(s * x * 0.55, -0.008, 0), 0.0098, root, r * 1.25),
      cone(root, r * 1.15, joint, r),
      cone(joint, r, tip, r * 0.78)
    )
  }
  const shut = form === 'fist' || form === 'hook' || form === 'clasp'
  const ball = hand(s * 0.015, -long * 0.16, 0.004)
  const first = hand(s * (shut ? 0.022 : 0.031), -long * 0.4, shut ? 0.018 : 0.009)
  const tip = shut ? hand(s * 0.004, -long * 0.5, 0.026) : hand(s * 0.038, -long * 0.6, 0.012)
  cones.push(cone(ball, 0.0098, first, 0.0068), cone(first, 0.0068, tip, 0.005))
  return cones
}

/** A hand as it is enough while a part is pulled: without fingers of its own. */
export const mittCones = ({ hand: long }: Body, hand: In, s: 1 | -1): Cone[] => [
  cone(hand(0, -0.006, 0), 0.014, hand(0, -long * 0.5, 0), 0.0175),
  cone(hand(0, -long * 0.5, 0), 0.0175, hand(0, -long * 0.9, 0.004), 0.011),
  cone(hand(s * 0.015, -long * 0.16, 0.004), 0.0098, hand(s * 0.038, -long * 0.58, 0.012), 0.0055),
]

/** Heel, arch, ball and toes. */
export function footCones(
  { ankleHeight: ah, foot: long }: Body,
  foot: In,
  toes: In,
  s: 1 | -1
): Cone[] {
  const ball = long * 0.5
  return [
    // The ankle down to the heel, and over the instep to the ball.
    cone(foot(0, 0.004, -0.002), 0.0185, foot(0, -ah + 0.021, -0.018), 0.0205),
    cone(foot(0, -0.004, 0.004), 0.0175, foot(s * -0.006, -ah + 0.019, ball * 0.8), 0.0125),
    // The outer edge lies on the floor; the arch inside is held up.
    cone(
      foot(s * 0.002, -ah + 0.0175, -0.016),
      0.0172,
      foot(s * 0.016, -ah + 0.0125, ball),
      0.0122
    ),
    cone(
      foot(s * -0.004, -ah + 0.026, 0.014),
      0.0145,
      foot(s * -0.013, -ah + 0.0145, ball),
      0.0142
    ),
    cone(foot(s * 0.016, -ah + 0.0125, ball), 0.0122, foot(s * -0.013, -ah + 0.0145, ball), 0.0142),
    // The big toe inside, and the row of the others.
    cone(toes(s * -0.013, 0.004, 0.002), 0.0115, toes(s * -0.013, 0.0015, 0.034), 0.0082),
    cone(toes(s * -0.001, 0.003, 0.002), 0.0105, toes(s * -0.001, 0.0005, 0.03), 0.0068),
    cone(toes(s * 0.014, 0.003, -0.004), 0.0105, toes(s * 0.013, 0, 0.017), 0.0065),
  ]
}

/** A foot as it is enough while a part is pulled. */
export const plainFoot = ({ ankleHeight: ah, foot: long }: Body, foot: In, toes: In): Cone[] => [
  cone(foot(0, 0.004, -0.002), 0.0185, foot(0, -ah + 0.021, -0.018), 0.0205),
  cone(foot(0, -0.004, 0.002), 0.0185, foot(0, -ah + 0.0165, long * 0.5), 0.0165),
  cone(toes(0, 0.004, 0), 0.0135, toes(0, 0.001, 0.03), 0.0085),
]
