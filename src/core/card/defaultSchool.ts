import type { School } from './school'
import { CAUTION_LEAD } from './words'

/** The rules that hold until a school sets its own. */
export const DEFAULT_SCHOOL: School = {
  name: '',
  firstSide: 'right',
  pace: { in: 4, out: 4 },
  speechRate: 120,
  retention: false,
  turning: 'counterclockwise',
  conventions: {},
  cautionLead: CAUTION_LEAD,
  paper: 'A5',
  severities: {},
}

/** Which side is led first: the card's choice, else the school's. */
export function firstSideOf(
  card: { firstSide?: 'left' | 'right' },
  school: Pick<School, 'firstSide'> = DEFAULT_SCHOOL
): 'left' | 'right' {
  return card.firstSide ?? school.firstSide
}
