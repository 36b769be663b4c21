'use client'

import { type Card, completeness, type SectionId } from '@/core/card'
import classes from './Bench.module.css'
import { countBySection, useFindings } from './findings'
import { sectionLink } from './focus'
import { useDerived } from './store'

const sectionsOf = (card: Card) =>
  completeness(card).map(({ id, title, complete }) => ({ id, title, complete }))

/** The sections in the order of the work, each with its notch. */
export function Rail({ here }: { here: SectionId }) {
  const sections = useDerived(sectionsOf)
  const counts = countBySection(useFindings())
  return (
    <nav className={classes.rail} aria-label="Sections">
      <ol>
        {sections.map(({ id, title, complete }) => (
          <li key={id}>
            <a
              {...sectionLink(id)}
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
