/**
 * The versions of the card format that are read; the last one is written. What is stored or
 * kept anywhere says which one it is in, and is brought to today's here.
 */
export const FORMAT_VERSIONS = [1, 2] as const
export const FORMAT_VERSION = 2

type Data = Record<string, unknown>

const isData = (value: unknown): value is Data =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const SPINAL = { bend: 'flexion', side: 'lateralFlexion', turn: 'rotation' }

/** Format 1 called some angles of a joint by everyday words; format 2 by those of the field. */
const ANGLES_OF_1: [joint: RegExp, names: Record<string, string>][] = [
  [/^(?:lowBack|ribs|neck)$/, SPINAL],
  [/^head$/, { bend: 'flexion' }],
  [/Girdle$/, { raise: 'elevation', drawIn: 'retraction' }],
  [/Forearm$/, { turn: 'pronation' }],
  [/Wrist$/, { side: 'radialDeviation' }],
  [/Ankle$/, { up: 'dorsiflexion', tilt: 'eversion' }],
  [/Toes$/, { up: 'extension' }],
]

function renamed(joint: string, angles: unknown): unknown {
  const names = ANGLES_OF_1.find(([of]) => of.test(joint))?.[1]
  if (!names || !isData(angles)) return angles
  return Object.fromEntries(
    Object.entries(angles).map(([name, value]) => [names[name] ?? name, value])
  )
}

function figureOf1(figure: unknown): unknown {
  if (!isData(figure) || !isData(figure.angles)) return figure
  const angles = Object.entries(figure.angles).map(([joint, each]) => [joint, renamed(joint, each)])
  return { ...figure, angles: Object.fromEntries(angles) as unknown }
}

/** The same data with every figure in it written anew. */
function withFigures(value: unknown, write: (figure: unknown) => unknown): unknown {
  if (Array.isArray(value)) return value.map((each) => withFigures(each, write))
  if (!isData(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [
      key,
      key === 'figure' ? write(each) : withFigures(each, write),
    ])
  )
}

/**
 * In format 1 the figure of a rung was told against the last drawn step in where the reference
 * rung had no figure of its own; in format 2 it is told whole then.
 */
function wholeRungs(card: unknown): unknown {
  if (!isData(card) || !Array.isArray(card.ladder) || !Array.isArray(card.enter)) return card
  const ladder = card.ladder as unknown[]
  const drawn = (part: unknown): Data | null =>
    isData(part) && isData(part.figure) ? part.figure : null
  if (ladder.some((rung) => isData(rung) && rung.reference && rung.figure)) return card
  const over = drawn((card.enter as unknown[]).findLast(drawn))
  if (!over) return card
  const whole = (figure: Data) => {
    const angles = { ...(over.angles as Data) }
    for (const [joint, each] of Object.entries((figure.angles as Data) ?? {}))
      angles[joint] = { ...(angles[joint] as Data), ...(each as Data) }
    return { ...over, ...figure, angles }
  }
  return {
    ...card,
    ladder: ladder.map((rung) => {
      const own = drawn(rung)
      return own && !(rung as Data).reference ? { ...(rung as Data), figure: whole(own) } : rung
    }),
  }
}

/**
 * The data of a card as today's format has it.
 * @param from the version of the format that it is written in
 * @param card not checked yet; what is no card is given back as it is
 */
export function upgraded(card: unknown, from: unknown): unknown {
  return from === 1 ? wholeRungs(withFigures(card, figureOf1)) : card
}
