import type { Metadata } from 'next'
import { Files } from '@/ui/files/Files'

export const metadata: Metadata = { title: 'In and out' }

export default function Page() {
  return <Files />
}
