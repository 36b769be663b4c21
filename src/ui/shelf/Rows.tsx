'use client'

import { LABELS } from '@/core/language'
import { useElementSize } from '@mantine/hooks'
import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { useLayoutEffect, useMemo, useRef, useState } from 'react'
import { BASES, type Base } from '@/core/card'
import { CardTile } from './CardTile'
import classes from './Shelf.module.css'
import type { ShelfCard } from '@/core/deck'

const TILE_WIDTH = 230
const GAP = 12
const TILE_HEIGHT = 138
const HEAD_HEIGHT = 56

type Row = { base: Base; count: number } | { cards: ShelfCard[] }

/** The deck in rows by base. Only the rows near the window are drawn, however long the shelf. */
export function Rows({ cards }: { cards: ShelfCard[] }) {
  const { ref: sized, width } = useElementSize()
  const place = useRef<HTMLDivElement>(null)
  const [offset, setOffset] = useState(0)
  useLayoutEffect(() => setOffset(place.current?.offsetTop ?? 0), [width, cards.length])
  const columns = Math.max(1, Math.floor((width + GAP) / (TILE_WIDTH + GAP)))
  const rows = useMemo(() => rowsOf(cards, columns), [cards, columns])
  const virtual = useWindowVirtualizer({
    count: width > 0 ? rows.length : 0,
    estimateSize: (i) => ('base' in rows[i]! ? HEAD_HEIGHT : TILE_HEIGHT + GAP),
    overscan: 6,
    scrollMargin: offset,
  })
  return (
    <div ref={place}>
      <div ref={sized} style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map(({ index, start, key }) => {
          const row = rows[index]!
          return (
            <div
              key={key}
              className={classes.placed}
              style={{ transform: `translateY(${start - offset}px)` }}
            >
              {'base' in row ? (
                <h2 className={classes.rowTitle}>
                  {LABELS.base[row.base]} <span>{row.count}</span>
                </h2>
              ) : (
                <div
                  className={classes.tiles}
                  style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
                  role="list"
                >
                  {row.cards.map((card) => (
                    <div key={card.id} role="listitem">
                      <CardTile card={card} />
                    </div>
                  ))}
                </div>
              )}
            </div>
          )
        })}
      </div>
    </div>
  )
}

function rowsOf(cards: ShelfCard[], columns: number): Row[] {
  return BASES.flatMap((base) => {
    const here = cards.filter((card) => card.base === base)
    if (here.length === 0) return []
    const rows: Row[] = [{ base, count: here.length }]
    for (let i = 0; i < here.length; i += columns) rows.push({ cards: here.slice(i, i + columns) })
    return rows
  })
}
