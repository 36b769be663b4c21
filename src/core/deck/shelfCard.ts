import type { Build, Card, SectionId, STATUSES } from '../card'

export type Status = (typeof STATUSES)[number]

/** One card as the shelf shows it. */
export interface ShelfCard extends Pick<
  Card,
  'id' | 'number' | 'base' | 'spine' | 'manner' | 'sides'
> {
  title: string
  /** The body that is drawn, where it is not the usual one. */
  build?: Build
  sanskrit: string
  aliases: string
  status: Status
  /** The sections that are not written yet, in the order of the work. */
  unwritten: SectionId[]
  drawn: boolean
  version: number
  /** What its picture is addressed by; another card has another. */
  picture: string
}
