import type { Metadata } from 'next'
import { Desk } from '@/ui/desk/Desk'

export const metadata: Metadata = { title: 'Findings' }

export default function Page() {
  return <Desk />
}
