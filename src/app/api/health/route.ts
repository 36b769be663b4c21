import { db } from '@/server/db'
import { answering } from '@/server/problem'

export const dynamic = 'force-dynamic'

export function GET() {
  return answering(async () => {
    await db().raw('SELECT 1')
    return Response.json({ ok: true })
  })
}
