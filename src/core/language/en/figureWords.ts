/** English: what is measured on a figure, what its angles mean, and what it says of itself. */

import type { Build, CueMark } from '../../card'
import type { PoseFacts } from '../poseFacts'

/** What each measure means. */
const measures: Record<string, string> = {
  'low back arc': 'bend of the low back; forward above 0',
  'ribs arc': 'bend of the ribs; forward above 0',
  'neck arc': 'bend of the neck; forward above 0',
  'stance length': 'from ankle to ankle along the floor, in legs',
  stance: 'from ankle to ankle along the floor, for the stature',
  'hips level': 'how far the line of the hips is from level; above 0 the left one is higher',
  'shoulders level':
    'how far the line of the shoulders is from level; above 0 the left one is higher',
  'shoulders over hips': 'how far the trunk leans from upright, in any direction',
  'arm line': 'between the two upper arms; 180 when they make one line',
  'spine arc': 'bend of the whole spine, low back to neck; forward above 0',
  'side arc': 'side bend of the whole spine; to the left above 0',
  turn: 'turn of the shoulders against the hips; to the left above 0',
  'arc evenness': 'the least bent region of low back and ribs to the most bent one; 1 is even',
  'side bend plane':
    'how far the trunk leaves the plane of the hips in a side bend; forward above 0',
  'head against heart': 'height of the head above the heart; below 0 the head is lower',
  'balance margin': 'from the centre of mass to the edge of the support; below 0 it lies outside',
  'knee over ankle': 'how far the shin leans; above 0 the knee is ahead of the ankle',
  'knee past toes':
    'how far the knee is past the tip of the toes, along the foot; below 0 behind it',
  'knee tracking':
    'between where the knee points and the foot, seen from above; above 0 the knee falls inward. A bent knee points as its thigh does, a straight one (under 15°) across its hinge',
  'knee angle': 'bend of the knee; 0 is straight',
  'elbow angle': 'bend of the elbow; 0 is straight',
  'hip angle': 'between the thigh and the trunk’s line downward; 0 is standing',
  'foot turn': 'the foot against the front of the pelvis, on the floor; outward above 0',
  'heel line': 'how far the other foot’s arch is from the line of this foot through its heel',
  'hips square':
    'the front of the pelvis against this foot, on the floor; 0 when both look the same way',
  'shoulder over wrist': 'how far the line from wrist to shoulder leans from upright',
  'hip over knee': 'how far the line from knee to hip leans from upright',
  'ear to upper arm': 'from the ear to the line of the upper arm',
  'hand height': 'of the middle of the palm above the floor',
  'foot height': 'of the heel above the floor',
  'load share': 'of the body weight on one contact: “load share left palm”',
}

/** What each angle means, where its name does not say it. */
const angles: Record<string, string> = {
  'pelvis.turn': 'about the upright line; to the person’s left above 0',
  'pelvis.tilt':
    'forward above 0: 90 lies on the front or stands on all fours, -90 lies on the back',
  'pelvis.lean': 'to the side; to the person’s left above 0',
  'lowBack.flexion': 'forward above 0, backward below',
  'lowBack.lateralFlexion': 'to the left above 0',
  'lowBack.rotation': 'to the left above 0',
  'ribs.flexion': 'forward above 0, backward below',
  'ribs.lateralFlexion': 'to the left above 0',
  'ribs.rotation': 'to the left above 0',
  'neck.flexion': 'forward above 0, backward below',
  'neck.lateralFlexion': 'to the left above 0',
  'neck.rotation': 'to the left above 0',
  'head.flexion': 'nod; forward above 0',
  'Girdle.elevation': 'the shoulder up',
  'Girdle.retraction': 'the shoulder back, towards the spine',
  'Shoulder.flexion': 'forward and up above 0: 90 level ahead, 180 overhead; backward below 0',
  'Shoulder.abduction': 'out to the side and up: 90 level, 180 overhead',
  'Shoulder.rotation': 'outward above 0',
  'Elbow.flexion': 'bend',
  'Forearm.pronation':
    'palm turned in and back: 0 palm to the front, 90 to the thigh, 170 to the back',
  'Wrist.flexion': 'towards the palm above 0; bent back below 0',
  'Wrist.radialDeviation': 'towards the thumb above 0',
  'Hip.flexion': 'the thigh forward and up; backward below 0',
  'Hip.abduction': 'the thigh out to the side',
  'Hip.rotation': 'outward above 0',
  'Knee.flexion': 'bend',
  'Ankle.dorsiflexion': 'the foot towards the shin above 0; pointed below 0',
  'Ankle.eversion': 'the sole turned inward below 0, outward above 0',
  'Toes.extension': 'bent back above 0',
}

