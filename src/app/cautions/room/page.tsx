import type { Metadata } from 'next'
import { RoomPage } from '@/ui/cautions/RoomPage'

export const metadata: Metadata = { title: 'Who is in the room' }

export default function Page() {
  return <RoomPage />
}
