import { answering } from '@/server/problem'
import { schoolVersions } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The school's rules as they were, the newest first. */
export function GET() {
  return answering(async () => Response.json({ versions: await schoolVersions() }))
}
