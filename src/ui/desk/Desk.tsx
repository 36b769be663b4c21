'use client'

import {
  Alert,
  Button,
  Group,
  Progress,
  SegmentedControl,
  Skeleton,
  Text,
  TextInput,
} from '@mantine/core'
import { IconSearch } from '@tabler/icons-react'
import dynamic from 'next/dynamic'
import { Filter } from '../shared/Filter'
import { Link } from '../shared/Link'
import { useCallback, useEffect, useMemo, useState } from 'react'
import {
  type Card,
  type Finding,
  type School,
  sectionOf,
  SECTIONS,
  SEVERITIES,
  type Severity,
} from '@/core/card'
import { findingKey, RULES } from '@/core/check'
import { plainName } from '@/core/search'
import type { CardFindings, DeckJob } from '@/workers/deckFindings'
import { Page } from '../chrome/Page'
import { api } from '../shared/api'
import { SeverityMark } from '../shared/SeverityMark'
import { useDeckFindings } from '../shared/useDeckFindings'
import classes from './Desk.module.css'

const MendDialog = dynamic(() => import('./MendDialog').then((module) => module.MendDialog), {
  ssr: false,
})

export interface Deck {
  school: School
  cards: { card: Card; version: number; status: string }[]
  /** Ids of cards whose stored text cannot be read. */
  unreadable?: string[]
}

export interface Line {
  finding: Finding
  card: Pick<CardFindings, 'id' | 'title' | 'version'>
}

const SECTION_TITLES = new Map(SECTIONS.map(({ id, title }) => [id, title]))
const LOOKS_AT = new Map(RULES.map((rule) => [rule.id, rule]))

/** The deck's findings in one place: by rule or by card, each leading to its line. */
export function Desk() {
  const [deck, setDeck] = useState<Deck | null>(null)
  const [failure, setFailure] = useState('')
  const read = useCallback(() => {
    api<Deck>('/api/deck')
      .then(setDeck)
      .catch((error: Error) => setFailure(error.message))
  }, [])
  useEffect(read, [read])
  const job = useMemo<DeckJob | null>(
    () => deck && { cards: deck.cards, school: deck.school },
    [deck]
  )
  const work = useDeckFindings(job)
  // While the deck is read again, the lists stay as they were.
  const [found, setFound] = useState<CardFindings[] | null>(null)
  if (work.state === 'finished' && work.cards !== found) setFound(work.cards)
  return (
    <Page here="findings" width={1080}>
      <h1>Findings</h1>
      {deck?.unreadable && (
        <Alert color="red" my="sm">
          Cannot be read, and are not looked at here:{' '}
          {deck.unreadable.map((id, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <Link href={`/cards/${id}/history`}>{id}</Link>
            </span>
          ))}
          . An earlier version may be brought back from the history.
        </Alert>
      )}
      {(failure || work.state === 'failed') && (
        <Alert color="red" my="sm">
          {failure || (work.state === 'failed' && work.message)}
        </Alert>
      )}
      {work.state === 'running' && (
        <div>
          {work.done} of {work.total} cards
          <Progress value={(work.done / work.total) * 100} mt={4} aria-label="Progress" />
        </div>
      )}
      {!failure && !found && (work.state === 'idle' || work.state === 'running') && (
        <Skeleton height={300} mt="md" />
      )}
      {deck && found && <Lists deck={deck} found={found} onMended={read} />}
    </Page>
  )
}

