import { z } from 'zod'
import { Card, FORMAT_VERSION } from '../card'

/** The JSON Schema of a card file in JSON (docs/card.schema.json). */
export function cardSchema(): Record<string, unknown> {
  const file = z.strictObject({
    notula: z.literal(FORMAT_VERSION).describe('Version of the card format.'),
    ...Card.shape,
  })
  return { title: 'Notula card', ...z.toJSONSchema(file, { io: 'input' }) }
}
