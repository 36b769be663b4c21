import { FIGURE } from '../language'
import { USUAL_STATURE } from './body'
import { contactRows, strapRow } from './constraints'
import { pointsOf } from './parts'
import type { Standing, Unmet } from './solve'
import type { Figure, Strap } from './spec'

const TOLD_CM = 0.5

/** Straps that would have to be longer. */
function tooShort(straps: readonly Strap[], { body, placed }: Standing, stature: number): Unmet[] {
  return straps.flatMap((strap) => {
    const row = strapRow(strap, placed, body, stature)
    const cm = row ? -row.residual * stature : 0
    if (cm < TOLD_CM) return []
    const [part, on] = strap
    return [
      {
        part,
        on,
        cm,
        message: FIGURE.strapTooShort(part, on, cm),
      },
    ]
  })
}

/** How far each contact of a figure stays from what it should touch, in cm. */
export function contactGaps(
  figure: Figure,
  { body, placed }: Standing,
  stature = USUAL_STATURE
): number[] {
  return figure.contacts.map((contact) => {
    const points = pointsOf(contact.part, body)!
    const rows = contactRows(contact, 0, points, placed, body, figure.wall ?? 0, stature)
    return rows.reduce((most, row) => Math.max(most, Math.abs(row.residual)), 0) * stature
  })
}

/** What a figure asks for that a body, as it stands, does not meet. */
export function unmetIn(figure: Figure, standing: Standing, stature = USUAL_STATURE): Unmet[] {
  const apart = contactGaps(figure, standing, stature).flatMap((cm, i): Unmet[] => {
    if (cm < TOLD_CM) return []
    const { part, on } = figure.contacts[i]!
    return [{ part, on, cm, message: FIGURE.away(part, on, cm) }]
  })
  return [...apart, ...tooShort(figure.straps, standing, stature)]
}
