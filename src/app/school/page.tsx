import type { Metadata } from 'next'
import { SchoolPage } from '@/ui/school/SchoolPage'

export const metadata: Metadata = { title: 'School' }

export default function Page() {
  return <SchoolPage />
}
