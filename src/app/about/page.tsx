import type { Metadata } from 'next'
import { AboutPage } from '@/ui/chrome/AboutPage'

export const dynamic = 'force-static'
export const metadata: Metadata = { title: 'About' }

export default function Page() {
  return <AboutPage />
}
