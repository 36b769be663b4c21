'use client'

import { LABELS } from '@/core/language'
import { NumberInput, SimpleGrid, Text } from '@mantine/core'
import { cuesWithin, paceOf, speechSeconds, staySeconds, staySecondsOnce } from '@/core/breath'
import { useCallback } from 'react'
import type { Card, Pace, School, Stay } from '@/core/card'
import { useSchool } from '../shared/school'
import { useBench, useBenchStore, useDerived } from './store'

const count = (value: string | number) => (typeof value === 'number' ? value : undefined)

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
      <SimpleGrid cols={{ base: 2, sm: 5 }} spacing="sm">
        <NumberInput
          label="Breaths"
          min={1}
          max={1000}
          value={stay.breaths ?? ''}
          onChange={(value) => set({ breaths: count(value) })}
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
          onChange={(value) => set({ repeats: count(value) || 1 })}
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
    cues: cues.length,
    said: cues.reduce((sum, cue) => sum + speechSeconds(cue, school.speechRate, card.language), 0),
    fits: cuesWithin(cues, once, school.speechRate, card.language),
  }
}

/** How long the stay is, and how many of the cues can be said in it. */
function StayTime() {
  const school = useSchool()
  const { once, whole, repeats, cues, said, fits } = useDerived(
    useCallback((card: Card) => stayTimes(card, school), [school])
  )
  if (once === 0) return null
  return (
    <Text size="sm" mt={4}>
      {LABELS.duration(whole)}
      {repeats > 1 && `, ${LABELS.duration(once)} each time`}.{' '}
      {cues > 0 &&
        `The ${cues === 1 ? 'cue takes' : `${cues} cues take`} ${LABELS.duration(said)} to say: ${
          fits === cues ? 'all fit into it.' : `the first ${fits} fit into it.`
        }`}
    </Text>
  )
}
