import { type Card, type Caution, isSided, type Part, partsOf } from '../card'
import { inEach, type LineContext, rememberOf } from '../language'

/** A wording of a card that is mirrored. */
export interface SidedLine extends LineContext {
  where: string
  text: string
  field: Part['field']
  /** The part of the card that says it. */
  owner: Part['owners'][number]
}

function placeOf({ of, field, owners }: Part): LineContext['place'] {
  if (of === 'caution' || of === 'between') return of
  if (of !== 'step' || owners.some((owner) => owner.of === 'rung')) return 'other'
  return field === 'exit' ? 'exit' : 'enter'
}

const lineOf = rememberOf((part: Part): readonly SidedLine[] => {
  const text = part.value as string
  if (!text) return []
  const [owner] = part.owners
  const { condition } = owner!.value as Partial<Caution>
  return [
    {
      where: part.path,
      text,
      field: part.field,
      owner: owner!,
      place: placeOf(part),
      ...(condition === undefined ? {} : { condition }),
    },
  ]
})

/** Every wording of a card that is mirrored, with its path. */
export const sidedLines = rememberOf((card: Card): readonly SidedLine[] =>
  lines(partsOf(card, isSided))
)
const lines = inEach(() => lineOf)
