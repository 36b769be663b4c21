import type { Card } from '@/core/card'
import { type ImportItem, planImport, type ImportFile } from '@/core/deck'
import { createCard, loadDeck, saveCard } from './cards'
import { db } from './db'

async function currentDeck(): Promise<{
  deck: Map<string, Card>
  versions: Map<string, number>
  bin: Set<string>
}> {
  const stored = await loadDeck()
  const binned = await db()('cards').whereNotNull('deleted_at').select('id')
  return {
    deck: new Map(stored.map(({ card }) => [card.id, card])),
    versions: new Map(stored.map(({ card, version }) => [card.id, version])),
    bin: new Set(binned.map((row: { id: string }) => row.id)),
  }
}

/** What taking these files in would do. Nothing is written. */
export async function previewImport(files: ImportFile[]): Promise<ImportItem[]> {
  const { deck, bin } = await currentDeck()
  return planImport(files, deck, bin)
}

/**
 * Takes files in, all in one transaction: the new and the changed cards, or, when something
 * goes wrong, none.
 * @param leaveOut names of files that are not to be taken
 * @param onProgress told after each card
 * @returns how many cards are new and changed
 */
export async function importFiles(
  files: ImportFile[],
  author: string,
  leaveOut: ReadonlySet<string>,
  onProgress: (done: number, total: number) => void = () => undefined
): Promise<{ added: number; changed: number }> {
  const { deck, versions, bin } = await currentDeck()
  const items = planImport(files, deck, bin).filter(
    (item) => (item.outcome === 'new' || item.outcome === 'changed') && !leaveOut.has(item.file)
  )
  let added = 0
  let changed = 0
  await db().transaction(async (trx) => {
    for (const { card, file, outcome } of items) {
      if (outcome === 'new') {
        if (!(await createCard(card!, author, `from ${file}`, trx)))
          throw new Error(`A card “${card!.id}” was added meanwhile.`)
        added += 1
      } else {
        const result = await saveCard(card!, versions.get(card!.id)!, author, `from ${file}`, trx)
        if (result.outcome !== 'saved')
          throw new Error(`The card “${card!.id}” was saved meanwhile.`)
        changed += 1
      }
      onProgress(added + changed, items.length)
    }
  })
  // The planner learns the deck's new size at once, not at the next vacuum.
  await db().raw('ANALYZE cards, card_versions, search_words')
  return { added, changed }
}
