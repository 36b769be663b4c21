import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { titleOf } from '@/core/card'
import { rungCard } from '@/core/ladder'
import { sheetOf } from '@/core/print'
import { cardTitles, loadCard } from '@/server/cards'
import { loadSchool } from '@/server/school'
import { CardPage } from '@/ui/cardView/CardPage'
import { CardSheet } from '@/ui/cardView/CardSheet'
import { OneSide } from '@/ui/cardView/OneSide'

export const dynamic = 'force-dynamic'

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ rung?: string }> }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stored = await loadCard((await params).id).catch(() => null)
  return { title: stored ? titleOf(stored.card) : 'Card' }
}

export default async function Page({ params, searchParams }: Props) {
  const [{ id }, { rung }] = await Promise.all([params, searchParams])
  const [stored, school, titles] = await Promise.all([loadCard(id), loadSchool(), cardTitles()])
  if (!stored) notFound()
  const onRung = stored.card.ladder.some((each) => each.id === rung) ? rung : undefined
  const card = onRung === undefined ? stored.card : rungCard(stored.card, onRung)
  const sheet = sheetOf(card, school, titles)
  const drawn = <CardSheet sheet={sheet} />
  return (
    <CardPage id={id} rung={onRung}>
      {sheet.sided ? <OneSide first={sheet.firstSide}>{drawn}</OneSide> : drawn}
    </CardPage>
  )
}
