import type { Metadata } from 'next'
import { MatrixPage } from '@/ui/cautions/MatrixPage'

export const metadata: Metadata = { title: 'Cautions' }

export default function Page() {
  return <MatrixPage />
}
