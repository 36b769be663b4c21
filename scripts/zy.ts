import { workFigure } from '@/workers/figure'
import { readFileSync, readdirSync } from 'node:fs'
import { readCard } from '@/core/formats'
import { finalFigure, solve } from '@/core/figure'
const pulled = readdirSync('demo')
  .filter((f) => f.endsWith('.md'))
  .flatMap((f) => {
    const k = finalFigure(readCard(readFileSync('demo/' + f, 'utf8')))
    return k ? [{ figure: k.figure, from: solve(k.figure).pose }] : []
  })
const HANDLES = ['right hand', 'left knee', 'head', 'pelvis']
const all: number[] = []
for (let round = 0; round < 40; round++)
  for (const [i, { figure, from }] of pulled.entries()) {
    const a = performance.now()
    workFigure({
      seq: 1,
      figure,
      side: 'right',
      namedBy: '',
      drag: {
        handle: HANDLES[(round + i) % 4]!,
        from,
        dx: (round % 12) / 2,
        dy: -(round % 12) / 3,
      },
    })
    if (round > 4) all.push(performance.now() - a)
  }
all.sort((a, b) => a - b)
console.log('median', all[all.length >> 1]!.toFixed(2), 'quarter', all[all.length >> 2]!.toFixed(2))
