import type { z } from 'zod'
import { Card } from './card'
import { LIMITS } from './limits'

/** A number past this is no angle, no length and no time. */
const FAR = 1e6

type Refuse = (path: PropertyKey[], message: string) => void

/** Looks through all data of a card. @returns its characters, and those of its longest text */
function measure(card: unknown, refuse: Refuse) {
  let characters = 0
  let longest: { path: PropertyKey[]; length: number } = { path: [], length: 0 }
  let values = 0
  const look = (value: unknown, path: PropertyKey[], inFigure: boolean) => {
    if (typeof value === 'string') {
      characters += value.length
      if (value.length > longest.length) longest = { path, length: value.length }
      values += 1
    } else if (typeof value === 'number') {
      if (Math.abs(value) > FAR) refuse(path, 'is a number that nothing on a card can have')
      values += 1
    } else if (typeof value === 'object' && value !== null) {
      if (Array.isArray(value) && value.length > LIMITS.list)
        return refuse(path, `has more than ${LIMITS.list} entries; split the card`)
      for (const [key, each] of Object.entries(value)) {
        const figure = key === 'figure' && !inFigure
        if (figure) values = 0
        look(each, [...path, Array.isArray(value) ? Number(key) : key], inFigure || figure)
        if (figure && values > LIMITS.figureValues)
          refuse([...path, key], `holds more than ${LIMITS.figureValues} numbers and words`)
      }
    }
  }
  look(card, [], false)
  return { characters, longest }
}

/**
 * A card as it is taken in, from a file or a page: as the model says, and not more of anything
 * than the limits allow. What is stored already is read by `Card` alone.
 */
export const CardIn = Card.superRefine((card, context) => {
  const refuse: Refuse = (path, message) =>
    context.addIssue({ code: 'custom', path: path as (string | number)[], message })
  const { characters, longest } = measure(card, refuse)
  if (characters > LIMITS.words)
    refuse(
      longest.path,
      `is the longest text of a card with ${characters} characters; a card takes ${LIMITS.words}. Split the card`
    )
}) as z.ZodType<Card, z.input<typeof Card>>

/** Where the longest text of a card stands, and how long it is. */
export const longestText = (card: Card) => measure(card, () => undefined).longest
