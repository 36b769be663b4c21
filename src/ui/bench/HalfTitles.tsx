'use client'

import { firstSideOf, type Side } from '@/core/card'
import { useSchool } from '../shared/school'
import { SideNotch } from '../shared/SideNotch'
import classes from './Spread.module.css'
import { useBench } from './store'

/** The head of a spread: which half is led from which side, and which comes first. */
export function HalfTitles({ centre }: { centre: string }) {
  const sided = useBench((state) => state.card.sides === 'sided')
  const school = useSchool()
  const first = useBench((state) => firstSideOf(state.card, school))
  const order = (side: Side) => (side === first ? 'first' : 'second')
  return (
    <div className={`${classes.row} ${classes.titles}`} data-block>
      <span />
      {sided && (
        <span className={`${classes.left} ${classes.leftTitle}`}>
          <small>{order('left')}</small> LEFT LEADS <SideNotch side="left" />
        </span>
      )}
      <span className={classes.centreTitle}>{centre}</span>
      <span className={`${classes.right} ${sided ? classes.rightTitle : classes.evenTitle}`}>
        {sided ? (
          <>
            <SideNotch side="right" /> RIGHT LEADS <small>{order('right')}</small>
          </>
        ) : (
          'BOTH SIDES ALIKE'
        )}
      </span>
      <span />
    </div>
  )
}
