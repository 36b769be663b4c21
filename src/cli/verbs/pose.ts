import { BvhError, figureFromBvh } from '@/core/figure'
import { BadCall, GOOD, out } from '../badCall'
import { readBytes } from '../files'

/** One frame of a BVH file, as the figure that a card keeps. */
export function pose(file: string, options: { frame: string }): number {
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
