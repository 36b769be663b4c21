import type { Metadata } from 'next'
import { DeckLadders } from '@/ui/ladder/DeckLadders'

export const metadata: Metadata = { title: 'Ladders' }

export default function Page() {
  return <DeckLadders />
}
