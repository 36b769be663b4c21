import { z } from 'zod'
import { bringBack, loadVersion } from '@/server/history'
import { answering, problem, readBody } from '@/server/problem'

type Context = { params: Promise<{ id: string; version: string }> }

const missing = () => problem(404, 'No such version', 'There is no such version of this card.')

export function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const { id, version } = await params
    const card = /^\d{1,9}$/.test(version) ? await loadVersion(id, Number(version)) : null
    return card ? Response.json({ card }) : missing()
  })
}

const Who = z.strictObject({ author: z.string().trim().max(200).default('') })

/** Brings this version back as a new one. */
export function POST(request: Request, { params }: Context) {
  return answering(async () => {
    const { id, version } = await params
    const body = await readBody(request, Who)
    if (body instanceof Response) return body
    if (!/^\d{1,9}$/.test(version)) return missing()
    const result = await bringBack(id, Number(version), body.author)
    if (result.outcome === 'saved') return Response.json({ version: result.version })
    if (result.outcome === 'missing') return missing()
    return problem(
      409,
      'Someone saved this card meanwhile',
      'Nothing was brought back. Look at the newest version first.'
    )
  })
}
