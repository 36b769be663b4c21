import { BUILDS, titleOf } from '@/core/card'
import { namedRole } from '@/core/language'
import {
  fallWords,
  bvhOf,
  draw,
  figureLedFrom,
  figureReport,
  figureShown,
  finalFigure,
  keyframesOf,
  MANNERS,
  poseWords,
  solve,
  svgOf,
  type Figure,
} from '@/core/figure'
import { draftsOf, finalDraft } from '@/core/reading'
import { BadCall, GOOD, oneOf } from '../badCall'
import { cardFrom, write } from '../files'

/** Draws the form of a card, or tells its joints, measures and loads. */
export function figure(
  file: string,
  options: {
    rung?: string
    of?: string
    side?: string
    to: string
    out?: string
    stature: string
    manner: string
    body: string
    from: string
  }
): number {
  const to = oneOf('the format', options.to, ['svg', 'json', 'bvh'])
  const card = cardFrom(file)
  const side = oneOf('the side', options.side ?? card.writtenFor, ['left', 'right'])
  const stature = Number(options.stature)
  if (!(stature >= 100 && stature <= 230))
    throw new BadCall(`the stature “${options.stature}” should be from 100 to 230 cm`)
  if (options.rung !== undefined && !card.ladder.some((rung) => rung.id === options.rung))
    throw new BadCall(`${file}:1: There is no rung “${options.rung}” on this card`)
  const manner = oneOf('the manner', options.manner, MANNERS)
  const build = oneOf('the body', options.body, BUILDS)
  const words = oneOf('the source', options.from, ['kept', 'words']) === 'words'
  const drafts = words ? draftsOf(card, { kept: false, stature }) : []
  const forms: readonly { id: string; figure: Figure }[] = words ? drafts : keyframesOf(card).frames
  if (options.of !== undefined && !forms.some(({ id }) => id === options.of))
    throw new BadCall(
      `${file}:1: no form “${options.of}” is drawn; there are: ${forms.map(({ id }) => id).join(', ') || 'none'}`
    )
  const frame = options.of
    ? forms.find(({ id }) => id === options.of)!
    : words
      ? finalDraft(card, drafts)
      : finalFigure(card, options.rung)
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
  const unsure = drafts.find(({ id, sure }) => id === frame.id && !sure)
  if (unsure)
    process.stderr.write(
      `${file}:1: the words of ${frame.id} were not all understood; it is as far as they were\n`
    )
  const led = figureLedFrom(card, frame.figure, side)
  const stands = solve(led, { stature })
  for (const { message } of stands.unmet) process.stderr.write(`${file}:1: ${message}\n`)
  const falls = fallWords(stands, stature)
  if (falls) process.stderr.write(`${file}:1: the figure: ${falls}\n`)
  const drawing = () => {
    const shown = figureShown(card, frame.figure, side, { builds: [build], buildsBy: 'card' })
    const pose = solve(shown, { stature })
    const drawn = draw(shown, pose, { letters: card.sides === 'sided' })
    const description = poseWords(shown, pose, drawn.view)
    return svgOf(drawn, { title: titleOf(card), description, manner })
  }
  const report = () => ({ of: frame.id, ...figureReport(led, side, namedRole(card), stature) })
  const text =
    to === 'json'
      ? `${JSON.stringify(report(), null, 2)}\n`
      : to === 'bvh'
        ? bvhOf(forms.map((each) => figureLedFrom(card, each.figure, side)))
        : drawing()
  write(text, options.out)
  return GOOD
}
