import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import sharp from 'sharp'
import { readCard } from '@/core/formats'
import {
  draw,
  type Figure,
  figureShown,
  finalFigure,
  keyframesOf,
  readFigure,
  solve,
  STARTS,
  svgOf,
} from '@/core/figure'

/**
 * Sheets to look at: `tsx scripts/contactSheet.ts OUT.png [--size 150] [--grey] [--steps] [--starts]
 * [--file FORMS.json] [--only ID,ID]`. Final forms of the demo cards, or all their forms.
 */
const args = process.argv.slice(2)
const flag = (name: string) => args.includes(`--${name}`)
const value = (name: string) => {
  const at = args.indexOf(`--${name}`)
  return at < 0 ? undefined : args[at + 1]
}
const size = Number(value('size') ?? 150)
const only = value('only')?.split(',')
const build = value('build')

interface Form {
  name: string
  figure: Figure
}

const read = (name: string, data: unknown): Form[] => {
  const { figure, problem } = readFigure(build ? { ...(data as object), body: { build } } : data)
  if (!figure) console.error(`${name}: ${problem}`)
  return figure ? [{ name, figure }] : []
}

function forms(): Form[] {
  const file = value('file')
  if (file)
    return Object.entries(JSON.parse(readFileSync(file, 'utf8'))).flatMap(([name, data]) =>
      read(name, data)
    )
  if (flag('starts')) return STARTS.flatMap(({ id, figure }) => read(id, figure))
  const dir = path.join(process.cwd(), 'demo')
  return readdirSync(dir)
    .filter((name) => name.endsWith('.md') && (!only || only.includes(name.slice(0, -3))))
    .flatMap((name) => {
      const card = readCard(readFileSync(path.join(dir, name), 'utf8'))
      const last = finalFigure(card)
      const frames = flag('steps') ? keyframesOf(card).frames : last ? [last] : []
      return frames.map(({ id, figure }) => ({
        name: `${card.id} ${id}`,
        figure: figureShown(
          card,
          figure,
          card.writtenFor,
          build ? { builds: [build as 'usual'], buildsBy: 'card' } : undefined
        ),
      }))
    })
}

async function main() {
  const cells = await Promise.all(
    forms().map(async ({ name, figure }) => {
      const started = performance.now()
      const solved = solve(figure)
      const between = performance.now()
      const drawing = draw(figure, solved, { letters: flag('letters') })
      const svg = svgOf(drawing, { title: name })
      console.log(
        name.padEnd(24),
        `${(between - started).toFixed(0)} + ${(performance.now() - between).toFixed(0)} ms`,
        `${(svg.length / 1000).toFixed(1)} kB`
      )
      const picture = sharp(Buffer.from(svg), { density: 300 })
        .resize(size, size, { fit: 'contain', background: '#fbfaf6' })
        .flatten({ background: '#fbfaf6' })
      return (flag('grey') ? picture.greyscale() : picture).png().toBuffer()
    })
  )
  const across = Math.max(1, Math.min(cells.length, Math.floor(1300 / (size + 8))))
  const rows = Math.ceil(cells.length / across)
  await sharp({
    create: {
      width: across * (size + 8),
      height: rows * (size + 8),
      channels: 3,
      background: '#fbfaf6',
    },
  })
    .composite(
      cells.map((input, i) => ({
        input,
        left: (i % across) * (size + 8) + 4,
        top: Math.floor(i / across) * (size + 8) + 4,
      }))
    )
    .png()
    .toFile(args[0]!)
}

void main()
