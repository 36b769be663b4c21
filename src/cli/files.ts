import { readFileSync, writeFileSync } from 'node:fs'
import { type Card, School } from '@/core/card'
import { CardFileError, decodeText, describeProblems, readCardBytes } from '@/core/formats'
import { BadCall, out } from './badCall'

export function readBytes(file: string): Uint8Array {
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

/** What a file says is wrong with it, with its lines. */
function orBadCall<T>(file: string, read: () => T): T {
  try {
    return read()
  } catch (error) {
    if (error instanceof CardFileError) throw new BadCall(describeProblems(file, error))
    throw error
  }
}

export const cardFrom = (file: string): Card =>
  orBadCall(file, () => readCardBytes(readBytes(file)))

/** The text of a file, or of the standard input when none is named. */
export const textOf = (file?: string): string =>
  orBadCall(file ?? 'standard input', () => decodeText(file ? readBytes(file) : readFileSync(0)))

/** Reads several files, and tells of all that cannot be read before it gives up. */
export function cardsFrom(files: string[]): { file: string; card: Card }[] {
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

/** The rules of a school, as `/api/school` gives them or as its own JSON. */
export function schoolFrom(file: string): School {
  let data: unknown
  try {
    data = JSON.parse(textOf(file))
  } catch (error) {
    if (error instanceof BadCall) throw error
    throw new BadCall(`${file}:1: this is no valid JSON`)
  }
  const read = School.safeParse((data as { school?: unknown } | null)?.school ?? data)
  if (read.success) return read.data
  const [first] = read.error.issues
  throw new BadCall(`${file}:1: ${first!.path.join('.')}: ${first!.message}`)
}

/** Writes to a file, or to the standard output when none is named. */
export function write(text: string, file?: string): void {
  if (file) writeFileSync(file, text)
  else out(text)
}
