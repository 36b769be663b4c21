import { readFileSync, writeFileSync } from 'node:fs'
import { Command, CommanderError } from 'commander'
import { type Card, DEFAULT_SCHOOL, type Finding, pathKeys, titleOf } from '@/core/card'
import { checkCard } from '@/core/check'
import {
  CARD_FORMATS,
  CardFileError,
  decodeText,
  describeProblems,
  readCardBytes,
  writeJson,
  writeMarkdown,
} from '@/core/formats'
import { timeOf } from '@/core/breath'
import {
  draw,
  bvhOf,
  BvhError,
  figureFromBvh,
  figureLedFrom,
  figureReport,
  finalFigure,
  keyframesOf,
  solve,
  svgOf,
} from '@/core/figure'
import { mirrorText, type Turning } from '@/core/sides'

/** The `notula` command: the same core, without a screen and without a database. */

const GOOD = 0
const FINDINGS = 1
const BAD_CALL = 2

/** Something in the call or a file that cannot be used; its text goes to stderr. */
class BadCall extends Error {}

function readBytes(file: string): Uint8Array {
  try {
    return readFileSync(file)
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code
    const why =
      code === 'ENOENT'
        ? 'there is no such file'
        : code === 'EISDIR'
          ? 'this is a folder, not a file'
          : 'the file cannot be read'
    throw new BadCall(`${file}:1: ${why}`)
  }
}

function cardFrom(file: string): Card {
  try {
    return readCardBytes(readBytes(file))
  } catch (error) {
    if (error instanceof CardFileError) throw new BadCall(describeProblems(file, error))
    throw error
  }
}

/** Reads several files, and tells of all that cannot be read before it gives up. */
function cardsFrom(files: string[]): { file: string; card: Card }[] {
  const wrong: string[] = []
  const cards = files.flatMap((file) => {
    try {
      return [{ file, card: cardFrom(file) }]
    } catch (error) {
      if (!(error instanceof BadCall)) throw error
      wrong.push(error.message)
      return []
    }
  })
  if (wrong.length) throw new BadCall(wrong.join('\n'))
  return cards
}

const out = (text: string) => process.stdout.write(text)

function oneOf<T extends string>(what: string, value: string, allowed: readonly T[]): T {
  const found = allowed.find((each) => each === value)
  if (!found)
    throw new BadCall(`${what} “${value}” is not known; it is one of ${allowed.join(', ')}`)
  return found
}

function mirror(options: { spelling: string }): number {
  const turning: Turning = oneOf('the spelling', options.spelling, [
    'counterclockwise',
    'anticlockwise',
  ])
  const text = decodeText(readFileSync(0))
  const lines = text.split('\n')
  const last = lines.at(-1) === '' ? lines.pop() : undefined
  out(
    lines.map((line) => mirrorText(line, { turning })).join('\n') +
      (last === '' ? '\n' : lines.length ? '\n' : '')
  )
  return GOOD
}

/** Line of a finding in its file: the first line that holds its words, or those beside it. */
function lineOf(text: string, card: Card, where: string): number {
  let value: unknown = card
  let words = ''
  for (const key of pathKeys(where)) {
    value = (value as Record<string, unknown> | undefined)?.[key]
    const near = (value as { text?: unknown } | undefined)?.text
    if (typeof near === 'string') words = near
  }
  const own = typeof value === 'string' && value.includes(' ') ? value : words
  const line = own ? text.split('\n').findIndex((each) => each.includes(own.slice(0, 40))) : -1
  return line + 1 || 1
}

function check(files: string[], options: { json?: boolean }): number {
  const all: (Finding & { file: string })[] = []
  for (const { file, card } of cardsFrom(files)) {
    const findings = checkCard(card, DEFAULT_SCHOOL)
    all.push(...findings.map((finding) => ({ ...finding, file })))
    if (options.json) continue
    const text = decodeText(readBytes(file))
    for (const { severity, where, message, rule } of findings)
      out(`${file}:${lineOf(text, card, where)}: ${severity}: ${message} (${where}, ${rule})\n`)
    if (findings.length === 0) out(`${file}: nothing to mend on “${titleOf(card)}”\n`)
  }
  if (options.json)
    out(
      `${JSON.stringify(files.length > 1 ? all : all.map(({ file: _file, ...finding }) => finding), null, 2)}\n`
    )
  return all.some((finding) => finding.severity === 'stop') ? FINDINGS : GOOD
}

function convert(file: string, options: { to: string; out?: string }): number {
  const format = oneOf('the format', options.to, CARD_FORMATS)
  const card = cardFrom(file)
  const text = format === 'md' ? writeMarkdown(card) : writeJson(card)
  if (options.out) writeFileSync(options.out, text)
  else out(text)
  return GOOD
}

function time(file: string, options: { rung?: string }): number {
  try {
    out(`${JSON.stringify(timeOf(cardFrom(file), DEFAULT_SCHOOL, options.rung))}\n`)
  } catch (error) {
    if (error instanceof RangeError) throw new BadCall(`${file}:1: ${error.message}`)
    throw error
  }
  return GOOD
}

