import type { ImportFile, ImportItem } from '@/core/deck'
import { UploadError } from './archive'
import { createCard, saveCard, type StoredRow, storedDeck } from './cards'
import { inTurn } from './counters'
import { db } from './db'
import { run } from './jobs/pool'

/** What taking files in would do, against the deck as it was. */
export interface Plan {
  items: ImportItem[]
  deck: StoredRow[]
}

/**
 * Says what taking these files in would do. Nothing is written.
 * @throws UploadError when the upload as a whole cannot be used
 */
export async function plannedImport(uploads: ImportFile[]): Promise<Plan> {
  const [deck, binned] = await Promise.all([
    storedDeck(),
    db()('cards').whereNotNull('deleted_at').select('id'),
  ])
  const bin = binned.map((row: { id: string }) => row.id)
  const told = await run('plan', { uploads, deck, bin })
  if ('refused' in told) throw new UploadError(told.refused)
  return { items: told.value, deck }
}

/** Files that can no longer be taken in, as someone saved one of their cards meanwhile. */
export class MeanwhileError extends Error {}

/**
 * Takes files in as it was planned, all in one transaction: the new and the changed cards, or, when
 * something goes wrong, none.
 * @param leaveOut names of files that are not to be taken
 * @param onProgress told after each card
 * @returns how many cards are new and changed
 * @throws MeanwhileError
 */
export async function carryOut(
  { items, deck }: Plan,
  author: string,
  leaveOut: ReadonlySet<string>,
  onProgress: (done: number, total: number) => void = () => undefined
): Promise<{ added: number; changed: number }> {
  const versions = new Map(deck.map(({ id, version }) => [id, version]))
  const taken = items
    .filter(
      ({ outcome, file }) => outcome !== 'same' && outcome !== 'refused' && !leaveOut.has(file)
    )
    // Always in one order: two imports of the same cards would else wait for each other.
    .sort((a, b) => (a.card!.id < b.card!.id ? -1 : 1))
  let added = 0
  let changed = 0
  await db().transaction(async (trx) => {
    await inTurn(trx)
    for (const { card, file } of taken) {
      // Of a card that cannot be read the plan knows nothing; a file mends it.
      const from = versions.get(card!.id)
      if (from === undefined) {
        if (!(await createCard(card!, author, `from ${file}`, trx)))
          throw new MeanwhileError(`A card “${card!.id}” was added meanwhile.`)
        added += 1
      } else {
        const result = await saveCard(card!, from, author, `from ${file}`, trx)
        if (result.outcome !== 'saved')
          throw new MeanwhileError(`The card “${card!.id}” was saved meanwhile.`)
        changed += 1
      }
      onProgress(added + changed, taken.length)
    }
  })
  // The planner learns the deck's new size at once, not at the next vacuum.
  await db().raw('ANALYZE cards, card_versions, search_words')
  return { added, changed }
}

/** What taking these files in would do. */
export const previewImport = async (uploads: ImportFile[]): Promise<ImportItem[]> =>
  (await plannedImport(uploads)).items

/** Plans an import and carries it out. @throws UploadError, MeanwhileError */
export const importFiles = async (
  uploads: ImportFile[],
  ...how: Parameters<typeof carryOut> extends [Plan, ...infer Rest] ? Rest : never
) => carryOut(await plannedImport(uploads), ...how)
