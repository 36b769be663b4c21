import { z } from 'zod'
import { School } from '@/core/card'
import { answering, problem, readBody } from '@/server/problem'
import { loadSchool, saveSchool } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The rules of the school. */
export function GET() {
  return answering(async () => Response.json({ school: await loadSchool() }))
}

const Save = z.strictObject({
  school: School,
  /** The rules as they were read. */
  from: School,
  author: z.string().trim().max(200).default(''),
  note: z.string().trim().max(2000).default(''),
})

/** Sets the rules of the school; refused when someone else set others meanwhile. */
export function PUT(request: Request) {
  return answering(async () => {
    const body = await readBody(request, Save)
    if (body instanceof Response) return body
    const { saved, school } = await saveSchool(body.school, body.from, body)
    if (saved) return Response.json({ school })
    return problem(
      409,
      'Someone changed the school’s rules meanwhile',
      'The rules were changed after you opened them. Yours were not written over them; reload to see theirs.',
      { current: school }
    )
  })
}
