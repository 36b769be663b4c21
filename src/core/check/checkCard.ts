import {
  type Card,
  cardRules,
  claimRules,
  DEFAULT_SCHOOL,
  type Finding,
  type Rule,
  runDeckRules,
  runRules,
  type School,
} from '../card'
import { breathRules, doseRules } from '../breath'
import { figureRules, sideTruths } from '../figure'
import { cautionRules } from '../cautions'
import { ladderRules } from '../ladder'
import { mistakeRules } from '../mistakes'
import { nameRules } from '../names'
import { senseRules } from '../reading'
import { sideRules } from '../sides'

/** Every rule there is: the one register. */
export const RULES: readonly Rule[] = [
  ...cardRules,
  ...claimRules,
  ...nameRules,
  ...sideRules(sideTruths),
  ...breathRules,
  ...doseRules,
  ...figureRules,
  ...senseRules,
  ...ladderRules,
  ...cautionRules,
  ...mistakeRules,
]

/**
 * Everything that the rules find on a card, worst first.
 * @param asked whether its review is asked for: what is not written is told then, too
 * @example checkCard(card).some((finding) => finding.severity === 'stop')
 */
export function checkCard(card: Card, school: School = DEFAULT_SCHOOL, asked = false): Finding[] {
  return runRules(RULES, card, school, asked)
}

/**
 * What only shows when the cards of a deck are laid side by side, by the id of the card.
 * @example checkDeck(cards).get('tree')
 */
export const checkDeck = (
  cards: readonly Card[],
  school: School = DEFAULT_SCHOOL
): Map<string, Finding[]> => runDeckRules(RULES, cards, school)
