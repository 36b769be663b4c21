import { type Card, LIMITS, titleOf } from '../card'
import { SAY } from '../language'
import { CardFileError, readCardBytes, writeMarkdown } from '../formats'
import { loopsOf } from './loops'

/** A file that is to be taken in. */
export interface ImportFile {
  name: string
  bytes: Uint8Array
}

/** What will become of one file. */
export interface ImportItem {
  file: string
  outcome: 'new' | 'changed' | 'same' | 'refused'
  /** The card, unless the file is refused. */
  card?: Card
  title: string
  /** Why it is refused: `file:line: message`. */
  why: string[]
  /** What is told of it although it is taken. */
  notes?: string[]
  /** The card's text in the deck and in the file, when it is changed. */
  before?: string
  after?: string
}

/**
 * Says what an import would do, without doing it.
 * @param deck the current cards by id
 * @param inBin ids of cards that lie in the bin
 */
export function planImport(
  files: readonly ImportFile[],
  deck: ReadonlyMap<string, Card>,
  inBin: ReadonlySet<string> = new Set()
): ImportItem[] {
  const items = files.map((file) => readOne(file, deck, inBin))
  refuseDoubles(items)
  noteLoops(items, deck)
  return items
}

function refused(file: string, why: string[]): ImportItem {
  return { file, outcome: 'refused', title: '', why }
}

function readOne(
  { name, bytes }: ImportFile,
  deck: ReadonlyMap<string, Card>,
  inBin: ReadonlySet<string>
): ImportItem {
  if (bytes.length > LIMITS.fileBytes)
    return refused(name, [`${name}:1: ${SAY.deck.tooLarge(LIMITS.fileBytes)}`])
  try {
    const card = readCardBytes(bytes)
    const title = titleOf(card)
    if (inBin.has(card.id)) return refused(name, [`${name}:1: ${SAY.deck.inBin(card.id)}`])
    const current = deck.get(card.id)
    if (!current) return { file: name, outcome: 'new', card, title, why: [] }
    const before = writeMarkdown(current)
    const after = writeMarkdown(card)
    return before === after
      ? { file: name, outcome: 'same', card, title, why: [] }
      : { file: name, outcome: 'changed', card, title, why: [], before, after }
  } catch (error) {
    // Whatever it is that stops the reading of this file, the one beside it is taken.
    if (!(error instanceof CardFileError)) return refused(name, [`${name}:1: ${SAY.deck.noCard}`])
    return refused(
      name,
      error.problems
        .slice(0, LIMITS.problems)
        .map(({ line, message }) => `${name}:${line}: ${message}`)
    )
  }
}

function refuse(item: ImportItem, message: string): void {
  item.outcome = 'refused'
  item.why.push(`${item.file}:1: ${message}`)
  delete item.card
  delete item.before
  delete item.after
}

/** Two files with one id contradict each other; neither is taken. */
function refuseDoubles(items: ImportItem[]): void {
  const byId = new Map<string, ImportItem[]>()
  for (const item of items)
    if (item.card) byId.set(item.card.id, [...(byId.get(item.card.id) ?? []), item])
  for (const [id, twins] of byId)
    if (twins.length > 1)
      for (const item of twins) {
        const other = twins.find((each) => each !== item)!
        refuse(item, SAY.deck.twice(id, other.file))
      }
}

/** Counter poses that lead in a circle are told; the card is taken. */
function noteLoops(items: ImportItem[], deck: ReadonlyMap<string, Card>): void {
  const counters = new Map([...deck].map(([id, card]) => [id, card.counter]))
  for (const { card } of items) if (card) counters.set(card.id, card.counter)
  const loops = loopsOf(counters)
  for (const item of items) {
    const loop = item.card && item.outcome !== 'same' && loops.get(item.card.id)
    if (loop) item.notes = [SAY.deck.circle([...loop, loop[0]!])]
  }
}
