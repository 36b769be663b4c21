import { Card, upgraded } from '@/core/card'

/** A stored body as text, with the format that it was stored in. */
export interface StoredText {
  body: unknown
  format: number
}

/** A card from its stored body, as data or as text, whatever format that was stored in. @throws ZodError */
export const storedBody = ({ body, format }: StoredText): Card =>
  Card.parse(upgraded(typeof body === 'string' ? JSON.parse(body) : body, format))
