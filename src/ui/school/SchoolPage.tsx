'use client'

import {
  Alert,
  Autocomplete,
  Button,
  Checkbox,
  Group,
  NativeSelect,
  NumberInput,
  Progress,
  SimpleGrid,
  Skeleton,
  Text,
  Textarea,
  TextInput,
} from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import dynamic from 'next/dynamic'
import { useEffect, useMemo, useState } from 'react'
import { breathsAMinute } from '@/core/breath'
import {
  type Card,
  CONVENTIONS,
  DEMANDED,
  dropUnwritable,
  type School,
  SEVERITIES,
  type Severity,
  tidyLine,
  tidyProse,
} from '@/core/card'
import { RULES } from '@/core/check'
import { DEMAND_WEIGHTS } from '@/core/ladder'
import { LADDER, SAY_CAUTIONS } from '@/core/language'
import type { DeckJob } from '@/workers/deckFindings'
import { Page } from '../chrome/Page'
import { api, ApiError } from '../shared/api'
import { SeverityMark } from '../shared/SeverityMark'
import { TagsField } from '../shared/TagsField'
import { useDeckFindings } from '../shared/useDeckFindings'
import classes from './SchoolPage.module.css'

/** Drawn bodies come after the words. */
const Bodies = dynamic(() => import('./Bodies').then(({ Bodies }) => Bodies), {
  ssr: false,
  loading: () => <Skeleton height={210} mt="xs" />,
})

interface Deck {
  school: School
  cards: { card: Card; version: number; status: string }[]
}

const same = (a: School, b: School) => JSON.stringify(a) === JSON.stringify(b)

/** The rules of the school; before they are saved it is told how many cards they change. */
export function SchoolPage() {
  const [deck, setDeck] = useState<Deck | null>(null)
  const [failure, setFailure] = useState('')
  useEffect(() => {
    api<Deck>('/api/deck')
      .then(setDeck)
      .catch((error: Error) => setFailure(error.message))
  }, [])
  return (
    <Page here="school" width={1080}>
      <h1>The school</h1>
      <Text c="dimmed">
        What all cards of the deck share, and how this school decides where schools differ.
      </Text>
      {failure && (
        <Alert color="red" my="sm">
          {failure}
        </Alert>
      )}
      {!deck && !failure && <Skeleton height={400} mt="md" />}
      {deck && <Form deck={deck} onSaved={(school) => setDeck({ ...deck, school })} />}
    </Page>
  )
}

