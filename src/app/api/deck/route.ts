import { loadDeck } from '@/server/cards'
import { answering } from '@/server/problem'
import { loadSchool } from '@/server/school'

export const dynamic = 'force-dynamic'

/** The whole deck with the school's rules, for work that looks at every card. */
export function GET() {
  return answering(async () => {
    const [deck, school] = await Promise.all([loadDeck(), loadSchool()])
    return Response.json({
      school,
      cards: deck.map(({ card, version, status }) => ({ card, version, status })),
    })
  })
}
