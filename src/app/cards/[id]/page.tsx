import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { titleOf } from '@/core/card'
import { sheetOf } from '@/core/print'
import { cardTitles, loadCard } from '@/server/cards'
import { loadSchool } from '@/server/school'
import { CardPage } from '@/ui/cardView/CardPage'
import { CardSheet } from '@/ui/cardView/CardSheet'
import { OneSide } from '@/ui/cardView/OneSide'

export const dynamic = 'force-dynamic'

type Props = { params: Promise<{ id: string }> }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stored = await loadCard((await params).id).catch(() => null)
  return { title: stored ? titleOf(stored.card) : 'Card' }
}

export default async function Page({ params }: Props) {
  const { id } = await params
  const [stored, school, titles] = await Promise.all([loadCard(id), loadSchool(), cardTitles()])
  if (!stored) notFound()
  const sheet = sheetOf(stored.card, school, titles)
  const drawn = <CardSheet sheet={sheet} />
  return (
    <CardPage id={id}>
      {sheet.sided ? <OneSide first={sheet.firstSide}>{drawn}</OneSide> : drawn}
    </CardPage>
  )
}
