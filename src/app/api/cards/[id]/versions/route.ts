import { versionsOf } from '@/server/history'
import { answering } from '@/server/problem'

type Context = { params: Promise<{ id: string }> }

export function GET(_request: Request, { params }: Context) {
  return answering(async () => Response.json({ versions: await versionsOf((await params).id) }))
}
