import { answering } from '@/server/problem'
import { packedShelf } from '@/server/shelf'

export const dynamic = 'force-dynamic'

/** The shelf as JSON, packed once for each revision of the deck. */
export function GET(request: Request) {
  return answering(async () => {
    const shelf = await packedShelf()
    const headers: Record<string, string> = {
      etag: shelf.etag,
      'cache-control': 'no-cache, no-transform',
      vary: 'accept-encoding',
    }
    if (request.headers.get('if-none-match') === shelf.etag)
      return new Response(null, { status: 304, headers })
    headers['content-type'] = 'application/json; charset=utf-8'
    const zipped = request.headers.get('accept-encoding')?.includes('gzip')
    if (zipped) headers['content-encoding'] = 'gzip'
    return new Response(new Uint8Array(zipped ? shelf.gzipped : shelf.json), { headers })
  })
}
