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
export const VERDICTS = ['avoid', 'ask-first', 'change', 'fine'] as const
export const BASES_OF_CLAIM = ['tradition', 'experience', 'published'] as const
/** How far a card is, in the order of the work. */
export const STATUSES = ['draft', 'review', 'approved'] as const
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

/** How a base is said in a heading. */
export const BASE_TITLES: Record<(typeof BASES)[number], string> = {
  standing: 'Standing',
  kneeling: 'Kneeling',
  seated: 'Seated',
  prone: 'Prone, on the front',
  supine: 'Supine, on the back',
  'side-lying': 'Side-lying',
  hands: 'On the hands',
  inverted: 'Inverted',
}

export const BREATH_WORDS: Record<(typeof BREATHS)[number], string> = {
  in: 'in',
  out: 'out',
  'hold-in': 'hold in',
  'hold-out': 'hold out',
  free: 'free',
}

export const VERDICT_WORDS: Record<(typeof VERDICTS)[number], string> = {
  avoid: 'avoid',
  'ask-first': 'ask first',
  change: 'change',
  fine: 'fine',
}

export const ON_WORDS: Record<(typeof ON)[number], string> = {
  both: 'both sides',
  'first-only': 'first side only',
  'second-only': 'second side only',
  'left-only': 'left side only',
  'right-only': 'right side only',
}

export const STATUS_WORDS: Record<(typeof STATUSES)[number], string> = {
  draft: 'draft',
  review: 'in review',
  approved: 'approved',
}

/** Said above the cautions of every card, until a school words it otherwise. */
export const CAUTION_LEAD =
  'Usual cautions, no diagnosis: what the student’s own clinician says comes first, and so do local rules. Any pain, tingling, pinching or shortness of breath: come out.'
