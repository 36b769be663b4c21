import { answering } from '@/server/problem'
import { searchCards } from '@/server/search'

export function GET(request: Request) {
  return answering(async () =>
    Response.json({ ids: await searchCards(new URL(request.url).searchParams.get('q') ?? '') })
  )
}
