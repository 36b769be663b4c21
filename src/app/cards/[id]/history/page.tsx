import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { titleOf } from '@/core/card'
import { cardTitles, loadCard } from '@/server/cards'
import { versionsOf } from '@/server/history'
import { loadSchool } from '@/server/school'
import { History } from '@/ui/history/History'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'History' }

type Props = { params: Promise<{ id: string }> }

export default async function Page({ params }: Props) {
  const { id } = await params
  const [stored, versions, school, titles] = await Promise.all([
    loadCard(id),
    versionsOf(id),
    loadSchool(),
    cardTitles(),
  ])
  if (!stored) notFound()
  return (
    <History
      key={stored.version}
      id={id}
      title={titleOf(stored.card)}
      versions={versions}
      school={school}
      titles={Object.fromEntries(titles)}
    />
  )
}