/** The forms that a new figure can begin with. */
const starts: Record<string, string> = {
  standing: 'Standing',
  'arms-up': 'Standing, arms up',
  wide: 'Wide stand, arms out',
  stride: 'Long stride, right foot in front',
  'standing-fold': 'Standing fold',
  squat: 'Squat',
  chair: 'Sitting on a chair',
  kneeling: 'Kneeling tall',
  'heel-seat': 'Kneeling seat',
  'hands-and-knees': 'Hands and knees',
  plank: 'Plank',
  dog: 'Downward dog',
  'long-seat': 'Seated, legs long',
  'cross-legged': 'Seated, legs crossed',
  prone: 'Lying on the front',
  supine: 'Lying on the back',
  'supine-knees-bent': 'On the back, knees bent',
  'side-lying': 'Lying on the left side',
}

const marks: Record<CueMark['kind'], string> = {
  press: 'press',
  reach: 'reach',
  'draw-in': 'draw in',
  turn: 'turn',
  look: 'look',
  plumb: 'plumb line',
  arc: 'arc',
  level: 'level line',
  spread: 'even spread',
}

const builds: Record<Build, string> = {
  usual: 'usual',
  slight: 'slight',
  long: 'long',
  broad: 'broad',
  heavy: 'heavy',
  older: 'older',
}

const listed = (words: readonly string[]) =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

const surface = (on: string) => (on === 'floor' || on === 'wall' ? `the ${on}` : withArticle(on))
const withArticle = (on: string) => {
  if (/^(?:left|right)/.test(on)) return `the ${on}`
  const [kind, height] = on.split(' ')
  return height ? `a ${height} ${kind}` : `a ${kind}`
}

/** A pose in words: what touches what, how the trunk is, what bends, where the hands are. */
function pose(facts: PoseFacts): string {
  const { trunk, spine, hands } = facts
  const contacts = facts.contacts.map(({ on, parts }) => `On ${surface(on)}: ${listed(parts)}.`)
  const trunkIs =
    trunk.way === 'upright' || trunk.way === 'upside-down'
      ? trunk.way === 'upright'
        ? 'upright'
        : 'upside down'
      : `${trunk.lean > 65 ? 'level, tipped' : 'leaning'} ${trunk.way === 'left' || trunk.way === 'right' ? `to the ${trunk.way}` : trunk.way}`
  const bends = [
    Math.abs(spine.bend) >= 20 &&
      `${spine.bend > 0 ? 'rounded' : 'arched'} ${Math.abs(spine.bend)}°`,
    Math.abs(spine.side) >= 12 &&
      `bent to the ${spine.side > 0 ? 'left' : 'right'} ${Math.abs(spine.side)}°`,
    Math.abs(spine.turn) >= 12 &&
      `turned to the ${spine.turn > 0 ? 'left' : 'right'} ${Math.abs(spine.turn)}°`,
  ].filter(Boolean)
  const bent = facts.bent.map(({ joint, left, right }) =>
    left !== null && right !== null && Math.abs(left - right) < 8
      ? `Both ${joint}s bent ${left}°.`
      : `${[left !== null && `Left ${joint} bent ${left}°`, right !== null && `${left !== null ? 'right' : 'Right'} ${joint} bent ${right}°`].filter(Boolean).join(', ')}.`
  )
  const raised = { up: 'raised', level: 'at shoulder height', down: '' }
  const arms =
    hands.left === hands.right
      ? raised[hands.left] && `Both hands ${raised[hands.left]}.`
      : (['left', 'right'] as const)
          .flatMap((side) =>
            raised[hands[side]]
              ? [`${side === 'left' ? 'Left' : 'Right'} hand ${raised[hands[side]]}.`]
              : []
          )
          .join(' ')
  return [
    ...contacts,
    `Trunk ${[trunkIs, ...bends].join(', ')}.`,
    ...bent,
    arms,
    Math.abs(facts.head) >= 20 ? `Head turned to the ${facts.head > 0 ? 'left' : 'right'}.` : '',
    facts.view === 'front' || facts.view === 'back'
      ? `Seen from the ${facts.view}.`
      : `Seen from the person’s ${facts.view}.`,
    facts.hidden.length ? `Hidden there: ${listed(facts.hidden)}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

export const englishFigure = {
  pose,
  marks,
  builds,
  /** Of a mark: `press: front foot`. */
  markWords: ({ kind, part, way }: CueMark) =>
    `${marks[kind]}: ${[part, way].filter(Boolean).join(', ')}`,
  measures,
  angles,
  starts,
  away: (part: string, on: string, cm: number) =>
    `The ${part} stays ${cm.toFixed(1)} cm away from the ${on}.`,
  strapTooShort: (part: string, on: string, cm: number) =>
    `The strap from the ${part} to the ${on} is ${cm.toFixed(1)} cm too short.`,
  unused: (channels: readonly string[]) => `Not used: ${channels.join(', ')}.`,
  pastRange: (angles: readonly string[]) =>
    `Past their range, brought to its end: ${angles.join(', ')}.`,
  onFloor: (parts: readonly string[]) =>
    parts.length > 0
      ? `On the floor: ${parts.join(', ')}.`
      : 'Nothing lies flat on the floor; add what touches.',
}

export type FigureWords = typeof englishFigure
