import { MEASURES } from './measures'
import { PARTS } from './parts'
import { ANGLES } from './skeleton'
import { SURFACES_AND_LIMBS } from './spec'

const code = (text: string) => `\`${text}\``

/** What each angle means, where its name does not say it. */
const MEANS: Record<string, string> = {
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

/** A page that lists every angle, part, surface and measure of the figure. */
export function figureTablesPage(): string {
  const sideless = ANGLES.filter(({ joint }) => !joint.startsWith('right')).map((each) => ({
    ...each,
    joint: each.joint.replace(/^left/, ''),
    both: each.joint.startsWith('left'),
  }))
  return [
    '# Angles, contacts and measures',
    '',
    'This page is made from the code by `npm run docs`. What they are for is told in [figures](figures.md).',
    '',
    '## Angles',
    '',
    'In degrees. Zero is standing in the anatomical position: arms down, palms to the front. A joint with a star stands on both sides: write `leftHip`, `rightHip`.',
    '',
    '| joint | angle | from | to | what it means |',
    '|---|---|---|---|---|',
    ...sideless.map(
      ({ joint, angle, min, max, both }) =>
        `| ${code(joint)}${both ? ' *' : ''} | ${code(angle)} | ${min} | ${max} | ${MEANS[`${joint}.${angle}`] ?? ''} |`
    ),
    '',
    '## Parts that touch',
    '',
    PARTS.map(code).join(', '),
    '',
    '## What they touch',
    '',
    SURFACES_AND_LIMBS.map(code).join(', '),
    '',
    '## Measures',
    '',
    'A measure with a star is taken on one side: put `left`, `right`, `front`, `back`, `lead`, `other`, or `top` and `bottom` (by the hands) before its name.',
    '',
    '| measure | unit | what it means |',
    '|---|---|---|',
    ...MEASURES.map(
      ({ name, unit, sided, means }) => `| ${code(name)}${sided ? ' *' : ''} | ${unit} | ${means} |`
    ),
    '',
  ].join('\n')
}
