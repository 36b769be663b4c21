import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { readCard, writeMarkdown } from '@/core/formats'
import { checkCard } from '@/core/check'
import { DEFAULT_SCHOOL } from '@/core/card'
import { cueCloseUp, drawnFigure, figureShown, finalFigure, shownMeasures, svgOf } from '@/core/figure'
async function main() {
  const cells: Buffer[] = []
  for (const id of ['gate', 'long-side-angle', 'cross-legged-twist', 'downward-dog', 'tree', 'low-cobra']) {
    const text = readFileSync(`demo/${id}.md`, 'utf8')
    const card = readCard(text)
    if (writeMarkdown(card) !== text) console.log(id, 'not the same text')
    const fig = figureShown(card, finalFigure(card)!.figure, card.writtenFor)
    const f = checkCard(card, DEFAULT_SCHOOL).filter((x: { rule: string }) => x.rule.includes('mark'))
    if (f.length) console.log(id, f)
    const one = drawnFigure(fig, true, shownMeasures(card, card.writtenFor))
    const cue = card.alignment.find((c) => c.mark)!
    const close = drawnFigure(fig, false, cueCloseUp(card, cue, card.writtenFor))
    for (const d of [one, close]) cells.push(await sharp(Buffer.from(svgOf(d, { title: id })), { density: 300 }).resize(310, 310, { fit: 'contain', background: '#fbfaf6' }).flatten({ background: '#fbfaf6' }).png().toBuffer())
  }
  await sharp({ create: { width: 1260, height: 945, channels: 3, background: '#fbfaf6' } }).composite(cells.map((input, i) => ({ input, left: (i % 4) * 315, top: Math.floor(i / 4) * 315 }))).png().toFile('/tmp/m.png')
}
void main()
