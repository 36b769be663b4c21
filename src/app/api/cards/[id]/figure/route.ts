import { BUILDS } from '@/core/card'
import { cardWithPicture, loadCard } from '@/server/cards'
import { keptFigure, pngOf } from '@/server/figure'
import { run } from '@/server/jobs/pool'
import { answering, problem } from '@/server/problem'

type Context = { params: Promise<{ id: string }> }

/**
 * A card's figure as SVG, or as PNG with `?as=png`; all its figures as BVH with `?as=bvh`. `side` is left or right, `of` a keyframe
 * such as `step s3`, `build` the body that is drawn, `manner=lines` its lines alone, and `p` the picture's address from the shelf: with it the answer never changes
 * and may be kept.
 */
export function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params
    const query = new URL(request.url).searchParams
    const picture = query.get('p')
    const asked = query.get('side')
    if (asked !== null && asked !== 'left' && asked !== 'right')
      return problem(400, 'No such side', 'The side is left or right.')
    const of = query.get('of') ?? undefined
    const build = BUILDS.find((each) => each === query.get('build'))
    if (query.has('build') && !build)
      return problem(400, 'No such body', `The body is one of: ${BUILDS.join(', ')}.`)
    const manner = query.get('manner') === 'lines' ? 'lines' : 'tones'
    if (query.get('as') === 'bvh') {
      const card = (await loadCard(id))?.card
      const bvh = card && (await run('bvh', { card, side: asked ?? card.writtenFor }))
      if (!bvh) return problem(404, 'No figure', `No figure is drawn on “${id}”.`)
      return new Response(bvh, { headers: { 'content-type': 'text/plain; charset=utf-8' } })
    }
    const found = await cardWithPicture(id)
    if (!found) return problem(404, 'No such card', `There is no card “${id}”.`)
    const { card } = found
    // An address from before the last save: what is there now is shown, and not kept.
    const kept = picture === found.picture
    const make = () => run('figure', { card, side: asked ?? card.writtenFor, of, build, manner })
    const svg = kept
      ? await keptFigure(`${id} ${picture} ${asked} ${of} ${build} ${manner}`, make)
      : await make()
    if (svg === null) return problem(404, 'No figure', `No figure is drawn on “${id}” there.`)
    const headers = {
      'cache-control': kept ? 'public, max-age=31536000, immutable' : 'no-cache',
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
