import { FIGURE } from '../language'
import { MEASURES } from './measures'
import { PARTS } from './parts'
import { ANGLES } from './skeleton'
import { SURFACES_AND_LIMBS } from './spec'

const code = (text: string) => `\`${text}\``

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
        `| ${code(joint)}${both ? ' *' : ''} | ${code(angle)} | ${min} | ${max} | ${FIGURE.angles[`${joint}.${angle}`] ?? ''} |`
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
