import { titleOf } from '@/core/card'
import {
  fallWords,
  bvhOf,
  draw,
  figureLedFrom,
  figureReport,
  finalFigure,
  keyframesOf,
  solve,
  svgOf,
} from '@/core/figure'
import { BadCall, GOOD, oneOf } from '../badCall'
import { cardFrom, write } from '../files'

/** Draws the form of a card, or tells its joints, measures and loads. */
export function figure(
  file: string,
  options: { rung?: string; side?: string; to: string; out?: string; stature: string }
): number {
  const to = oneOf('the format', options.to, ['svg', 'json', 'bvh'])
  const card = cardFrom(file)
  const side = oneOf('the side', options.side ?? card.writtenFor, ['left', 'right'])
  const stature = Number(options.stature)
  if (!(stature >= 100 && stature <= 230))
    throw new BadCall(`the stature “${options.stature}” should be from 100 to 230 cm`)
  if (options.rung !== undefined && !card.ladder.some((rung) => rung.id === options.rung))
    throw new BadCall(`${file}:1: There is no rung “${options.rung}” on this card`)
  const frame = finalFigure(card, options.rung)
  if (!frame) {
    const { problems } = keyframesOf(card)
    throw new BadCall(
      `${file}:1: ${problems[0] ? `the figure cannot be read: ${problems[0].problem}` : 'no figure is drawn on this card'}`
    )
  }
  if (options.rung !== undefined && frame.id !== `rung ${options.rung}`)
    process.stderr.write(
      `${file}:1: the rung “${options.rung}” has no figure of its own; this is ${frame.id}\n`
    )
  const led = figureLedFrom(card, frame.figure, side)
  const stands = solve(led, { stature })
  for (const { message } of stands.unmet) process.stderr.write(`${file}:1: ${message}\n`)
  const falls = fallWords(stands, stature)
  if (falls) process.stderr.write(`${file}:1: the figure: ${falls}\n`)
  const drawing = () =>
    svgOf(draw(led, stands, { letters: card.sides === 'sided' }), { title: titleOf(card) })
  const report = () => ({ of: frame.id, ...figureReport(led, side, card.sideNamedBy, stature) })
  const text =
    to === 'json'
      ? `${JSON.stringify(report(), null, 2)}\n`
      : to === 'bvh'
        ? bvhOf(keyframesOf(card).frames.map((each) => figureLedFrom(card, each.figure, side)))
        : drawing()
  write(text, options.out)
  return GOOD
}
