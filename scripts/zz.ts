import { readFileSync } from 'node:fs'
import { readCard } from '@/core/formats'
import { draw, finalFigure, solve, lens, viewOf } from '@/core/figure'
import { trunkSeams } from '@/core/figure/drawing/seams'
import { fleshOf } from '@/core/figure/drawing/flesh'
import { flatten, gridOf } from '@/core/figure/drawing/fields'
import { seenOf, ringsOf, evened } from '@/core/figure/drawing/regions'
import { edgesOf } from '@/core/figure/drawing/edges'
const card = readCard(readFileSync(`demo/${process.argv[2]}.md`, 'utf8'))
const f = finalFigure(card)!.figure
const s = solve(f)
const view = viewOf(f, s)
const see = lens(view)
const t = <T>(name: string, fn: () => T) => {
  for (let i = 0; i < 15; i++) fn()
  const a = performance.now()
  for (let i = 0; i < 20; i++) fn()
  console.log(name, ((performance.now() - a) / 20).toFixed(2))
  return fn()
}
for (const cell of [0.006, 0.018]) {
  console.log('cell', cell)
  const flesh = t('flesh', () => fleshOf(s.body, s.placed))
  const flat = t('flat', () => flatten(flesh, see))
  const grid = t('grid', () => gridOf(flat, cell))
  const reg = t('seen', () => seenOf(grid))
  t('rings', () => [
    ringsOf(evened(reg.body, grid.w, grid.h), grid),
    ringsOf(evened(reg.cloth, grid.w, grid.h), grid),
    ringsOf(evened(reg.hair, grid.w, grid.h), grid),
  ])
  t('edges', () => edgesOf(grid, reg))
  t('all', () => draw(f, s, cell === 0.006 ? {} : { cell }))
}
const trunk = fleshOf(s.body, s.placed)[0]!.cones
for (const seam of trunkSeams(s.body, s.placed, trunk))
  console.log(
    seam.name,
    seam.points.length,
    seam.points.slice(0, 4).map((p) => p.map((v) => v.toFixed(3)).join(' '))
  )
{
  const flat = flatten(fleshOf(s.body, s.placed), see)
  const grid = gridOf(flat, 0.006)
  const g = (n: string) => grid.fields[grid.at.get(n)!]!
  const [f, k] = [g(process.argv[3]!), g(process.argv[4]!)]
  let n = 0, plus = 0, minus = 0
  const lo = [1, -1]
  for (let r = 0; r < grid.h; r++) for (let c = 0; c < grid.w; c++) {
    const i = (q: typeof f) => { const x = c - q.c0, y = r - q.r0; return x < 0 || y < 0 || x >= q.w || y >= q.h ? -1 : y * q.w + x }
    const [a, b] = [i(f), i(k)]
    if (a < 0 || b < 0) continue
    if (f.d[a]! < -0.001 && k.d[b]! < -0.001) { n++; const d = f.z[a]! - k.z[b]!; if (d > 0) plus++; else minus++; lo[0] = Math.min(lo[0]!, d); lo[1] = Math.max(lo[1]!, d) }
  }
  console.log(process.argv.slice(3), { n, plus, minus }, lo)
}
