import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { FigureBench } from '@/ui/figure/FigureBench'
import { loadOnce } from '../load'

export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: 'Figure' }

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ of?: string }> }

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params
  const stored = await loadOnce(id)
  if (!stored) notFound()
  const { of } = await searchParams
  return (
    <FigureBench
      key={`${id} ${stored.version}`}
      card={stored.card}
      version={stored.version}
      of={of}
    />
  )
}
