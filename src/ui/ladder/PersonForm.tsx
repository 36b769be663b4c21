'use client'

import { Button, Checkbox, NumberInput, SegmentedControl, SimpleGrid } from '@mantine/core'
import { useState } from 'react'
import { type Need, type Person, READY_BODIES, USUAL_PERSON } from '@/core/ladder'
import { LADDER } from '@/core/language'
import classes from './Ladder.module.css'

const NEEDS: readonly [need: Need, most: number][] = [
  ['straightLegRaise', 150],
  ['hipOpening', 95],
  ['shoulderReach', 180],
  ['ankleBend', 45],
  ['wristBend', 100],
  ['neckTurn', 90],
]
const LENGTHS = ['legs', 'arms', 'trunk'] as const

interface Props {
  person: Person | null
  onPerson: (person: Person | null) => void
}

/** What a person can do: one of four ready bodies, or one’s own numbers. Nothing of it is kept. */
export function PersonForm({ person, onPerson }: Props) {
  const [ready, setReady] = useState('none')
  const [own, setOwn] = useState(false)
  const choose = (id: string) => {
    setReady(id)
    if (id === 'none') return onPerson(null)
    onPerson(
      id === 'usual' ? USUAL_PERSON : (READY_BODIES.find((each) => each.id === id)?.person ?? null)
    )
  }
  const set = (change: Partial<Person>) => {
    setReady('own')
    onPerson({ ...(person ?? USUAL_PERSON), ...change })
  }
  const number = (value: string | number, usual: number) =>
    typeof value === 'number' ? value : usual
  return (
    <div className={classes.person}>
      <div className={classes.bodies}>
        <b id="for-a-body">For a body</b>
        <SegmentedControl
          size="xs"
          aria-labelledby="for-a-body"
          value={ready}
          onChange={choose}
          data={[
            { value: 'none', label: 'nobody' },
            { value: 'usual', label: LADDER.person.usual },
            ...READY_BODIES.map(({ id }) => ({ value: id, label: LADDER.person.ready[id] })),
            ...(ready === 'own' ? [{ value: 'own', label: 'Own numbers' }] : []),
          ]}
        />
        <Button
          size="compact-xs"
          variant="subtle"
          aria-expanded={own}
          onClick={() => {
            if (!own && !person) choose('usual')
            setOwn(!own)
          }}
        >
          {own ? 'Less' : 'Own numbers'}
        </Button>
      </div>
      {own && person && (
        <SimpleGrid cols={{ base: 2, sm: 5 }} spacing="xs" mt={6}>
          <NumberInput
            size="xs"
            label="Stature"
            suffix=" cm"
            min={100}
            max={230}
            value={person.stature}
            onChange={(value) => set({ stature: number(value, 170) })}
          />
          {LENGTHS.map((length) => (
            <NumberInput
              key={length}
              size="xs"
              label={`${length[0]!.toUpperCase()}${length.slice(1)}, against usual`}
              min={0.8}
              max={1.2}
              step={0.01}
              value={person[length]}
              onChange={(value) => set({ [length]: number(value, 1) })}
            />
          ))}
          {NEEDS.map(([need, most]) => (
            <NumberInput
              key={need}
              size="xs"
              label={LADDER.person.needs[need].replace(/^./, (letter) => letter.toUpperCase())}
              suffix="°"
              min={-20}
              max={most}
              value={person[need]}
              onChange={(value) => set({ [need]: number(value, USUAL_PERSON[need]) })}
            />
          ))}
          <Checkbox
            size="xs"
            mt={26}
            label="Weight on the hands"
            checked={person.weightOnHands}
            onChange={(event) => set({ weightOnHands: event.currentTarget.checked })}
          />
        </SimpleGrid>
      )}
    </div>
  )
}
