/** The closed lists of the craft. Every screen, file and check takes its words from here. */

export const BASES = [
  'standing',
  'kneeling',
  'seated',
  'prone',
  'supine',
  'side-lying',
  'hands',
  'inverted',
] as const
export const SPINES = ['lengthen', 'forward', 'back', 'side', 'twist'] as const
export const MANNERS = ['held', 'moving', 'restorative'] as const
export const BREATHS = ['in', 'out', 'hold-in', 'hold-out', 'free'] as const
export const SIDES = ['left', 'right'] as const
/** The side across. Here, and not beside the schema, which a page that only shows does not load. */
export const otherSide = (side: (typeof SIDES)[number]): (typeof SIDES)[number] =>
  side === 'left' ? 'right' : 'left'
export const ON = ['both', 'first-only', 'second-only', 'left-only', 'right-only'] as const
/** Ground up: the order in which alignment is taught. */
export const REGIONS = [
  'feet',
  'ankles',
  'knees',
  'hips and pelvis',
  'low back',
  'ribs and upper back',
  'shoulders',
  'elbows',
  'wrists and hands',
  'neck and head',
  'gaze',
] as const
/** What a form asks of the body, in the order in which it is told. */
export const DEMANDED = ['range', 'strength', 'balance', 'hands', 'head', 'time'] as const
export type Demanded = (typeof DEMANDED)[number]
export const VERDICTS = ['avoid', 'ask-first', 'change', 'fine'] as const
export const BASES_OF_CLAIM = ['tradition', 'experience', 'published'] as const
/** How far a card is, in the order of the work. */
/** Short names of the regions, as they are read in files; common practice, no source. */
export const REGION_NAMES: Readonly<Record<string, (typeof REGIONS)[number]>> = {
  foot: 'feet',
  toes: 'feet',
  ankle: 'ankles',
  knee: 'knees',
  hip: 'hips and pelvis',
  hips: 'hips and pelvis',
  pelvis: 'hips and pelvis',
  'lower back': 'low back',
  rib: 'ribs and upper back',
  ribs: 'ribs and upper back',
  chest: 'ribs and upper back',
  'upper back': 'ribs and upper back',
  shoulder: 'shoulders',
  elbow: 'elbows',
  wrist: 'wrists and hands',
  wrists: 'wrists and hands',
  hand: 'wrists and hands',
  hands: 'wrists and hands',
  neck: 'neck and head',
  head: 'neck and head',
  eyes: 'gaze',
  look: 'gaze',
}
export const STATUSES = ['draft', 'review', 'approved'] as const
/** Whether a card of a status is to be whole: its review is asked for, or done. */
export const isAsked = (status: string): boolean => status !== 'draft'
export const SEVERITIES = ['stop', 'mend', 'note'] as const

/** What a side is usually named by; a school may word it otherwise. */
export const SIDE_NAMED_BY = [
  'front leg',
  'lifted leg',
  'bent knee',
  'side bent towards',
  'direction turned',
] as const

/** Props offered while writing; a card may name others. */
export const PROPS = [
  'block',
  'strap',
  'bolster',
  'blanket',
  'chair',
  'wall',
  'heel pad',
  'folded mat',
  'cushion',
] as const

/** What is drawn on a figure for a cue. */
export const MARK_KINDS = [
  'press',
  'reach',
  'draw-in',
  'turn',
  'look',
  'plumb',
  'arc',
  'level',
  'spread',
] as const

/** Builds of the bodies that are drawn. */
export const BUILDS = ['usual', 'slight', 'long', 'broad', 'heavy', 'older'] as const
export type Build = (typeof BUILDS)[number]

/** How a school’s builds take turns over its deck. */
export const TURNS_OF_BUILDS = ['card', 'base'] as const

/** What the body does in a form that a caution can follow from; each a number with a unit. */
export const TRAITS = {
  'head below heart': 'cm',
  'weight on head': '%',
  'loaded neck': '%',
  'neck back': 'deg',
  'hips above heart': 'cm',
  'loaded rounding': 'deg',
  'forward bend': 'deg',
  'back bend': 'deg',
  'side bend': 'deg',
  turn: 'deg',
  'closed twist': 'deg',
  'arms overhead': 'deg',
  'knee bend': 'deg',
  'loaded knee bend': 'deg',
  'weight on knees': '%',
  'hip opening': 'deg',
  'wide legs': 'deg',
  'deep hip bend': 'deg',
  'straight-leg raise': 'deg',
  'ankle bend': 'deg',
  'weight on wrists': '%',
  'weight on shoulders': '%',
  'belly pressed': '%',
  'lying on the back': '%',
  'lying on the front': '%',
  'one-leg balance': '%',
  balance: '%',
  'belly work': '%',
  'breath held': 's',
  stay: 's',
} as const
export type Trait = keyof typeof TRAITS
export const TRAIT_NAMES = Object.keys(TRAITS) as [Trait, ...Trait[]]

/** What a rule about cautions stands on. */
export const BASES_OF_RULE = ['common practice', 'published', 'school'] as const
