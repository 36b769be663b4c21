'use client'

import { LABELS } from '@/core/language'
import { NativeSelect, NumberInput, Text, Textarea } from '@mantine/core'
import { useEffect, useState } from 'react'
import { type Assist, BREATHS, type Breath, dropUnwritable, LIMITS, type On, ON } from '@/core/card'
import { api } from '../shared/api'
import { useSchool } from '../shared/school'
import { TagsField } from '../shared/TagsField'
import { PartList, type PartProps } from './PartList'
import classes from './PartList.module.css'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench, useBenchStore } from './store'

interface OtherCard {
  id: string
  title: string
}

/** Between the sides, what follows, touch, and notes. */
export function RestSection() {
  const bench = useBenchStore()
  const school = useSchool()
  const sided = useBench((state) => state.card.sides === 'sided')
  const between = useBench((state) => state.card.betweenSides)
  const notes = useBench((state) => state.card.notes)
  return (
    <>
      {sided && (
        <div className={classes.list}>
          <h3 className={classes.title}>Between the sides</h3>
          <LineSpread label="Between the sides">
            <SidedLine
              path="betweenSides.text"
              value={between.text}
              label="after this side"
              name="Between the sides"
              placeholder="Stand still and feel the difference."
            />
          </LineSpread>
          <NumberInput
            mt="xs"
            w={160}
            label="Free breaths"
            min={1}
            max={100}
            placeholder="1"
            value={between.breaths ?? ''}
            onChange={(value) =>
              bench
                .getState()
                .set('betweenSides.breaths', typeof value === 'number' ? value : undefined)
            }
          />
        </div>
      )}
      <Counter />
      <PartList<Assist>
        list="assists"
        noun="touch"
        title="Touch"
        teach={`${school.consent} Steady your own stance first, press on the out-breath, withdraw softly.`}
        make={newAssist}
        Form={AssistForm}
      />
      <Textarea
        mt="md"
        label="Notes"
        autosize
        minRows={2}
        dir="auto"
        maxLength={LIMITS.notes}
        value={notes}
        onChange={(event) =>
          bench.getState().set('notes', dropUnwritable(event.currentTarget.value))
        }
      />
    </>
  )
}

const newAssist = (): Assist => ({ text: '', stance: '', on: 'both', breath: 'out' })

function AssistForm({ part: assist, set, at, path }: PartProps<Assist>) {
  const sided = useBench((state) => state.card.sides === 'sided')
  return (
    <>
      <LineSpread label={`Touch ${at}`}>
        <SidedLine path={`${path}.text`} value={assist.text} label="do" name={`Touch ${at}`} />
        <SidedLine
          path={`${path}.stance`}
          value={assist.stance}
          label="stand first"
          name={`Stance of touch ${at}`}
          calm
        />
      </LineSpread>
      <NativeSelect
        size="xs"
        aria-label={`Breath of touch ${at}`}
        value={assist.breath ?? ''}
        data={[
          { value: '', label: 'any breath' },
          ...BREATHS.map((value) => ({ value, label: `on ${LABELS.breath[value]}` })),
        ]}
        onChange={(event) =>
          set({ breath: (event.currentTarget.value || undefined) as Breath | undefined })
        }
      />
      {sided && (
        <NativeSelect
          size="xs"
          aria-label={`Sides of touch ${at}`}
          value={assist.on}
          data={ON.map((value) => ({ value, label: LABELS.on[value] }))}
          onChange={(event) => set({ on: event.currentTarget.value as On })}
        />
      )}
    </>
  )
}

/** The poses that follow or balance this one, picked from the deck by name. */
function Counter() {
  const bench = useBenchStore()
  const id = useBench((state) => state.card.id)
  const counter = useBench((state) => state.card.counter)
  const [deck, setDeck] = useState<OtherCard[] | null>(null)
  const [unknown, setUnknown] = useState('')
  useEffect(() => {
    api<{ cards: OtherCard[] }>('/api/shelf')
      .then(({ cards }) => setDeck(cards))
      .catch(() => setDeck([]))
  }, [])
  const others = (deck ?? []).filter((card) => card.id !== id)
  const label = ({ title, id }: OtherCard) => `${title} (${id})`
  const shown = (one: string) => {
    const card = others.find((each) => each.id === one)
    return card ? label(card) : one
  }
  /** As it is picked, or as it is typed: by its name, where only one card has it. */
  const idOf = (name: string) => {
    const same = (text: string) => text.toLowerCase() === name.trim().toLowerCase()
    const picked = others.find((card) => same(card.id) || same(label(card)))
    const [titled, ...more] = others.filter((card) => same(card.title))
    return (picked ?? (more.length === 0 ? titled : undefined))?.id ?? name
  }
  const gone = deck ? counter.filter((one) => !others.some((card) => card.id === one)) : []
  return (
    <>
      <TagsField
        mt="md"
        label="Follow with"
        description="counter poses, from the deck"
        placeholder="A pose, then Enter"
        data={others.map(label)}
        value={counter.map(shown)}
        isDuplicate={(name, all) => all.some((each) => idOf(each) === idOf(name))}
        error={unknown && `“${unknown}” is not the name of one card: pick it from the list.`}
        onChange={(names) => {
          const ids = names.map(idOf)
          const isKnown = (one: string) =>
            counter.includes(one) || others.some((card) => card.id === one)
          const taken = ids.filter(isKnown)
          if (taken.join() !== counter.join()) bench.getState().set('counter', taken)
          setUnknown(ids.find((one) => !isKnown(one)) ?? '')
        }}
      />
      {gone.length > 0 && (
        <Text size="sm" c="dimmed">
          Not in the deck yet: {gone.join(', ')}.
        </Text>
      )}
    </>
  )
}
