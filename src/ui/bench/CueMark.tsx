'use client'

import { Button, Group, NativeSelect, Popover, Text } from '@mantine/core'
import { useCallback } from 'react'
import { useStore } from 'zustand'
import { type Card, type Cue, type CueMark as Mark, MARK_KINDS } from '@/core/card'
import {
  cueCloseUp,
  figureShown,
  finalFigure,
  markOffered,
  markParts,
  markProblem,
} from '@/core/figure'
import { FIGURE, namedRole } from '@/core/language'
import { markOfWords, readLine } from '@/core/reading'
import { useSchool } from '../shared/school'
import { AskedDrawing } from './AskedDrawing'
import classes from './CueCell.module.css'
import { useBenchStore, useDerived } from './store'

const SIDES = ['left', 'right', 'front', 'back', 'lead', 'other', 'top', 'bottom']
const TURNS = ['left', 'right', 'lead', 'other']

/** Every part that a kind of mark can stand at, with its side words. */
const partsFor = (kind: Mark['kind'], sided: boolean): string[] => {
  const { sided: own, middle } = markParts(kind)
  const words = sided ? SIDES : ['left', 'right']
  return [...middle, ...own.flatMap((part) => words.map((word) => `${word} ${part}`))]
}

const waysFor = ({ kind, part }: Mark): string[] =>
  kind !== 'turn' ? [] : /thigh|arm/.test(part) ? ['out', 'in'] : TURNS

/** What is drawn on the figure for a cue, chosen by looking at it. */
export default function CueMark({
  cue,
  index,
  opened,
  onOpen,
}: {
  cue: Cue
  index: number
  opened: boolean
  onOpen: (open: boolean) => void
}) {
  const bench = useBenchStore()
  const school = useSchool()
  const card = useStore(bench.quiet, (state) => state.card)
  const sided = useDerived(useCallback((now: Card) => now.sides === 'sided', []))
  const set = (mark: Mark | undefined) => bench.getState().set(`alignment[${index}].mark`, mark)
  const choose = (kind: Mark['kind'], part = partsFor(kind, sided)[0]!) => {
    const [way] = waysFor({ kind, part })
    set({ kind, part, ...(way ? { way } : {}) })
  }
  const { mark } = cue
  const measured = cue.measure && markOffered(cue.measure.name)
  const offered = measured ?? markOfWords(readLine(cue.text, card.language).instructions)
  const final = finalFigure(card)?.figure
  const side = card.writtenFor
  const problem = mark && final && markProblem(card, mark)
  return (
    <Popover opened={opened} onChange={onOpen} withArrow trapFocus width={380}>
      <Popover.Target>
        <button
          className={`${classes.measured} ${problem ? classes.off : ''}`}
          aria-label={`Mark of cue ${index + 1}`}
          title={mark && FIGURE.markWords(mark)}
          onClick={() => onOpen(!opened)}
        >
          {mark ? FIGURE.marks[mark.kind] : 'mark'}
        </button>
      </Popover.Target>
      <Popover.Dropdown>
        <Text size="xs" c="dimmed" mb={4}>
          What should the eye find on the drawing?
        </Text>
        <Group gap={4}>
          {MARK_KINDS.map((kind) => (
            <Button
              key={kind}
              size="compact-xs"
              variant={mark?.kind === kind ? 'filled' : 'default'}
              aria-pressed={mark?.kind === kind}
              onClick={() => choose(kind)}
            >
              {FIGURE.marks[kind]}
            </Button>
          ))}
        </Group>
        {offered && (
          <Button
            mt={6}
            size="compact-xs"
            variant="light"
            onClick={() => set(offered)}
          >{`As ${measured ? 'it is measured' : 'the words say'}: ${FIGURE.markWords(offered)}`}</Button>
        )}
        {mark && (
          <Group gap={6} mt={6}>
            <NativeSelect
              size="xs"
              aria-label="Where"
              value={mark.part}
              data={[...new Set([mark.part, ...partsFor(mark.kind, sided)])]}
              onChange={(event) => choose(mark.kind, event.currentTarget.value)}
            />
            {waysFor(mark).length > 0 && (
              <NativeSelect
                size="xs"
                aria-label="Which way"
                value={mark.way ?? ''}
                data={waysFor(mark)}
                onChange={(event) => set({ ...mark, way: event.currentTarget.value })}
              />
            )}
            <Button
              size="compact-xs"
              variant="subtle"
              color="red"
              onClick={() => {
                set(undefined)
                onOpen(false)
              }}
            >
              Take it away
            </Button>
          </Group>
        )}
        {mark && final && (
          <div className={classes.looks}>
            {[
              {
                label: FIGURE.markWords(mark),
                shown: { names: [], lead: side, namedBy: namedRole(card), marks: [mark] },
              },
              { label: `${cue.region}, enlarged`, shown: cueCloseUp(card, cue, side) },
            ].map(({ label, shown }, i) => (
              <AskedDrawing
                key={i}
                label={label}
                job={{ figure: figureShown(card, final, side, school), letters: false, shown }}
              />
            ))}
          </div>
        )}
        {problem && (
          <Text size="xs" c="var(--alert)">
            {problem}
          </Text>
        )}
        {!final && (
          <Text size="xs" c="dimmed" mt={4}>
            It shows once the figure is drawn.
          </Text>
        )}
      </Popover.Dropdown>
    </Popover>
  )
}
