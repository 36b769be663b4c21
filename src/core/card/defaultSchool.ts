import type { School } from './school'
import { LABELS } from '../language'

/** What a school does not say for itself. */
export const SCHOOL_DEFAULTS = {
  firstSide: 'right',
  pace: { in: 4, out: 4 },
  speechRate: 120,
  retention: false,
  turning: 'counterclockwise',
  cautionLead: LABELS.cautionLead,
  paper: 'A5',
  buildsBy: 'card',
  consent: LABELS.consent,
} as const

/** The rules that hold until a school sets its own. */
export const DEFAULT_SCHOOL: School = {
  name: '',
  conventions: {},
  severities: {},
  weights: {},
  signs: { up: [], down: [] },
  conditions: [],
  policy: { rules: [], without: [] },
  builds: ['usual'],
  ...SCHOOL_DEFAULTS,
}

/** Which side is led first: the card's choice, else the school's. */
export function firstSideOf(
  card: { firstSide?: 'left' | 'right' },
  school: Pick<School, 'firstSide'> = DEFAULT_SCHOOL
): 'left' | 'right' {
  return card.firstSide ?? school.firstSide
}
