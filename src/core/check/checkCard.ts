import {
  type Card,
  cardRules,
  DEFAULT_SCHOOL,
  type Finding,
  type Rule,
  runRules,
  type School,
} from '../card'
import { breathRules } from '../breath'
import { figureRules, sideTruths } from '../figure'
import { ladderRules } from '../ladder'
import { nameRules } from '../names'
import { senseRules } from '../reading'
import { sideRules } from '../sides'

/** Every rule there is: the one register. */
export const RULES: readonly Rule[] = [
  ...cardRules,
  ...nameRules,
  ...sideRules(sideTruths),
  ...breathRules,
  ...figureRules,
  ...senseRules,
  ...ladderRules,
]

/**
 * Everything that the rules find on a card, worst first.
 * @param asked whether its review is asked for: what is not written is told then, too
 * @example checkCard(card).some((finding) => finding.severity === 'stop')
 */
export function checkCard(card: Card, school: School = DEFAULT_SCHOOL, asked = false): Finding[] {
  return runRules(RULES, card, school, asked)
}
