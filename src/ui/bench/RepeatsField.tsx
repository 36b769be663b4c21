'use client'

import { readRepeats, type Repeats, withValue, writeRepeats } from '@/core/card'
import { type ComponentProps, useState } from 'react'
import { useBenchStore } from './store'

interface RepeatsFieldProps extends Omit<ComponentProps<'input'>, 'onChange' | 'value'> {
  of: Repeats
  /** Of the step. */
  path: string
}

/** How often a step is done: a number, or two with a hyphen. What is no count is not taken. */
export function RepeatsField({ of, path, ...rest }: RepeatsFieldProps) {
  const bench = useBenchStore()
  const set = ({ repeat, repeatMost }: Repeats) =>
    bench
      .getState()
      .edit(
        (now) =>
          withValue(withValue(now, `${path}.repeat`, repeat), `${path}.repeatMost`, repeatMost),
        path
      )
  const [typed, setTyped] = useState<string | null>(null)
  const shown = typed ?? writeRepeats(of)
  return (
    <input
      {...rest}
      inputMode="numeric"
      title="How often: 8, or 8-10"
      value={shown}
      aria-invalid={taken(shown) === null}
      onChange={(event) => {
        setTyped(event.currentTarget.value)
        const repeats = taken(event.currentTarget.value)
        if (repeats) set(repeats)
      }}
      onBlur={() => setTyped(null)}
    />
  )
}

function taken(text: string): Repeats | null {
  const read = readRepeats(text)
  const { repeat = 1, repeatMost = repeat + 1 } = read ?? {}
  if (!read || repeat < 1 || repeat > 200 || repeatMost > 200 || repeatMost <= repeat) return null
  return repeat === 1 && read.repeatMost === undefined ? {} : read
}
