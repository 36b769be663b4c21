import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { cardsNamed, isLong, titleOf } from '@/core/card'
import { rungCard } from '@/core/ladder'
import { cardTitles } from '@/server/cards'
import { loadSchool } from '@/server/school'
import { CardPage } from '@/ui/cardView/CardPage'
import { LongSheet } from '@/ui/cardView/LongSheet'
import { ReadSheet } from '@/ui/cardView/ReadSheet'
import { loadOnce } from './load'

export const dynamic = 'force-dynamic'

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ rung?: string }> }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stored = await loadOnce((await params).id).catch(() => null)
  return { title: stored ? titleOf(stored.card) : 'Card' }
}

export default async function Page({ params, searchParams }: Props) {
  const [{ id }, { rung }] = await Promise.all([params, searchParams])
  const [stored, school] = await Promise.all([loadOnce(id), loadSchool()])
  if (!stored) notFound()
  const titles = await cardTitles(cardsNamed(stored.card))
  const onRung = stored.card.ladder.some((each) => each.id === rung) ? rung : undefined
  const card = onRung === undefined ? stored.card : rungCard(stored.card, onRung)
  const Sheet = isLong(card) ? LongSheet : ReadSheet
  return (
    <CardPage id={id} rung={onRung}>
      <Sheet card={card} school={school} titles={titles} />
    </CardPage>
  )
}
