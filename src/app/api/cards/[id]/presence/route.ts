import { z } from 'zod'
import { forgetTab, noteTab } from '@/server/presence'
import { answering, readBody } from '@/server/problem'

type Context = { params: Promise<{ id: string }> }

const Here = z.strictObject({
  tab: z.string().min(1).max(60),
  who: z.string().max(200).default(''),
  gone: z.boolean().default(false),
})

export function POST(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const body = await readBody(request, Here)
    if (body instanceof Response) return body
    if (body.gone) {
      await forgetTab(id, body.tab)
      return Response.json({ others: [] })
    }
    return Response.json({ others: await noteTab(id, body.tab, body.who) })
  })
}
