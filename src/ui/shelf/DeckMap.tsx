import { LABELS } from '@/core/language'
import { BASES, SPINES, type Base, type Spine } from '@/core/card'
import classes from './DeckMap.module.css'
import type { ShelfCard } from '@/core/deck'

interface Props {
  cards: ShelfCard[]
  chosen: { base: Base; spine: Spine } | null
  onChoose: (place: { base: Base; spine: Spine } | null) => void
}

/** Base by spine direction: how many cards stand in each place, and where the deck has holes. */
export function DeckMap({ cards, chosen, onChoose }: Props) {
  const counts = new Map<string, number>()
  for (const card of cards) {
    const key = `${card.base} ${card.spine}`
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  return (
    <table className={classes.map}>
      <caption className="visually-hidden">Cards by base and spine direction</caption>
      <thead>
        <tr>
          <td />
          {SPINES.map((spine) => (
            <th key={spine} scope="col">
              {spine}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {BASES.map((base) => (
          <tr key={base}>
            <th scope="row">{LABELS.base[base].split(',')[0]}</th>
            {SPINES.map((spine) => {
              const count = counts.get(`${base} ${spine}`) ?? 0
              const here = chosen?.base === base && chosen.spine === spine
              return (
                <td key={spine}>
                  {count === 0 ? (
                    <span className={classes.hole}>
                      <span className="visually-hidden">none</span>
                    </span>
                  ) : (
                    <button
                      className={classes.place}
                      aria-pressed={here}
                      aria-label={`${LABELS.base[base]}, ${spine}: ${count}`}
                      onClick={() => onChoose(here ? null : { base, spine })}
                    >
                      {count}
                    </button>
                  )}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
