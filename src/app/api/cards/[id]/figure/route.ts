import { loadCard } from '@/server/cards'
import { keptFigure, pngOf } from '@/server/figure'
import { run } from '@/server/jobs/pool'
import { answering, problem } from '@/server/problem'
import { loadVersion } from '@/server/history'

type Context = { params: Promise<{ id: string }> }

/**
 * A card's figure as SVG, or as PNG with `?as=png`; all its figures as BVH with `?as=bvh`. `side` is left or right, `of` a keyframe
 * such as `step s3`, and `v` the version: with it the answer never changes and may be kept.
 */
export function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const query = new URL(request.url).searchParams
    const version = Number(query.get('v')) || null
    const asked = query.get('side')
    if (asked !== null && asked !== 'left' && asked !== 'right')
      return problem(400, 'No such side', 'The side is left or right.')
    const of = query.get('of') ?? undefined
    if (query.get('as') === 'bvh') {
      const card = (await loadCard(id))?.card
      const bvh = card && (await run('bvh', { card, side: asked ?? card.writtenFor }))
      if (!bvh) return problem(404, 'No figure', `No figure is drawn on “${id}”.`)
      return new Response(bvh, { headers: { 'content-type': 'text/plain; charset=utf-8' } })
    }
    const make = async () => {
      const card = version ? await loadVersion(id, version) : (await loadCard(id))?.card
      return card ? run('figure', { card, side: asked ?? card.writtenFor, of }) : null
    }
    const svg = version ? await keptFigure(`${id} ${version} ${asked} ${of}`, make) : await make()
    if (svg === null) return problem(404, 'No figure', `No figure is drawn on “${id}” there.`)
    const headers = {
      'cache-control': version ? 'public, max-age=31536000, immutable' : 'no-cache',
    }
    if (query.get('as') === 'png')
      return new Response(new Uint8Array(await pngOf(svg)), {
        headers: { ...headers, 'content-type': 'image/png' },
      })
    return new Response(svg, {
      headers: {
        ...headers,
        'content-type': 'image/svg+xml; charset=utf-8',
        'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
      },
    })
  })
}