function Lists({
  deck,
  found,
  onMended,
}: {
  deck: Deck
  found: CardFindings[]
  onMended: () => void
}) {
  const [by, setBy] = useState('rule')
  const [severity, setSeverity] = useState('')
  const [section, setSection] = useState('')
  const [text, setText] = useState('')
  const [mending, setMending] = useState<string | null>(null)
  const lines = useMemo(() => {
    const wanted = plainName(text)
    return found.flatMap((card) =>
      card.findings
        .filter(
          (finding) =>
            (!severity || finding.severity === severity) &&
            (!section || sectionOf(finding.where) === section) &&
            (!wanted || plainName(`${card.title} ${finding.message}`).includes(wanted))
        )
        .map((finding): Line => ({ finding, card }))
    )
  }, [found, severity, section, text])
  const all = found.reduce((sum, card) => sum + card.findings.length, 0)
  const touched = new Set(lines.map((line) => line.card.id)).size
  const counts = SEVERITIES.map((each) => ({
    each,
    count: lines.filter((line) => line.finding.severity === each).length,
  }))
  const groups = groupBy(lines, (line) => (by === 'rule' ? line.finding.rule : line.card.id))

  return (
    <>
      <Group gap="sm" align="end" my="sm">
        <SegmentedControl
          aria-label="Order"
          value={by}
          onChange={setBy}
          data={[
            { value: 'rule', label: 'By rule' },
            { value: 'card', label: 'By card' },
          ]}
        />
        <TextInput
          aria-label="Words in a finding"
          placeholder="Words, or a card"
          leftSection={<IconSearch size={16} />}
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
        />
        <Filter
          size="sm"
          label="Weight"
          all="any weight"
          value={severity}
          options={SEVERITIES}
          onChange={setSeverity}
        />
        <Filter
          size="sm"
          label="Section"
          all="any section"
          value={section}
          options={SECTIONS.map(({ id, title }) => ({ value: id, label: title }))}
          onChange={setSection}
        />
      </Group>
      <p className={classes.sum} role="status">
        {lines.length === all ? all : `${lines.length} of ${all}`} findings on {touched} of{' '}
        {found.length} cards:{' '}
        {counts.map(({ each, count }) => (
          <span key={each}>
            <SeverityMark severity={each} /> {count} {each}
          </span>
        ))}
      </p>
      {lines.length === 0 && (
        <Text c="dimmed">
          {all === 0
            ? 'Nothing to mend on the whole deck. Read a card aloud once, both sides.'
            : 'Nothing fits; take a filter off.'}
        </Text>
      )}
      {[...groups].map(([key, group]) => (
        <section key={key} className={classes.group} aria-label={titleOfGroup(by, key, group)}>
          <header>
            <h2>
              <bdi>{titleOfGroup(by, key, group)}</bdi> <small>{group.length}</small>
            </h2>
            {by === 'rule' && group.some((line) => line.finding.fix) && (
              <Button
                size="compact-sm"
                variant="default"
                style={{ flex: 'none' }}
                onClick={() => setMending(key)}
              >
                Mend many at once …
              </Button>
            )}
          </header>
          {by === 'rule' && <p className={classes.why}>{LOOKS_AT.get(key)?.why}</p>}
          <FindingLines lines={group} by={by} />
        </section>
      ))}
      {mending && (
        <MendDialog
          deck={deck}
          lines={(groups.get(mending) ?? []).filter((line) => line.finding.fix)}
          title={LOOKS_AT.get(mending)?.looksAt ?? mending}
          onClose={(mended) => {
            setMending(null)
            if (mended) onMended()
          }}
        />
      )}
    </>
  )
}

/** More lines than this in one group are folded away until they are asked for. */
const SHOWN = 12

function FindingLines({ lines, by }: { lines: Line[]; by: string }) {
  const [all, setAll] = useState(false)
  const shown = all ? lines : lines.slice(0, SHOWN)
  return (
    <ul className={classes.lines}>
      {shown.map(({ finding, card }) => (
        <li key={`${card.id} ${findingKey(finding)}`}>
          <SeverityMark severity={finding.severity as Severity} />
          <span>
            <Link href={`/cards/${card.id}/bench?at=${encodeURIComponent(finding.where)}`}>
              <bdi>{by === 'rule' ? card.title : SECTION_TITLES.get(sectionOf(finding.where))}</bdi>
            </Link>{' '}
            <b>{finding.severity}</b> {finding.message}
          </span>
        </li>
      ))}
      {lines.length > shown.length && (
        <li>
          <Button size="compact-sm" variant="subtle" onClick={() => setAll(true)}>
            Show {lines.length - shown.length} more
          </Button>
        </li>
      )}
    </ul>
  )
}

const titleOfGroup = (by: string, key: string, group: Line[]) =>
  by === 'rule' ? (LOOKS_AT.get(key)?.looksAt ?? key) : group[0]!.card.title

function groupBy(lines: Line[], keyOf: (line: Line) => string): Map<string, Line[]> {
  const groups = new Map<string, Line[]>()
  for (const line of lines) {
    const group = groups.get(keyOf(line))
    if (group) group.push(line)
    else groups.set(keyOf(line), [line])
  }
  const weight = (group: Line[]) =>
    Math.min(...group.map((line) => SEVERITIES.indexOf(line.finding.severity)))
  return new Map([...groups].sort(([, a], [, b]) => weight(a) - weight(b) || b.length - a.length))
}
