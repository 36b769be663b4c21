import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { cardTitles } from '@/server/cards'
import { versionsOf } from '@/server/history'
import { loadSchool } from '@/server/school'
import { History } from '@/ui/history/History'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'History' }

type Props = { params: Promise<{ id: string }> }

export default async function Page({ params }: Props) {
  const { id } = await params
  // The card itself is not read: its history is what helps when it cannot be.
  const [versions, school, titles] = await Promise.all([versionsOf(id), loadSchool(), cardTitles()])
  const title = titles.get(id)
  if (title === undefined) notFound()
  return (
    <History
      key={versions[0]?.version}
      id={id}
      title={title}
      versions={versions}
      school={school}
      titles={Object.fromEntries(titles)}
    />
  )
}
