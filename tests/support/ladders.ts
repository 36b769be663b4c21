import { blankCard, type Card, type Rung } from '@/core/card'
import { differenceFrom, Figure, type FigureInput, startOf } from '@/core/figure'

/** Ladders posed for tests: forms by name, from the least asking to the most. */

type Angles = Record<string, Record<string, number>>
export const both = (angles: Angles): Angles =>
  Object.fromEntries(
    Object.entries(angles).flatMap(([joint, values]) => [
      [`left${joint}`, values],
      [`right${joint}`, values],
    ])
  )
export const on = (surface: string, ...parts: string[]): Figure['contacts'] =>
  parts.map((part) => ({ part, on: surface }))
const pair = (...parts: string[]) => parts.flatMap((part) => [`left ${part}`, `right ${part}`])

/** A form of the figure bench, with angles changed and other contacts. */
export function form(start: string, angles: Angles = {}, more: Partial<FigureInput> = {}): Figure {
  const whole = Figure.parse(startOf(start)!.figure)
  const merged = { ...whole.angles }
  for (const [joint, values] of Object.entries(angles))
    merged[joint] = { ...merged[joint], ...values }
  return Figure.parse({ ...whole, ...more, angles: merged })
}

export const rungOf = (id: string, more: Partial<Rung> = {}): Rung => ({
  id,
  name: id,
  props: [],
  steps: { replace: [], add: [], omit: [] },
  upWhen: ['the breath stays even'],
  downWhen: ['something shakes'],
  ...more,
})

/** A card whose rungs are drawn; the one named is the form described. */
export function ladderCard(
  forms: Record<string, Figure>,
  reference: string,
  more: Partial<Card> = {},
  rungs: Record<string, Partial<Rung>> = {}
): Card {
  const described = forms[reference]!
  return {
    ...blankCard({
      name: 'Ladder',
      base: 'standing',
      spine: 'lengthen',
      manner: 'held',
      sides: 'even',
    }),
    enter: [{ id: 's1', text: 'Grow tall.', breath: 'in' }],
    stay: { breaths: 5, repeats: 1 },
    ladder: Object.entries(forms).map(([id, figure]) =>
      rungOf(id, {
        ...(id === reference
          ? { reference: true as const, figure: described as Rung['figure'] }
          : { figure: differenceFrom(described, figure) as Rung['figure'] }),
        ...rungs[id],
      })
    ),
    ...more,
  }
}

const LOW = both({ Elbow: { flexion: 95 }, Shoulder: { flexion: 12, abduction: 36 } })

/** The lowered plank at the wall, on the knees, and whole. */
export const loweredPlank = (): Record<string, Figure> => ({
  wall: form(
    'plank',
    {
      ...LOW,
      pelvis: { tilt: 22 },
      ...both({
        Elbow: { flexion: 80 },
        Shoulder: { flexion: 10, abduction: 8 },
        Toes: { extension: 0 },
        Ankle: { dorsiflexion: 20 },
      }),
    },
    { wall: 0.33, contacts: [...on('floor', ...pair('sole')), ...on('wall', ...pair('palm'))] }
  ),
  knees: form(
    'plank',
    {
      ...LOW,
      ...both({ Knee: { flexion: 25 }, Ankle: { dorsiflexion: -40 }, Toes: { extension: 0 } }),
    },
    { contacts: on('floor', ...pair('palm', 'knee')) }
  ),
  full: form('plank', { ...LOW, pelvis: { tilt: 86 } }),
})

/** A stand on two feet, with a hand on a wall, on one foot, and on one foot with the arms up. */
export const oneLeg = (): Record<string, Figure> => {
  const lifted = {
    rightHip: { flexion: 70 },
    rightKnee: { flexion: 80 },
    leftHip: { abduction: -5 },
  }
  const reach = { leftShoulder: { flexion: 80, abduction: 0 }, leftElbow: { flexion: 20 } }
  return {
    two: form('standing'),
    wall: form(
      'standing',
      { ...lifted, ...reach },
      { wall: 0.4, contacts: [...on('floor', 'left sole'), ...on('wall', 'left fingertips')] }
    ),
    one: form('standing', lifted, { contacts: on('floor', 'left sole') }),
    'arms-up': form(
      'standing',
      { ...lifted, ...both({ Shoulder: { flexion: 172, abduction: 6 } }) },
      { contacts: on('floor', 'left sole') }
    ),
  }
}

/** A seated fold: knees bent, half, and whole. */
export const seatedFold = (): Record<string, Figure> => {
  const fold = (tilt: number, trunk: number, hip: number, knee: number) =>
    form(
      'long-seat',
      {
        pelvis: { tilt },
        lowBack: { flexion: trunk },
        ribs: { flexion: trunk },
        ...both({
          Hip: { flexion: hip },
          Knee: { flexion: knee },
          Shoulder: { flexion: 100, abduction: 4 },
          Elbow: { flexion: 10 },
        }),
      },
      { contacts: on('floor', 'sit bones', ...pair('heel')) }
    )
  return { bent: fold(4, 8, 92, 50), half: fold(8, 12, 96, 10), whole: fold(34, 22, 120, 3) }
}

/** Squats: high, half and deep. */
export const squats = (): Record<string, Figure> => {
  const squat = (hip: number, knee: number, ankle: number, tilt: number) =>
    form(
      'standing',
      {
        pelvis: { tilt },
        ...both({
          Hip: { flexion: hip, abduction: 6 },
          Knee: { flexion: knee },
          Ankle: { dorsiflexion: ankle },
          Shoulder: { flexion: 90 },
        }),
      },
      { contacts: on('floor', ...pair('sole')) }
    )
  return { high: squat(28, 32, 14, 12), half: squat(62, 62, 22, 25), deep: squat(88, 90, 30, 34) }
}
