import type { Metadata } from 'next'
import { Bin } from '@/ui/bin/Bin'

export const metadata: Metadata = { title: 'Bin' }

export default function Page() {
  return <Bin />
}
