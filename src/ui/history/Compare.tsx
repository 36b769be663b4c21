import { compareTexts, compareWords, type Mark } from '@/core/compare'
import classes from './Compare.module.css'

const KEEP = 2

/** Two texts side by side, line by line; long stretches that are the same are folded. */
export function Compare({
  first,
  second,
  titles,
}: {
  first: string
  second: string
  titles: [string, string]
}) {
  const hunks = compareTexts(first, second)
  const same = hunks.every((hunk) => hunk.kind === 'same')
  return (
    <table className={classes.table}>
      <thead>
        <tr>
          <th scope="col">{titles[0]}</th>
          <th scope="col">{titles[1]}</th>
        </tr>
      </thead>
      <tbody>
        {same && (
          <tr>
            <td colSpan={2}>Both are the same.</td>
          </tr>
        )}
        {!same &&
          hunks.map((hunk, i) => {
            if (hunk.kind === 'changed')
              return <Changed key={i} first={hunk.first} second={hunk.second} />
            const folded = hunk.first.length > 2 * KEEP + 1
            const shown = folded
              ? [
                  ...hunk.first.slice(0, i === 0 ? 0 : KEEP),
                  null,
                  ...hunk.first.slice(i === hunks.length - 1 ? hunk.first.length : -KEEP),
                ]
              : hunk.first
            return shown.map((line, j) => (
              <tr key={`${i}-${j}`} className={classes.same}>
                {line === null ? (
                  <td colSpan={2} className={classes.fold}>
                    … the same …
                  </td>
                ) : (
                  <>
                    <td>{line}</td>
                    <td>{line}</td>
                  </>
                )}
              </tr>
            ))
          })}
      </tbody>
    </table>
  )
}

/** Lines that differ, each beside the one it became. */
export function Changed({ first, second }: { first: string[]; second: string[] }) {
  return Array.from({ length: Math.max(first.length, second.length) }, (_, i) => {
    const words = compareWords(first[i] ?? '', second[i] ?? '')
    return (
      <tr key={i}>
        <Cell has={first[i] !== undefined} marks={words.first} sign="−" look={classes.gone!} />
        <Cell has={second[i] !== undefined} marks={words.second} sign="+" look={classes.come!} />
      </tr>
    )
  })
}

function Cell({
  has,
  marks,
  sign,
  look,
}: {
  has: boolean
  marks: Mark[]
  sign: string
  look: string
}) {
  if (!has) return <td />
  return (
    <td className={look}>
      <span>{sign} </span>
      {marks.map((mark, i) =>
        mark.marked ? <mark key={i}>{mark.text}</mark> : <span key={i}>{mark.text}</span>
      )}
    </td>
  )
}
