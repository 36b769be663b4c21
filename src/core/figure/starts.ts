import { FIGURE } from '../language'
import type { Contact, FigureInput } from './spec'

/** Starting positions, to pose from. */
export interface Start {
  id: string
  title: string
  figure: FigureInput
}

type Angles = NonNullable<FigureInput['angles']>

/** The same angles left and right. */
export const both = (angles: Angles): Angles =>
  Object.fromEntries(
    Object.entries(angles).flatMap(([joint, values]) => [
      [`left${joint}`, values],
      [`right${joint}`, values],
    ])
  )

const on = (surface: string, ...parts: string[]): Contact[] =>
  parts.map((part) => ({ part, on: surface }))
const floor = (...parts: string[]) => on('floor', ...parts)
const pair = (name: string) => [`left ${name}`, `right ${name}`]

/** Arms by the sides, palms to the thighs. */
const HANGING = both({
  Shoulder: { abduction: 9 },
  Elbow: { flexion: 8 },
  Forearm: { pronation: 70 },
})
/** A hand flat on the floor under a shoulder, fingers to the front. */
const PROPPED = both({
  Shoulder: { flexion: 85, rotation: -10 },
  Forearm: { pronation: 160 },
  Wrist: { flexion: -82 },
})

const FORMS: readonly Omit<Start, 'title'>[] = [
  {
    id: 'standing',
    figure: { angles: HANGING, contacts: floor(...pair('sole')) },
  },
  {
    id: 'arms-up',
    figure: {
      angles: both({
        Girdle: { elevation: 15 },
        Shoulder: { flexion: 170, abduction: 4 },
        Forearm: { pronation: 80 },
      }),
      contacts: floor(...pair('sole')),
    },
  },
  {
    id: 'wide',
    figure: {
      angles: both({
        Hip: { abduction: 27, rotation: 8 },
        Shoulder: { abduction: 90 },
        Forearm: { pronation: 80 },
      }),
      contacts: floor(...pair('sole')),
    },
  },
  {
    id: 'stride',
    figure: {
      angles: {
        ...HANGING,
        rightHip: { flexion: 70 },
        rightKnee: { flexion: 80 },
        leftHip: { flexion: -22 },
        leftKnee: { flexion: 5 },
        leftAnkle: { dorsiflexion: 20 },
        leftToes: { extension: 55 },
      },
      contacts: floor('right sole', 'left toes'),
    },
  },
  {
    id: 'standing-fold',
    figure: {
      angles: {
        pelvis: { tilt: 95 },
        lowBack: { flexion: 25 },
        ribs: { flexion: 25 },
        neck: { flexion: 10 },
        ...both({
          Hip: { flexion: 100 },
          Knee: { flexion: 10 },
          Ankle: { dorsiflexion: 3 },
          Shoulder: { flexion: 140 },
          Forearm: { pronation: 70 },
        }),
      },
      contacts: floor(...pair('sole')),
    },
  },
  {
    id: 'squat',
    figure: {
      angles: {
        pelvis: { tilt: 25 },
        lowBack: { flexion: 10 },
        ...both({
          Hip: { flexion: 125, abduction: 25, rotation: 20 },
          Knee: { flexion: 140 },
          Ankle: { dorsiflexion: 30 },
          Shoulder: { flexion: 60 },
          Elbow: { flexion: 120 },
          Forearm: { pronation: 70 },
        }),
      },
      contacts: floor(...pair('sole')),
    },
  },
  {
    id: 'chair',
    figure: {
      angles: both({
        Hip: { flexion: 88, abduction: 6 },
        Knee: { flexion: 88 },
        Shoulder: { flexion: 35, abduction: 5 },
        Elbow: { flexion: 60 },
        Forearm: { pronation: 150 },
      }),
      contacts: [...on('chair', 'sit bones'), ...floor(...pair('sole'))],
    },
  },
  {
    id: 'kneeling',
    figure: {
      angles: {
        ...HANGING,
        ...both({
          Knee: { flexion: 90 },
          Ankle: { dorsiflexion: -55 },
          Shoulder: { abduction: 9 },
        }),
      },
      contacts: floor(...pair('shin')),
    },
  },
  {
    id: 'heel-seat',
    figure: {
      angles: both({
        Hip: { flexion: 82, abduction: 4 },
        Knee: { flexion: 153 },
        Ankle: { dorsiflexion: -55 },
        Shoulder: { flexion: 28, abduction: 5 },
        Elbow: { flexion: 55 },
        Forearm: { pronation: 150 },
      }),
      contacts: floor(...pair('shin')),
    },
  },
  {
    id: 'hands-and-knees',
    figure: {
      angles: {
        pelvis: { tilt: 88 },
        ...PROPPED,
        ...both({ Hip: { flexion: 88 }, Knee: { flexion: 90 }, Ankle: { dorsiflexion: -50 } }),
      },
      contacts: floor(...pair('palm'), ...pair('shin')),
    },
  },
  {
    id: 'plank',
    figure: {
      angles: {
        pelvis: { tilt: 74 },
        ...both({
          Shoulder: { flexion: 74, rotation: -10 },
          Forearm: { pronation: 160 },
          Wrist: { flexion: -85 },
          Ankle: { dorsiflexion: 12 },
          Toes: { extension: 70 },
        }),
      },
      contacts: floor(...pair('palm'), ...pair('toes')),
    },
  },
  {
    id: 'dog',
    figure: {
      angles: {
        pelvis: { tilt: 132 },
        lowBack: { flexion: -2 },
        neck: { flexion: 8 },
        ...both({
          Hip: { flexion: 98 },
          Knee: { flexion: 4 },
          Ankle: { dorsiflexion: 22 },
          Girdle: { elevation: 14 },
          Shoulder: { flexion: 172, abduction: 6, rotation: 10 },
          Forearm: { pronation: 150 },
          Wrist: { flexion: -50 },
        }),
      },
      contacts: floor(...pair('palm'), ...pair('sole')),
    },
  },
  {
    id: 'long-seat',
    figure: {
      angles: {
        ...both({
          Hip: { flexion: 88 },
          Knee: { flexion: 2 },
          Ankle: { dorsiflexion: 5 },
          Shoulder: { flexion: -12, abduction: 10 },
          Forearm: { pronation: 120 },
          Elbow: { flexion: 5 },
        }),
      },
      contacts: floor('sit bones', ...pair('heel')),
    },
  },
  {
    id: 'cross-legged',
    figure: {
      angles: {
        rightHip: { flexion: 72, abduction: 50, rotation: 82 },
        rightKnee: { flexion: 118 },
        leftHip: { flexion: 62, abduction: 56, rotation: 84 },
        leftKnee: { flexion: 132 },
        ...both({
          Ankle: { dorsiflexion: -30 },
          Shoulder: { flexion: 22, abduction: 24 },
          Elbow: { flexion: 42 },
          Forearm: { pronation: 150 },
        }),
      },
      contacts: floor('sit bones', ...pair('outer foot')),
    },
  },
  {
    id: 'prone',
    figure: {
      angles: {
        pelvis: { tilt: 90 },
        ...both({
          Ankle: { dorsiflexion: -55 },
          Shoulder: { abduction: 10 },
          Forearm: { pronation: 10 },
        }),
      },
      contacts: floor('belly', 'chest', 'forehead', ...pair('knee'), ...pair('top of foot')),
    },
  },
  {
    id: 'supine',
    figure: {
      angles: {
        pelvis: { tilt: -90 },
        ...both({
          Hip: { abduction: 12, rotation: 25 },
          Ankle: { dorsiflexion: -25 },
          Shoulder: { abduction: 30 },
          Forearm: { pronation: 10 },
        }),
      },
      contacts: floor('back', 'head', ...pair('leg')),
    },
  },
  {
    id: 'supine-knees-bent',
    figure: {
      angles: {
        pelvis: { tilt: -90 },
        ...both({
          Hip: { flexion: 48 },
          Knee: { flexion: 98 },
          Shoulder: { abduction: 18 },
          Forearm: { pronation: 140 },
        }),
      },
      contacts: floor('back', 'head', ...pair('sole')),
    },
  },
  {
    id: 'side-lying',
    figure: {
      angles: {
        pelvis: { lean: 90 },
        ...both({ Hip: { flexion: 70 }, Knee: { flexion: 80 }, Ankle: { dorsiflexion: -20 } }),
        leftShoulder: { flexion: 88 },
        rightShoulder: { flexion: 88 },
        neck: { lateralFlexion: 8 },
      },
      contacts: floor('left hip', 'left shoulder', 'left ear', 'left knee'),
    },
  },
]

export const STARTS: readonly Start[] = FORMS.map((form) => ({
  ...form,
  title: FIGURE.starts[form.id] ?? form.id,
}))

/** A starting position by its id. */
export const startOf = (id: string): Start | undefined => STARTS.find((start) => start.id === id)
