'use client'

import { LABELS } from '@/core/language'
import { NumberInput, SimpleGrid, Text } from '@mantine/core'
import {
  cuesWithin,
  paceOf,
  speechSeconds,
  stayNotes,
  staySeconds,
  staySecondsOnce,
} from '@/core/breath'
import { useCallback } from 'react'
import type { Card, Pace, School, Stay } from '@/core/card'
import { useSchool } from '../shared/school'
import { useBench, useBenchStore, useDerived } from './store'

const count = (value: string | number) => (typeof value === 'number' ? value : undefined)
/** The larger number of a range; none when it is not larger. */
const over = (least: number | undefined, most: number | undefined) =>
  least !== undefined && most !== undefined && most > least ? most : undefined

/** How long the pose is held, in breaths or in seconds, and at what pace. */
export function StayForm({ stay, path }: { stay: Stay; path: string }) {
  const bench = useBenchStore()
  const school = useSchool()
  const set = (next: Partial<Stay>) => {
    const all = { ...stay, ...next }
    for (const key of Object.keys(all) as (keyof Stay)[])
      if (all[key] === undefined) delete all[key]
    bench.getState().set(path, all)
  }
  const [least, most] = stay.seconds ?? []
  const seconds = (from: number | undefined, to: number | undefined) => {
    const low = from ?? to
    const high = to ?? from
    set({
      seconds:
        low === undefined || high === undefined
          ? undefined
          : [Math.min(low, high), Math.max(low, high)],
    })
  }
  const pace = (key: keyof Pace, value: number | undefined) => {
    const now: Partial<Pace> = { ...stay.pace, [key]: value }
    if (value === undefined) delete now[key]
    const whole = now.in || now.out || now.holdIn || now.holdOut
    set({
      pace: whole
        ? { ...now, in: now.in ?? school.pace.in, out: now.out ?? school.pace.out }
        : undefined,
    })
  }
  return (
    <>
      <SimpleGrid cols={{ base: 2, sm: 4 }} spacing="sm">
        <NumberInput
          label="Breaths"
          min={1}
          max={1000}
          value={stay.breaths ?? ''}
          onChange={(value) => {
            const breaths = count(value)
            set({ breaths, breathsMost: over(breaths, stay.breathsMost) })
          }}
        />
        <NumberInput
          label="to, at most"
          min={1}
          max={1000}
          disabled={stay.breaths === undefined}
          value={stay.breathsMost ?? ''}
          onChange={(value) => set({ breathsMost: over(stay.breaths, count(value)) })}
        />
        <NumberInput
          label="Seconds, least"
          min={1}
          max={7200}
          value={least ?? ''}
          onChange={(value) => seconds(count(value), most)}
        />
        <NumberInput
          label="Seconds, most"
          min={1}
          max={7200}
          value={most ?? ''}
          onChange={(value) => seconds(least, count(value))}
        />
        <NumberInput
          label="Times"
          min={1}
          max={200}
          allowDecimal={false}
          value={stay.repeats}
          onChange={(value) => {
            const repeats = count(value) || 1
            set({ repeats, repeatsMost: over(repeats, stay.repeatsMost) })
          }}
        />
        <NumberInput
          label="to, at most times"
          min={1}
          max={200}
          allowDecimal={false}
          value={stay.repeatsMost ?? ''}
          onChange={(value) => set({ repeatsMost: over(stay.repeats, count(value)) })}
        />
        <NumberInput
          label="Rest between, breaths"
          min={1}
          max={1000}
          value={stay.restBetween?.breaths ?? ''}
          onChange={(value) => {
            const breaths = count(value)
            set({ restBetween: breaths === undefined ? undefined : { breaths } })
          }}
        />
      </SimpleGrid>
      <SimpleGrid cols={{ base: 2, sm: 5 }} spacing="sm" mt="xs">
        {(
          [
            ['in', 'Pace: in, seconds'],
            ['holdIn', 'hold in'],
            ['out', 'out'],
            ['holdOut', 'hold out'],
          ] as const
        ).map(([key, label]) => (
          <NumberInput
            key={key}
            label={label}
            min={1}
            max={60}
            value={stay.pace?.[key] ?? ''}
            placeholder={key === 'in' || key === 'out' ? String(school.pace[key]) : ''}
            onChange={(value) => pace(key, count(value))}
          />
        ))}
      </SimpleGrid>
      <Text size="sm" c="dimmed" mt="xs">
        {LABELS.stay(stay) || 'no count yet'} · breath {LABELS.pace(stay.pace ?? school.pace)}
      </Text>
    </>
  )
}

export function StaySection() {
  const stay = useBench((state) => state.card.stay)
  return (
    <>
      <StayForm stay={stay} path="stay" />
      <StayTime />
    </>
  )
}

function stayTimes(card: Card, school: School) {
  const pace = paceOf(card, school)
  const once = staySecondsOnce(card.stay, pace)
  const cues = card.alignment.filter((cue) => cue.text).map((cue) => cue.text)
  return {
    once,
    whole: staySeconds(card.stay, pace),
    repeats: card.stay.repeats,
    notes: stayNotes(card, LABELS),
    cues: cues.length,
    said: cues.reduce((sum, cue) => sum + speechSeconds(cue, school.speechRate, card.language), 0),
    fits: cuesWithin(cues, once, school.speechRate, card.language),
  }
}

/** How long the stay is, and how many of the cues can be said in it. */
function StayTime() {
  const school = useSchool()
  const { once, whole, repeats, notes, cues, said, fits } = useDerived(
    useCallback((card: Card) => stayTimes(card, school), [school])
  )
  if (once === 0 && notes.length === 0) return null
  return (
    <Text size="sm" mt={4}>
      {notes.map((note) => `${note} `)}
      {once > 0 && LABELS.duration(whole)}
      {once > 0 && repeats > 1 && `, ${LABELS.duration(once)} each time`}
      {once > 0 && '. '}
      {once > 0 &&
        cues > 0 &&
        `The ${cues === 1 ? 'cue takes' : `${cues} cues take`} ${LABELS.duration(said)} to say: ${
          fits === cues ? 'all fit into it.' : `the first ${fits} fit into it.`
        }`}
    </Text>
  )
}
