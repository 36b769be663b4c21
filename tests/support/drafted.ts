import { type Base, blankCard } from '@/core/card'
import { type Draft, draftsOf } from '@/core/reading'
import { stepsOf } from './cards'

/** Lines done one after the other, from a place where one begins. */

const STANDS = {
  standing: ['standing', 'Stand with the feet hip-width apart.'],
  together: ['standing', 'Stand with the feet together.'],
  kneeling: ['kneeling', 'Kneel tall.'],
  allFours: ['hands', 'Come to hands and knees.'],
  supine: ['supine', 'Lie on the back with the legs long.'],
  bent: ['supine', 'Lie on the back with the knees bent and the feet on the floor.'],
  prone: ['prone', 'Lie on the belly with the legs long.'],
  seated: ['seated', 'Sit with the legs long in front.'],
  plank: ['hands', 'Come to plank.'],
} satisfies Record<string, [Base, string]>
export type Stands = keyof typeof STANDS

/**
 * The forms that the lines make, the one to begin with first.
 * @param stature in cm
 */
export function draftedFrom(from: Stands, lines: readonly string[], stature?: number): Draft[] {
  const [base, place] = STANDS[from]
  const card = {
    ...blankCard({ name: 'X', base, sides: 'sided', spine: 'lengthen', manner: 'held' }),
    sideNamedBy: 'front leg',
    setUp: { place, props: [], note: '' },
    enter: stepsOf(lines.map((text) => ['free', text])),
  }
  return draftsOf(card, { kept: false, ...(stature ? { stature } : {}) })
}
