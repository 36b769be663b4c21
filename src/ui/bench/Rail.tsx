'use client'

import { completeness, type SectionId } from '@/core/card'
import { useMemo } from 'react'
import classes from './Bench.module.css'
import { countBySection, useFindings } from './findings'
import { useBench } from './store'

/** The sections in the order of the work, each with its notch. */
export function Rail({ here }: { here: SectionId }) {
  const card = useBench((state) => state.card)
  const sections = useMemo(() => completeness(card), [card])
  const counts = countBySection(useFindings())
  return (
    <nav className={classes.rail} aria-label="Sections">
      <ol>
        {sections.map(({ id, title, complete }) => (
          <li key={id}>
            <a
              href={`#${id}`}
              aria-current={here === id ? 'true' : undefined}
              className={classes.stop}
            >
              {title}
              {(counts.get(id) ?? 0) > 0 && (
                <span className={classes.count}>
                  {counts.get(id)}
                  <span className="visually-hidden"> findings</span>
                </span>
              )}
              <span
                className={complete ? classes.full : classes.open}
                role="img"
                aria-label={complete ? 'written' : 'open'}
              />
            </a>
          </li>
        ))}
      </ol>
    </nav>
  )
}
