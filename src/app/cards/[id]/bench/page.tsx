import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isLong, titleOf } from '@/core/card'
import { loadSchool } from '@/server/school'
import { Bench } from '@/ui/bench/Bench'
import { InBrowser } from '@/ui/shared/InBrowser'
import { loadOnce } from '../load'

export const dynamic = 'force-dynamic'

type Props = { params: Promise<{ id: string }> }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const stored = await loadOnce((await params).id).catch(() => null)
  return { title: stored ? `${titleOf(stored.card)}, bench` : 'Bench' }
}

export default async function Page({ params }: Props) {
  const { id } = await params
  const [stored, school] = await Promise.all([loadOnce(id), loadSchool()])
  if (!stored) notFound()
  const bench = <Bench key={id} stored={stored} school={school} />
  return isLong(stored.card) ? <InBrowser>{bench}</InBrowser> : bench
}