function Form({ deck, onSaved }: { deck: Deck; onSaved: (school: School) => void }) {
  const [school, setSchool] = useState(deck.school)
  const [failure, setFailure] = useState('')
  const set = (next: Partial<School>) => setSchool((now) => ({ ...now, ...next }))
  const [settled] = useDebouncedValue(school, 300)
  const changed = !same(school, deck.school)
  const job = useMemo<DeckJob | null>(
    () =>
      same(settled, deck.school)
        ? null
        : { cards: deck.cards, school: settled, compareWith: deck.school },
    [settled, deck]
  )
  const work = useDeckFindings(job)

  async function save() {
    const tidied: School = {
      ...school,
      name: tidyLine(school.name),
      consent: tidyLine(school.consent),
      cautionLead: tidyProse(school.cautionLead),
    }
    try {
      await api('/api/school', { method: 'PUT', json: { school: tidied, from: deck.school } })
      setSchool(tidied)
      setFailure('')
      onSaved(tidied)
    } catch (error) {
      setFailure((error as ApiError).message)
    }
  }

  const pace = (key: 'in' | 'out', value: string | number) => {
    if (typeof value === 'number' && value > 0) set({ pace: { ...school.pace, [key]: value } })
  }
  const convention = (id: string, value: string) => {
    const { [id]: _, ...others } = school.conventions
    set({ conventions: value ? { ...others, [id]: value } : others })
  }
  const severity = (id: string, value: string) => {
    const { [id]: _, ...others } = school.severities
    set({ severities: value ? { ...others, [id]: value as Severity } : others })
  }

  return (
    <>
      <section className={classes.part} aria-labelledby="manner">
        <h2 id="manner">Its manner</h2>
        <TextInput
          label="Name"
          value={school.name}
          onChange={(event) => set({ name: dropUnwritable(event.currentTarget.value) })}
        />
        <SimpleGrid cols={{ base: 2, sm: 4 }} mt="sm">
          <NativeSelect
            label="First side"
            value={school.firstSide}
            data={['right', 'left']}
            onChange={(event) => set({ firstSide: event.currentTarget.value as 'left' | 'right' })}
          />
          <NumberInput
            label="In, seconds"
            min={1}
            max={60}
            value={school.pace.in}
            onChange={(value) => pace('in', value)}
          />
          <NumberInput
            label="Out, seconds"
            min={1}
            max={60}
            value={school.pace.out}
            onChange={(value) => pace('out', value)}
          />
          <NumberInput
            label="Speech, words a minute"
            min={40}
            max={300}
            value={school.speechRate}
            onChange={(value) => {
              if (typeof value === 'number' && value >= 40 && value <= 300)
                set({ speechRate: value })
            }}
          />
          <NativeSelect
            label="Against the clock"
            value={school.turning}
            data={['counterclockwise', 'anticlockwise']}
            onChange={(event) => set({ turning: event.currentTarget.value as School['turning'] })}
          />
          <NativeSelect
            label="Paper"
            value={school.paper}
            data={['A4', 'A5', 'A6']}
            onChange={(event) => set({ paper: event.currentTarget.value as School['paper'] })}
          />
        </SimpleGrid>
        <Text size="sm" c="dimmed" mt={6}>
          {Math.round(breathsAMinute(school.pace) * 10) / 10} breaths a minute. A phase of{' '}
          {school.pace.in} s carries {Math.floor((school.pace.in * school.speechRate) / 60)} words.
        </Text>
        <Checkbox
          mt="sm"
          label="The breath may be held"
          checked={school.retention}
          onChange={(event) => set({ retention: event.currentTarget.checked })}
        />
        <Textarea
          mt="sm"
          label="Said above the cautions of every card"
          autosize
          value={school.cautionLead}
          onChange={(event) => set({ cautionLead: dropUnwritable(event.currentTarget.value) })}
        />
        {!SAY_CAUTIONS.defers(school.cautionLead) && (
          <Text size="sm" c="var(--alert)">
            It names no clinician and no local rules; this is printed after it: “
            {SAY_CAUTIONS.defer}”
          </Text>
        )}
        <TextInput
          mt="sm"
          label="Said before every touch"
          value={school.consent}
          onChange={(event) => set({ consent: dropUnwritable(event.currentTarget.value) })}
        />
      </section>

      <section className={classes.part} aria-labelledby="bodies">
        <h2 id="bodies">Bodies that are drawn</h2>
        <Text size="sm" c="dimmed">
          Pick those that trainees should see themselves in. More than one take turns over the deck;
          a card always has the same.
        </Text>
        <Bodies school={school} onChange={set} />
      </section>

      <section className={classes.part} aria-labelledby="ladders">
        <h2 id="ladders">What counts on a ladder</h2>
        <Text size="sm" c="dimmed">
          How much each part of what a rung asks counts in all, from 0 to 10; and the house phrases
          that are offered for going up and coming down.
        </Text>
        <SimpleGrid cols={{ base: 3, sm: 6 }} spacing="sm" mt="xs">
          {DEMANDED.map((part) => (
            <NumberInput
              key={part}
              size="xs"
              label={LADDER.demanded[part]}
              title={LADDER.demandedMeans[part]}
              min={0}
              max={10}
              step={0.5}
              placeholder={String(DEMAND_WEIGHTS[part])}
              value={school.weights[part] ?? ''}
              onChange={(value) => {
                const { [part]: _, ...others } = school.weights
                set({ weights: typeof value === 'number' ? { ...others, [part]: value } : others })
              }}
            />
          ))}
        </SimpleGrid>
        {(['up', 'down'] as const).map((way) => (
          <TagsField
            key={way}
            mt="xs"
            size="xs"
            label={way === 'up' ? 'Signs to go up' : 'Signs to come down'}
            data={LADDER.phrases[way]}
            value={school.signs[way]}
            onChange={(signs) =>
              set({ signs: { ...school.signs, [way]: signs.map(dropUnwritable) } })
            }
          />
        ))}
      </section>

      <section className={classes.part} aria-labelledby="conventions">
        <h2 id="conventions">Where schools differ</h2>
        <Text size="sm" c="dimmed">
          Printed on the cards that they concern. Empty: the cards say nothing of it.
        </Text>
        <SimpleGrid cols={{ base: 1, sm: 2 }} mt="xs">
          {CONVENTIONS.map(({ id, title, answers, applies }) => {
            const count = deck.cards.filter(({ card }) => applies(card)).length
            return (
              <Autocomplete
                key={id}
                label={title}
                description={`concerns ${count} ${count === 1 ? 'card' : 'cards'}`}
                data={[...answers]}
                value={school.conventions[id] ?? ''}
                onChange={(value) => convention(id, dropUnwritable(value))}
              />
            )
          })}
        </SimpleGrid>
      </section>

      <section className={classes.part} aria-labelledby="weights">
        <h2 id="weights">How heavy each rule weighs</h2>
        <table className={classes.rules}>
          <thead>
            <tr>
              <th scope="col">looks at</th>
              <th scope="col">why</th>
              <th scope="col">weighs</th>
            </tr>
          </thead>
          <tbody>
            {RULES.map((rule) => (
              <tr key={rule.id}>
                <td>{rule.looksAt}</td>
                <td className={classes.why}>{rule.why}</td>
                <td>
                  <span className={classes.weight}>
                    <SeverityMark severity={school.severities[rule.id] ?? rule.severity} />
                    <NativeSelect
                      size="xs"
                      aria-label={`Weight of: ${rule.looksAt}`}
                      value={school.severities[rule.id] ?? ''}
                      data={[
                        { value: '', label: `${rule.severity} (usual)` },
                        ...SEVERITIES.map((each) => ({ value: each, label: each })),
                      ]}
                      onChange={(event) => severity(rule.id, event.currentTarget.value)}
                    />
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>

      {(changed || failure) && (
        <div className={classes.bar} role="status">
          <div className={classes.told}>
            {failure && <Text c="var(--alert)">{failure}</Text>}
            {changed && work.state === 'running' && (
              <>
                Working out what changes: {work.done} of {work.total} cards
                <Progress value={(work.done / work.total) * 100} mt={4} aria-label="Progress" />
              </>
            )}
            {changed && work.state === 'idle' && 'Working out what changes …'}
            {changed && work.state === 'failed' && work.message}
            {changed && work.state === 'finished' && (
              <Change differ={work.differ} total={deck.cards.length} />
            )}
          </div>
          <Group gap="xs">
            <Button variant="default" onClick={() => setSchool(deck.school)}>
              Leave it as it was
            </Button>
            <Button
              disabled={!changed || !same(school, settled) || /^(?:idle|running)$/.test(work.state)}
              onClick={() => void save()}
            >
              Save for the deck
            </Button>
          </Group>
        </div>
      )}
    </>
  )
}

function Change({ differ, total }: { differ: { findings: number; time: number }; total: number }) {
  if (differ.findings === 0 && differ.time === 0)
    return <>No finding and no time of the {total} cards changes.</>
  return (
    <>
      Of {total} cards, <b>{differ.findings}</b> get other findings and <b>{differ.time}</b> take
      another time.
    </>
  )
}
