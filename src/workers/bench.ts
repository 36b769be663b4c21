import { drawnFigure, type Figure, type KeptDrawing, type ShownMeasures } from '@/core/figure'
import { followCautions } from './cardCautions'
import { followCard } from './cardFindings'
import { ladderWork } from './ladder'
import { followWords } from './words'

export interface DrawingJob {
  figure: Figure
  letters: boolean
  shown?: ShownMeasures
}

const drawing = ({ figure, letters, shown }: DrawingJob): { drawing?: KeptDrawing } => ({
  drawing: drawnFigure(figure, letters, shown),
})

/** Everything that is worked out for a bench, what is wanted first at the front. */
const MAKERS = {
  findings: followCard,
  drawings: () => drawing,
  words: followWords,
  cautions: followCautions,
  ladder: () => ladderWork,
}
const ORDER = Object.keys(MAKERS) as BenchWork[]

export type BenchWork = keyof typeof MAKERS
export type BenchJob<W extends BenchWork> = Parameters<ReturnType<(typeof MAKERS)[W]>>[0]
export type BenchAnswer<W extends BenchWork> = ReturnType<ReturnType<(typeof MAKERS)[W]>>

/** A job from a part of the page, or that part leaving. */
export type BenchAsked = { from: number } & (
  { [W in BenchWork]: { work: W; job: BenchJob<W> } }[BenchWork] | { leaves: true }
)
/** The answer to a part of the page, or why there is none, or that it was heard to leave. */
export type BenchTold = { to: number } & ({ answer: unknown } | { failed: string } | { left: true })

/**
 * Answers all parts of a bench one after the other, so that what was worked out for one is known
 * to the others; what is wanted first goes before what waits longer.
 * @param later runs something when what has arrived meanwhile was heard
 * @returns what hears a message
 */
export function benchWorker(
  tell: (told: BenchTold) => void,
  later: (work: () => void) => void
): (asked: BenchAsked) => void {
  const following = new Map<number, (job: never) => unknown>()
  let waiting: Exclude<BenchAsked, { leaves: true }>[] = []
  let busy = false

  const next = () => {
    const [asked] = waiting.toSorted((a, b) => ORDER.indexOf(a.work) - ORDER.indexOf(b.work))
    busy = asked !== undefined
    if (!asked) return
    waiting = waiting.filter((each) => each !== asked)
    const { from: to, work, job } = asked
    try {
      if (!following.has(to)) following.set(to, MAKERS[work]())
      tell({ to, answer: following.get(to)!(job as never) })
    } catch (error) {
      tell({ to, failed: error instanceof Error ? error.message : String(error) })
    }
    later(next)
  }
  return (asked) => {
    if ('leaves' in asked) {
      following.delete(asked.from)
      waiting = waiting.filter(({ from }) => from !== asked.from)
      tell({ to: asked.from, left: true })
      return
    }
    waiting.push(asked)
    if (!busy) later(next)
    busy = true
  }
}
