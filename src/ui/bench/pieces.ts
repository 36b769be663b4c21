import type { LineUnderstood } from '@/workers/words'

interface Piece {
  text: string
  asks?: string[]
  unread?: boolean
}

/** A line in pieces: what an instruction was read from, what was not understood, and the rest. */
export function piecesOf({ text, asks, notUnderstood }: LineUnderstood): Piece[] {
  const spans: { from: number; until: number; words: string | null }[] = [
    ...asks,
    ...notUnderstood.map(([from, until]) => ({ from, until, words: null })),
  ]
  const edges = [
    ...new Set([0, text.length, ...spans.flatMap(({ from, until }) => [from, until])]),
  ].sort((a, b) => a - b)
  const pieces: Piece[] = []
  edges.slice(0, -1).forEach((from, i) => {
    const until = edges[i + 1]!
    const over = spans.filter((span) => span.from < until && span.until > from)
    const unread = over.some(({ words }) => words === null)
    const own = over.flatMap(({ words }) => words ?? [])
    const before = pieces.at(-1)
    const same =
      before && !unread && !before.unread && own.length > 0 && before.asks?.join() === own.join()
    if (same) before.text += text.slice(from, until)
    else
      pieces.push({
        text: text.slice(from, until),
        ...(unread ? { unread } : own.length > 0 ? { asks: own } : {}),
      })
  })
  // The caption stands under the first piece of what it was read from.
  const told = new Set<string>()
  return pieces.map((piece) => {
    if (!piece.asks) return piece
    const fresh = piece.asks.filter((words) => !told.has(words))
    piece.asks.forEach((words) => told.add(words))
    return { ...piece, asks: fresh }
  })
}