function figure(
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
  for (const { message } of solve(led, { stature }).unmet)
    process.stderr.write(`${file}:1: ${message}\n`)
  const drawing = () =>
    svgOf(draw(led, solve(led, { stature }), { letters: card.sides === 'sided' }), titleOf(card))
  const report = () => ({ of: frame.id, ...figureReport(led, side, card.sideNamedBy, stature) })
  const text =
    to === 'json'
      ? `${JSON.stringify(report(), null, 2)}\n`
      : to === 'bvh'
        ? bvhOf(keyframesOf(card).frames.map((each) => figureLedFrom(card, each.figure, side)))
        : drawing()
  if (options.out) writeFileSync(options.out, text)
  else out(text)
  return GOOD
}

/** One frame of a BVH file, as the figure that a card keeps. */
function pose(file: string, options: { frame: string }): number {
  try {
    const { figure: read, notes } = figureFromBvh(
      new TextDecoder().decode(readBytes(file)),
      Number(options.frame)
    )
    out(`${JSON.stringify(read)}\n`)
    process.stderr.write(notes.map((note) => `${file}: ${note}\n`).join(''))
    return GOOD
  } catch (error) {
    if (error instanceof BvhError) throw new BadCall(`${file}:${error.line}: ${error.message}`)
    throw error
  }
}

async function print(files: string[], options: { stock: string; out: string }): Promise<number> {
  const stock = oneOf('the paper', options.stock, ['A4', 'A5', 'A6'])
  const cards = cardsFrom(files).map(({ card }) => card)
  const { printCards } = await import('@/server/print')
  const titles = new Map(cards.map((card) => [card.id, titleOf(card)]))
  const pdf = await printCards(cards, DEFAULT_SCHOOL, titles, stock)
  try {
    writeFileSync(options.out, pdf)
  } catch {
    throw new BadCall(`${options.out}:1: the file cannot be written; nothing was printed`)
  }
  out(`${options.out}: ${cards.length === 1 ? 'one card' : `${cards.length} cards`}, ${stock}\n`)
  return GOOD
}

async function run(argv: string[]): Promise<number> {
  let code: number = GOOD
  const program = new Command('notula')
    .description('Pose cards on the command line: a card is a Markdown or a JSON file.')
    .exitOverride()
    .showHelpAfterError()
  program
    .command('mirror')
    .description('write each line from the standard input for the other side')
    .option('--spelling <word>', 'counterclockwise or anticlockwise', 'counterclockwise')
    .action((options) => {
      code = mirror(options)
    })
  program
    .command('check')
    .description('tell what is to be mended on cards')
    .argument('<files...>')
    .option('--json', 'as JSON')
    .action((files, options) => {
      code = check(files, options)
    })
  program
    .command('convert')
    .description('write a card in another format')
    .argument('<file>')
    .requiredOption('--to <format>', CARD_FORMATS.join(' or '))
    .option('--out <file>', 'where to; else the standard output')
    .action((file, options) => {
      code = convert(file, options)
    })
  program
    .command('time')
    .description(
      'tell how long a card takes, in seconds: each side, between them, in all; and in breaths'
    )
    .argument('<file>')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .option('--json', 'as JSON, which it always is')
    .action((file, options) => {
      code = time(file, options)
    })
  program
    .command('figure')
    .description('draw the form of a card, or tell its joints, measures and loads')
    .argument('<file>')
    .option('--rung <id>', 'the form; else the one that the steps describe')
    .option('--side <side>', 'left or right; else the side that the card is written for')
    .option('--to <format>', 'svg, json, or bvh with every drawn form as a frame', 'svg')
    .option('--stature <cm>', 'of the person, 100 to 230', '170')
    .option('--out <file>', 'where to; else the standard output')
    .action((file, options) => {
      code = figure(file, options)
    })
  program
    .command('pose')
    .description('read one frame of a BVH file as the figure of a card')
    .argument('<file>')
    .option('--frame <number>', 'from 1', '1')
    .action((file, options) => {
      code = pose(file, options)
    })
  program
    .command('print')
    .description('print cards to a PDF')
    .argument('<files...>')
    .option('--stock <paper>', 'A4, A5 or A6', 'A5')
    .requiredOption('--out <file>', 'the PDF to write')
    .action(async (files, options) => {
      code = await print(files, options)
    })
  await program.parseAsync(argv)
  return code
}

run(process.argv).then(
  (code) => {
    process.exitCode = code
  },
  (error: unknown) => {
    if (error instanceof CommanderError) {
      process.exitCode = error.exitCode === 0 ? GOOD : BAD_CALL
      return
    }
    if (error instanceof CardFileError)
      process.stderr.write(`${describeProblems('standard input', error)}\n`)
    else if (error instanceof BadCall) process.stderr.write(`${error.message}\n`)
    else process.stderr.write(`notula: ${error instanceof Error ? error.message : String(error)}\n`)
    process.exitCode = BAD_CALL
  }
)
