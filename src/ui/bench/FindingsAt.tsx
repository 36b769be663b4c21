'use client'

import { Kbd } from '@mantine/core'
import { memo, useCallback } from 'react'
import type { Finding } from '@/core/card'
import { SeverityMark } from '../shared/SeverityMark'
import classes from './FindingsAt.module.css'
import { isAt, useFindings, useTakeMend } from './findings'

/** The findings about one line, beside it; a mend that is offered is taken with one key. */
export const FindingsAt = memo(function FindingsAt(props: { path: string; exact?: boolean }) {
  const { path, exact } = props
  const here = useFindings(
    useCallback(
      (finding: Finding) => (exact ? finding.where === path : isAt(finding, path)),
      [path, exact]
    )
  )
  if (here.length === 0) return null
  return (
    <div className={classes.list}>
      {here.map((finding) => (
        <OneFinding key={finding.rule + finding.where + finding.message} finding={finding} />
      ))}
    </div>
  )
})

export const OneFinding = memo(function OneFinding({ finding }: { finding: Finding }) {
  const take = useTakeMend()
  const { fix } = finding
  return (
    <p className={classes.finding} data-finding={finding.rule}>
      <SeverityMark severity={finding.severity} /> <b>{finding.severity}</b> {finding.message}{' '}
      {fix && (
        <button className={classes.mend} data-mend onClick={() => take?.(finding)}>
          {fix.label} <Kbd size="xs">Alt</Kbd> <Kbd size="xs">.</Kbd>
        </button>
      )}
    </p>
  )
})
