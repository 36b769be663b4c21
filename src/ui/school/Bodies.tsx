'use client'

import { NativeSelect } from '@mantine/core'
import { BUILDS, type Build, type School } from '@/core/card'
import { drawnFigure, readFigure, startOf } from '@/core/figure'
import { FIGURE } from '@/core/language'
import { FigureSvg } from '../shared/FigureSvg'
import classes from './Bodies.module.css'

const standing = startOf('standing')!.figure

const drawingOf = (build: Build) =>
  drawnFigure(readFigure({ ...standing, body: { build }, view: { turn: 20 } }).figure!, false)

interface Props {
  school: School
  onChange: (next: Partial<School>) => void
}

/** The bodies that a school draws, picked by looking at them, and how they take turns. */
export function Bodies({ school: { builds, buildsBy }, onChange }: Props) {
  const toggle = (build: Build) => {
    const next = builds.includes(build)
      ? builds.filter((each) => each !== build)
      : BUILDS.filter((each) => each === build || builds.includes(each))
    if (next.length > 0) onChange({ builds: next })
  }
  return (
    <>
      <div className={classes.row}>
        {BUILDS.map((build) => (
          <button
            key={build}
            type="button"
            className={classes.body}
            aria-pressed={builds.includes(build)}
            onClick={() => toggle(build)}
          >
            <FigureSvg drawing={drawingOf(build)} label={FIGURE.builds[build]} />
            <span>
              <span className={classes.mark} aria-hidden /> {FIGURE.builds[build]}
            </span>
          </button>
        ))}
      </div>
      {builds.length > 1 && (
        <NativeSelect
          mt="xs"
          w={260}
          label="They take turns"
          value={buildsBy}
          data={[
            { value: 'card', label: 'from card to card' },
            { value: 'base', label: 'from base to base' },
          ]}
          onChange={(event) =>
            onChange({ buildsBy: event.currentTarget.value as School['buildsBy'] })
          }
        />
      )}
    </>
  )
}
