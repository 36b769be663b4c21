'use client'

import { Kbd } from '@mantine/core'
import { applyPatches, type Finding } from '@/core/card'
import { SeverityMark } from '../shared/SeverityMark'
import classes from './FindingsAt.module.css'
import { isAt, useFindings } from './findings'
import { useBenchStore } from './store'

/** The findings about one line, beside it; a mend that is offered is taken with one key. */
export function FindingsAt({ path, exact }: { path: string; exact?: boolean }) {
  const here = useFindings().filter((finding) =>
    exact ? finding.where === path : isAt(finding, path)
  )
  if (here.length === 0) return null
  return (
    <div className={classes.list}>
      {here.map((finding) => (
        <OneFinding key={finding.rule + finding.where + finding.message} finding={finding} />
      ))}
    </div>
  )
}

export function OneFinding({ finding }: { finding: Finding }) {
  const bench = useBenchStore()
  const { fix } = finding
  return (
    <p className={classes.finding} data-finding={finding.rule}>
      <SeverityMark severity={finding.severity} /> <b>{finding.severity}</b> {finding.message}{' '}
      {fix && (
        <button
          className={classes.mend}
          data-mend
          onClick={() => bench.getState().edit((card) => applyPatches(card, fix.patches))}
        >
          {fix.label} <Kbd size="xs">Alt</Kbd> <Kbd size="xs">.</Kbd>
        </button>
      )}
    </p>
  )
}
