'use client'

import { useEffect, useState } from 'react'
import { drawnFigure, type Figure, readFigure, STARTS } from '@/core/figure'
import { FigureSvg } from '../shared/FigureSvg'
import classes from './FigureBench.module.css'

/** Between the drawings of two positions, in ms: the page answers meanwhile. */
const APART = 12

/** Starting positions, drawn, to pick one from. */
export function DrawnStarts({ onPick }: { onPick: (figure: Figure) => void }) {
  const [drawn, setDrawn] = useState(0)
  useEffect(() => {
    if (drawn >= STARTS.length) return
    const timer = setTimeout(() => setDrawn(drawn + 1), APART)
    return () => clearTimeout(timer)
  }, [drawn])
  return (
    <ul className={classes.starts} aria-label="Starting positions">
      {STARTS.map(({ id, title, figure: input }, i) => {
        const figure = readFigure(input).figure!
        return (
          <li key={id}>
            <button onClick={() => onPick(figure)}>
              {i < drawn ? (
                <FigureSvg drawing={drawnFigure(figure, false)} label="" />
              ) : (
                <span className={classes.startSpace} />
              )}
              {title}
            </button>
          </li>
        )
      })}
    </ul>
  )
}
