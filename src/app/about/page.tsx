import type { Metadata } from 'next'
import { AboutPage } from '@/ui/chrome/AboutPage'

export const metadata: Metadata = { title: 'About' }

export default function Page() {
  return <AboutPage />
}
