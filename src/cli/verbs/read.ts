import { readerOf } from '@/core/language'
import { type ReadLine, readCard, readLine, readPlace, toWords } from '@/core/reading'
import { BadCall, GOOD, out } from '../badCall'
import { cardFrom, textOf } from '../files'

type Read = Pick<ReadLine, 'instructions' | 'notUnderstood'>

/** A line as it is told: what it asks for, and which characters were not understood. */
const told = (line: string, { instructions, notUnderstood }: Read) => ({
  line,
  instructions: instructions.map((each) => ({
    action: each.action,
    part: each.part,
    side: each.side,
    to: toWords(each),
    amount: each.amount?.words ?? null,
    from: each.from,
    until: each.until,
  })),
  notUnderstood,
})

const inWords = ({ line, instructions, notUnderstood }: ReturnType<typeof told>): string =>
  [
    line,
    ...instructions.map(
      ({ action, part, side, to, amount }) =>
        `  ${[action, side, part, to && `→ ${to}`, amount && `(${amount})`].filter(Boolean).join(' ')}`
    ),
    ...notUnderstood.map(([from, until]) => `  not understood: ${line.slice(from, until)}`),
  ].join('\n')

/** Tells what lines, or the lines of a card, ask the body to do. */
export function read(
  file: string | undefined,
  options: { json?: boolean; place?: boolean; language: string }
): number {
  const { language } = options
  if (!readerOf(language)) throw new BadCall(`Notula cannot read movements in “${language}” yet`)
  if (options.place) {
    const lines = file === undefined ? linesOf(textOf()) : [cardFrom(file).setUp.place]
    const places = lines.map((line) => {
      const { base, contacts, props } = readPlace(line, language)
      return { line, base, contacts, props }
    })
    out(
      options.json
        ? `${JSON.stringify(places, null, 2)}\n`
        : places
            .map(({ line, base, contacts, props }) =>
              [
                line,
                `  base: ${base ?? 'not understood'}`,
                ...contacts.map(({ part, on }) => `  ${part} on ${on}`),
                ...(props.length > 0 ? [`  props: ${props.join(', ')}`] : []),
              ].join('\n')
            )
            .join('\n') + '\n'
    )
    return GOOD
  }
  const reads =
    file === undefined
      ? linesOf(textOf()).map((line) => told(line, readLine(line, language)))
      : readCard(cardFrom(file)).map((line) => told(line.text, line))
  out(options.json ? `${JSON.stringify(reads, null, 2)}\n` : `${reads.map(inWords).join('\n')}\n`)
  return GOOD
}

/** Every line but an empty last one. */
function linesOf(text: string): string[] {
  const lines = text.split('\n').map((line) => line.replace(/\r$/, ''))
  if (lines.at(-1) === '') lines.pop()
  return lines
}
