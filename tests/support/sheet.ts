import { LABELS } from '@/core/language'
import { type Block, type Item, plainRows, type Row, type Sheet } from '@/core/print'

/** Parts of a sheet by their name, for tests that look at one of them. */

const blocksAt = (sheet: Sheet, id: string): Block[] =>
  sheet.parts.find((part) => part.id === id)?.blocks ?? []

export const rowsAt = (sheet: Sheet, id: string): Row[] =>
  blocksAt(sheet, id).flatMap((block) => (block.kind === 'spread' ? block.rows : []))

export const itemsAt = (sheet: Sheet, id: string): Item[] =>
  blocksAt(sheet, id).flatMap((block) =>
    block.kind === 'list' || block.kind === 'rungs' ? block.items : []
  )

/** Everything that a part says, a line each. */
export const textAt = (sheet: Sheet, id: string): string =>
  blocksAt(sheet, id)
    .flatMap((block) =>
      plainRows(block, { sided: sheet.sided, phase: (breath) => LABELS.breath[breath] })
    )
    .map(({ left, middle, right }) => [left, middle, right].filter(Boolean).join(' | '))
    .join('\n')
