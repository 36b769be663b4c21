import { binnedCards, emptyBin } from '@/server/bin'
import { answering } from '@/server/problem'

export const dynamic = 'force-dynamic'

export function GET() {
  return answering(async () => Response.json({ cards: await binnedCards() }))
}

/** Empties the bin for good. */
export function DELETE() {
  return answering(async () => Response.json({ gone: await emptyBin() }))
}
