'use client'

import { Button, Group, NativeSelect, NumberInput, Popover, Text } from '@mantine/core'
import { useCallback, useState } from 'react'
import type { Card, Cue } from '@/core/card'
import { measuredCue, MEASURES, type MeasureInfo, measureWords } from '@/core/figure'
import classes from './CueCell.module.css'
import { useBenchStore, useDerived } from './store'

const WORDS = ['front', 'back', 'lead', 'other', 'top', 'bottom', 'left', 'right']
const CHOICES = MEASURES.filter((info) => info.name !== 'load share')

/** The side word of a measure’s name, and the measure. */
function partsOf(name: string): { word: string; info: MeasureInfo | undefined } {
  const whole = CHOICES.find((info) => info.name === name)
  if (whole) return { word: WORDS[0]!, info: whole }
  const [, word = '', rest = ''] = /^(\w+) (.+)$/.exec(name) ?? []
  return { word, info: CHOICES.find((info) => info.name === rest) }
}

/** What the figure should measure for a cue, and what it does. */
export default function CueMeasure({
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
  const found = useDerived(useCallback((card: Card) => measuredCue(card, index), [index]))
  const set = (measure: Cue['measure']) =>
    bench.getState().set(`alignment[${index}].measure`, measure)
  const { word, info } = partsOf(cue.measure?.name ?? `${WORDS[0]} ${CHOICES[0]!.name}`)
  const [asked, setAsked] = useState(word || WORDS[0]!)
  const choose = (chosen: MeasureInfo, side: string) =>
    set({
      target: 0,
      tolerance: 5,
      ...cue.measure,
      name: chosen.sided ? `${side} ${chosen.name}` : chosen.name,
      unit: chosen.unit,
    })
  const read = found ? measureWords(found.value, found.unit) : 'no figure yet'
  return (
    <Popover opened={opened} onChange={onOpen} withArrow trapFocus width={300}>
      <Popover.Target>
        <button
          className={`${classes.measured} ${found && found.off > 0 ? classes.off : ''}`}
          aria-label={`Measure of cue ${index + 1}`}
          title={cue.measure?.name}
          onClick={() => onOpen(!opened)}
        >
          {cue.measure ? `${!found ? '' : found.off > 0 ? 'off: ' : '✓ '}${read}` : 'measure'}
        </button>
      </Popover.Target>
      <Popover.Dropdown>
        <Group gap={6} align="flex-end">
          <NativeSelect
            size="xs"
            label="Measure"
            value={info?.name ?? ''}
            data={[
              ...(info ? [] : [{ value: '', label: cue.measure?.name ?? 'choose …' }]),
              ...CHOICES.map((each) => each.name),
            ]}
            onChange={(event) => {
              const chosen = CHOICES.find((each) => each.name === event.currentTarget.value)
              if (chosen) choose(chosen, asked)
            }}
          />
          {info?.sided && (
            <NativeSelect
              size="xs"
              label="of the"
              value={asked}
              data={WORDS}
              onChange={(event) => {
                setAsked(event.currentTarget.value)
                choose(info, event.currentTarget.value)
              }}
            />
          )}
        </Group>
        {info && (
          <Text size="xs" c="dimmed" mt={4}>
            {info.means}; in {info.unit}
          </Text>
        )}
        {cue.measure ? (
          <>
            <Group gap={6} mt={6}>
              <NumberInput
                size="xs"
                w={90}
                label="wanted"
                value={cue.measure.target}
                onChange={(value) => {
                  if (typeof value === 'number') set({ ...cue.measure!, target: value })
                }}
              />
              <NumberInput
                size="xs"
                w={90}
                label="give or take"
                min={0}
                value={cue.measure.tolerance}
                onChange={(value) => {
                  if (typeof value === 'number' && value >= 0)
                    set({ ...cue.measure!, tolerance: value })
                }}
              />
            </Group>
            <Text size="sm" mt={6}>
              The figure: {read}
            </Text>
            <Button
              size="compact-xs"
              variant="subtle"
              color="red"
              mt={4}
              onClick={() => {
                set(undefined)
                onOpen(false)
              }}
            >
              Take the measure away
            </Button>
          </>
        ) : (
          <Button size="compact-xs" mt={6} onClick={() => choose(info ?? CHOICES[0]!, asked)}>
            Measure this cue
          </Button>
        )}
      </Popover.Dropdown>
    </Popover>
  )
}
