import type { Metadata } from 'next'
import { PolicyPage } from '@/ui/cautions/PolicyPage'

export const metadata: Metadata = { title: 'The policy' }

export default function Page() {
  return <PolicyPage />
}
