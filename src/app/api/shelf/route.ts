import { answering } from '@/server/problem'
import { packedShelf } from '@/server/shelf'

export const dynamic = 'force-dynamic'

/** The shelf as JSON, packed once for each revision of the deck. */
export function GET(request: Request) {
  return answering(async () => {
    const shelf = await packedShelf()
    const headers = { etag: shelf.etag, 'cache-control': 'no-cache' }
    if (request.headers.get('if-none-match') === shelf.etag)
      return new Response(null, { status: 304, headers })
    return new Response(shelf.json, {
      headers: { ...headers, 'content-type': 'application/json; charset=utf-8' },
    })
  })
}
