import { Shelf } from '@/ui/shelf/Shelf'

/** The page itself is static; the cards come from /api/shelf. */
export const dynamic = 'force-static'

export default function Page() {
  return <Shelf />
}
