'use client'

import { LABELS } from '@/core/language'
import { useCallback } from 'react'
import type { Card } from '@/core/card'
import { ribbonOf, timeOf } from '@/core/breath'
import { useSchool } from '../shared/school'
import { Ribbon } from '../shared/Ribbon'
import classes from './Bench.module.css'
import { useDerived } from './store'

const PIXELS_A_SECOND = 5

/** How long the card takes, and one side of it to scale. */
export function PassTime() {
  const school = useSchool()
  const { time, ribbon } = useDerived(
    useCallback(
      (card: Card) => ({ time: timeOf(card, school), ribbon: ribbonOf(card, school) }),
      [school]
    )
  )
  if (time.right === 0) return null
  return (
    <section className={classes.time} aria-label="Time">
      <h2>Time</h2>
      <p>
        <b>{LABELS.duration(time.total)}</b> in all, {Math.round(time.breaths * 10) / 10} breaths
        {time.left !== null &&
          `: ${LABELS.duration(time.right)} a side, ${LABELS.duration(time.between)} between`}
        . The set-up is not counted.
      </p>
      <Ribbon
        ribbon={ribbon}
        length={Math.round(Math.min(520, Math.max(160, time.right * PIXELS_A_SECOND)))}
      />
    </section>
  )
}
