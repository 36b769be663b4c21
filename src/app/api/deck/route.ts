import { storedDeck } from '@/server/cards'
import { run } from '@/server/jobs/pool'
import { answering } from '@/server/problem'
import { loadSchool } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The whole deck with the school's rules, for work that looks at every card. */
export function GET() {
  return answering(async () => {
    const [deck, school] = await Promise.all([storedDeck(), loadSchool()])
    return new Response(await run('deckJson', { deck, more: { school } }), {
      headers: { 'content-type': 'application/json; charset=utf-8' },
    })
  })
}
