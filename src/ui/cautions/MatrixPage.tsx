'use client'

import { Button, Checkbox, Group, Text, TextInput } from '@mantine/core'
import { IconDownload, IconPrinter, IconSearch, IconUpload } from '@tabler/icons-react'
import { Filter } from '../shared/Filter'
import { Link } from '../shared/Link'
import { type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react'
import { BASES, VERDICTS, type Verdict } from '@/core/card'
import { LABELS } from '@/core/language'
import type { SeenCard, SeenCell, SeenWhy } from '@/workers/deckCautions'
import { later } from '../shared/later'
import { VerdictMark } from '../shared/VerdictMark'
import classes from './Cautions.module.css'
import { CautionsPage } from './CautionsPage'
import type { DeckCautions, Matrix } from './useDeckCautions'
import { Why } from './Why'

const CsvDialog = later(() => import('./CsvDialog').then((module) => module.CsvDialog))

/** How many columns are drawn at once. */
const COLUMNS = 60

/** One column: a card by the form that it describes, or a rung of one card. */
interface Column {
  card: SeenCard
  rung: number
  title: string
  base: SeenCard['base'] | ''
}

const describedAt = ({ rungs }: SeenCard) => rungs.findIndex(({ described }) => described)

/** Whether a rung beneath this one lets in who is not let in here. */
const opensBelow = (cells: readonly SeenCell[], at: number) =>
  cells[at]!.verdict !== 'fine' &&
  cells[at]!.verdict !== 'change' &&
  cells.slice(0, at).some(({ verdict }) => verdict === 'fine' || verdict === 'change')

export function MatrixPage() {
  return <CautionsPage here="matrix">{(work) => <MatrixOf {...work} />}</CautionsPage>
}

type Work = DeckCautions & { deck: NonNullable<DeckCautions['deck']>; matrix: Matrix }

function MatrixOf({ matrix, ask, reload }: Work) {
  const { conditions, cards, failed } = matrix
  const [words, setWords] = useState('')
  const [group, setGroup] = useState('')
  const [base, setBase] = useState('')
  const [card, setCard] = useState('')
  const [verdict, setVerdict] = useState<Verdict | ''>('')
  const [disagree, setDisagree] = useState(false)
  const [page, setPage] = useState(0)
  const [picked, setPicked] = useState<{ card: string; condition: string } | null>(null)
  const [why, setWhy] = useState<SeenWhy | null>(null)
  const [reading, setReading] = useState(false)

  const columns = useMemo((): Column[] => {
    const one = cards.find(({ id }) => id === card)
    if (one) return one.rungs.map((rung, i) => ({ card: one, rung: i, title: rung.name, base: '' }))
    return cards
      .filter((each) => base === '' || each.base === base)
      .toSorted(
        (a, b) => BASES.indexOf(a.base) - BASES.indexOf(b.base) || a.title.localeCompare(b.title)
      )
      .map((each) => ({ card: each, rung: describedAt(each), title: each.title, base: each.base }))
  }, [cards, card, base])
  const differs = (cells: readonly SeenCell[]) => cells.some(({ by }) => by !== 'policy')
  const keeps = (column: Column, row: number) => {
    const cells = column.card.cells[row]!
    const cell = cells[column.rung]!
    return (
      (verdict === '' || cell.verdict === verdict) &&
      (!disagree || (card ? cell.by !== 'policy' : differs(cells)))
    )
  }
  const asked = words.trim().toLowerCase()
  const rows = conditions.flatMap((condition, at) => {
    const named =
      asked === '' ||
      [condition.name, ...condition.synonyms].some((name) => name.toLowerCase().includes(asked))
    const inGroup = group === '' || condition.group === group
    return named && inGroup && ((verdict === '' && !disagree) || columns.some((c) => keeps(c, at)))
      ? [{ condition, at }]
      : []
  })
  const shownColumns = columns.filter(
    (column) => !disagree || rows.some(({ at }) => keeps(column, at))
  )
  const pages = Math.ceil(shownColumns.length / COLUMNS)
  const here = shownColumns.slice(
    Math.min(page, pages - 1) * COLUMNS,
    (Math.min(page, pages - 1) + 1) * COLUMNS
  )

  useEffect(() => {
    if (!picked) return
    let gone = false
    void ask<'why'>({ ask: 'why', ...picked }).then((answer) => {
      if (!gone) setWhy(answer.why)
    })
    return () => {
      gone = true
    }
  }, [picked, ask])

  const groups = [...new Set(conditions.map((each) => each.group))]
  const bases = BASES.filter((each) => cards.some((one) => one.base === each))
  return (
    <>
      <Group gap="xs" mt="xs" align="flex-end">
        <TextInput
          size="xs"
          w={190}
          leftSection={<IconSearch size={14} />}
          aria-label="Find a condition"
          placeholder="Find a condition"
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
        <Filter
          label="Group of conditions"
          all="all groups"
          value={group}
          options={groups}
          onChange={setGroup}
        />
        <Filter
          label="Base"
          all="all bases"
          value={base}
          disabled={card !== ''}
          options={bases.map((value) => ({ value, label: LABELS.base[value] }))}
          onChange={(now) => {
            setBase(now)
            setPage(0)
          }}
        />
        <Filter
          label="Columns"
          all="a column a card"
          value={card}
          options={cards.map(({ id, title }) => ({ value: id, label: `rungs of ${title}` }))}
          onChange={setCard}
        />
        <Filter
          label="Verdict"
          all="all verdicts"
          value={verdict}
          options={VERDICTS.map((value) => ({ value, label: LABELS.verdict[value] }))}
          onChange={setVerdict}
        />
        <Checkbox
          size="xs"
          label="where a card differs"
          checked={disagree}
          onChange={(event) => setDisagree(event.currentTarget.checked)}
          mb={6}
        />
      </Group>
      <div className={classes.key}>
        {VERDICTS.map((each) => (
          <span key={each}>
            <VerdictMark verdict={each} /> {LABELS.verdict[each]}
          </span>
        ))}
        <span>
          <Corner kind="below" /> a rung below lets them in
        </span>
        <span>
          <Corner kind="card" /> the card says otherwise
        </span>
        <span>
          <Corner kind="against" /> against the policy, or its reason is out of date
        </span>
        <span className={classes.tools}>
          <Button
            size="compact-sm"
            variant="default"
            leftSection={<IconPrinter size={15} />}
            component="a"
            href="/api/cautions/pdf"
          >
            Wall sheet
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            leftSection={<IconDownload size={15} />}
            component="a"
            href="/api/cautions/csv"
          >
            CSV out
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            leftSection={<IconUpload size={15} />}
            onClick={() => setReading(true)}
          >
            CSV in
          </Button>
        </span>
      </div>
      <div className={classes.split}>
        <div className={classes.scroll}>
          <Grid
            rows={rows}
            columns={here}
            keeps={keeps}
            picked={picked}
            onPick={(column, condition) => setPicked({ card: column.card.id, condition })}
          />
          {pages > 1 && (
            <Group gap="xs" mt="xs">
              <Button
                size="compact-sm"
                variant="default"
                disabled={page <= 0}
                onClick={() => setPage(page - 1)}
              >
                Cards before
              </Button>
              <Text size="sm">
                {Math.min(page, pages - 1) + 1} of {pages}
              </Text>
              <Button
                size="compact-sm"
                variant="default"
                disabled={page >= pages - 1}
                onClick={() => setPage(page + 1)}
              >
                Cards after
              </Button>
            </Group>
          )}
        </div>
        <aside className={classes.aside} aria-label="Why" aria-live="polite">
          {picked && why ? (
            <>
              <h2>
                <Link href={`/cards/${picked.card}/bench?at=cautions`}>
                  {cards.find(({ id }) => id === picked.card)!.title}
                </Link>
              </h2>
              <Why why={why}>
                <p className={classes.by}>
                  <Link href={`/cautions/policy?condition=${picked.condition}`}>
                    The rules about {why.condition.name}
                  </Link>
                </p>
              </Why>
            </>
          ) : (
            <p className={classes.by}>
              Pick a cell to see what its verdict was read off, which rung is open, and where else
              one may go. Arrows move, Enter picks.
            </p>
          )}
        </aside>
      </div>
      {failed.length > 0 && (
        <p className={classes.by}>
          Not worked out: {failed.join(', ')}. The others stand as shown.
        </p>
      )}
      {reading && (
        <CsvDialog
          onClose={(saved) => {
            setReading(false)
            if (saved) reload()
          }}
        />
      )}
    </>
  )
}

/** What stands in a corner of a cell. */
function Corner({ kind }: { kind: 'below' | 'card' | 'against' }) {
  return (
    <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
      {kind === 'below' && <path d="M2 8 H10" stroke="var(--ink)" strokeWidth={2} />}
      {kind === 'card' && <path d="M5 1 H11 V7 Z" fill="var(--ink)" />}
      {kind === 'against' && (
        <rect
          x={1}
          y={1}
          width={10}
          height={10}
          fill="none"
          stroke="var(--alert)"
          strokeWidth={2}
          strokeDasharray="3 2"
        />
      )}
    </svg>
  )
}

interface GridProps {
  rows: { condition: Matrix['conditions'][number]; at: number }[]
  columns: Column[]
  keeps: (column: Column, row: number) => boolean
  picked: { card: string; condition: string } | null
  onPick: (column: Column, condition: string) => void
}

function Grid({ rows, columns, keeps, picked, onPick }: GridProps) {
  const [[r, c], setAt] = useState<readonly [number, number]>([0, 0])
  const table = useRef<HTMLTableElement>(null)
  const pick = (row: number, column: number) => {
    const to = columns[column]
    const of = rows[row]
    if (to && of) onPick(to, of.condition.id)
  }
  function keyDown(event: KeyboardEvent) {
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[
      event.key
    ]
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault()
      pick(r, c)
    }
    if (!by) return
    event.preventDefault()
    const next: readonly [number, number] = [
      Math.max(0, Math.min(rows.length - 1, r + by[0]!)),
      Math.max(0, Math.min(columns.length - 1, c + by[1]!)),
    ]
    setAt(next)
    table.current?.querySelector<HTMLElement>(`[data-r="${next[0]}"][data-c="${next[1]}"]`)?.focus()
  }
  const cellOf = (target: EventTarget) => {
    const cell = (target as HTMLElement).closest<HTMLElement>('[data-r]')
    return cell ? ([Number(cell.dataset.r), Number(cell.dataset.c)] as const) : null
  }
  if (rows.length === 0) return <p>Nothing is like that. Widen the filter.</p>
  return (
    <table
      ref={table}
      className={classes.grid}
      role="grid"
      aria-label="Verdicts"
      onKeyDown={keyDown}
      onClick={({ target }) => {
        const at = cellOf(target)
        if (!at) return
        setAt(at)
        pick(...at)
      }}
    >
      <thead>
        <tr>
          <td />
          {columns.map(({ card, rung, title }, i) => (
            <th key={`${card.id} ${rung} ${i}`} scope="col">
              <span title={title}>{title}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ condition, at }, row) => (
          <tr
            key={condition.id}
            data-first={rows[row - 1]?.condition.group !== condition.group || undefined}
          >
            <th scope="row">{condition.name}</th>
            {columns.map((column, i) => (
              <CellMark
                key={`${column.card.id} ${column.rung} ${i}`}
                cells={column.card.cells[at]!}
                at={column.rung}
                row={row}
                column={i}
                faint={!keeps(column, at)}
                active={r === row && c === i}
                picked={picked?.card === column.card.id && picked.condition === condition.id}
                name={`${condition.name}, ${column.title}`}
                first={i > 0 && columns[i - 1]!.base !== column.base}
              />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const CellMark = memo(function CellMark(props: {
  cells: readonly SeenCell[]
  at: number
  row: number
  column: number
  faint: boolean
  active: boolean
  picked: boolean
  name: string
  first: boolean
}) {
  const { cells, at, row, column, faint, active, picked, name, first } = props
  const { verdict, by } = cells[at]!
  const below = opensBelow(cells, at)
  return (
    <td
      role="gridcell"
      data-r={row}
      data-c={column}
      data-faint={faint || undefined}
      data-by={by === 'policy' ? undefined : by}
      data-base={first || undefined}
      aria-selected={picked}
      aria-label={`${name}: ${LABELS.verdict[verdict]}${below ? ', open on a rung below' : ''}${by === 'policy' ? '' : ', the card differs'}`}
      tabIndex={active ? 0 : -1}
    >
      <VerdictMark verdict={verdict} />
      {below && <i className={classes.below} />}
      {(by === 'card' || by === 'reason') && <i className={classes.corner} />}
    </td>
  )
})
