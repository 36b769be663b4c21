import type { Breath, Card, School, Side } from '@/core/card'
import { draw, type Drawing } from '@/core/figure'
import { frameAt, fullness, type Moment, pathBetween, type Play, playOf } from '@/core/play'

/** What is asked for: a card to play, or the picture of a time of it. */
export type PlayJob =
  { kind: 'load'; card: Card; school: School } | { kind: 'frame'; seconds: number }

/** A picture of the card as it moves. */
export interface PlayPicture {
  kind: 'frame'
  seconds: number
  /** Place of the moment in the list of them. */
  moment: number
  drawing: Drawing
  breath: Breath
  /** How full the lungs are, 0 to 1. */
  full: number
}

export interface PlayLoaded {
  kind: 'loaded'
  moments: Moment[]
  seconds: number
  /** What all forms of each side lie in, on the drawing. */
  boxes: Drawing['box'][]
  first: Side | null
}

export type PlayAnswer = PlayPicture | PlayLoaded

/** While it moves, the outline may be coarser. */
const COARSE = 0.024

const pictureAt = (play: Play, seconds: number, cell = COARSE): PlayPicture | null => {
  const frame = frameAt(play, seconds)
  if (!frame) return null
  const { moment, share, figure, solved, view } = frame
  return {
    kind: 'frame',
    seconds,
    moment: play.moments.indexOf(moment),
    drawing: draw(figure, solved, { view, cell }),
    breath: moment.breath,
    full: fullness(moment.breath, share),
  }
}

/** The box around boxes. */
function around(boxes: readonly Drawing['box'][]): Drawing['box'] {
  const left = Math.min(...boxes.map(([x]) => x))
  const top = Math.min(...boxes.map(([, y]) => y))
  const right = Math.max(...boxes.map(([x, , w]) => x + w))
  const bottom = Math.max(...boxes.map(([, y, , h]) => y + h))
  return [left, top, right - left, bottom - top]
}

/** Plays one card: it is loaded once, then pictures of it are asked for. */
export function player(): (job: PlayJob) => PlayAnswer | null {
  let play: Play | null = null
  return (job) => {
    if (job.kind === 'frame') {
      if (!play) return null
      const picture = pictureAt(play, job.seconds)
      // What comes next is found before it is needed.
      const next = picture && play.moments[picture.moment + 1]
      if (next && next.from !== next.to) pathBetween(play.forms[next.from]!, play.forms[next.to]!)
      return picture
    }
    play = playOf(job.card, job.school)
    const now = play
    const first = now.moments[0]?.side ?? null
    const boxes = now.views.map((_, i) => {
      const own = now.moments.filter(({ side }) => (side !== first ? 1 : 0) === i)
      const ends = own.flatMap(({ at, seconds }) => [at, at + seconds - 1e-3])
      const drawn = ends.flatMap((at) => {
        const picture = pictureAt(now, at, 0.05)
        return picture ? [picture.drawing.box] : []
      })
      return around(drawn)
    })
    return { kind: 'loaded', moments: now.moments, seconds: now.seconds, boxes, first }
  }
}
