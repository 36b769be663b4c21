'use client'

import { Group, NativeSelect, NumberInput } from '@mantine/core'
import { BUILDS } from '@/core/card'
import type { Figure } from '@/core/figure'
import { FIGURE } from '@/core/language'

const PARTS = ['legs', 'arms', 'trunk'] as const

/** The body that stands there: its stature, and how its lengths differ from the table. */
export function BodyForm({
  figure,
  stature,
  onStature,
  onChange,
}: {
  figure: Figure
  stature: number
  onStature: (stature: number) => void
  onChange: (figure: Figure) => void
}) {
  return (
    <section>
      <h2>Body</h2>
      <Group gap="xs">
        <NumberInput
          size="xs"
          w={86}
          label="stature, cm"
          description="to look at"
          min={130}
          max={210}
          step={5}
          value={stature}
          onChange={(value) => {
            if (typeof value === 'number' && value >= 130 && value <= 210) onStature(value)
          }}
        />
        <NativeSelect
          size="xs"
          label="build"
          description="kept"
          value={figure.body?.build ?? ''}
          data={[
            { value: '', label: 'the school’s' },
            ...BUILDS.map((build) => ({ value: build, label: FIGURE.builds[build] })),
          ]}
          onChange={(event) => {
            const { build: _, ...rest } = figure.body ?? {}
            const build = BUILDS.find((each) => each === event.currentTarget.value)
            const { body: __, ...without } = figure
            const body = build ? { ...rest, build } : rest
            onChange(Object.keys(body).length ? { ...without, body } : without)
          }}
        />
        {PARTS.map((part) => (
          <NumberInput
            key={part}
            size="xs"
            w={64}
            label={`${part}, %`}
            description="kept"
            min={80}
            max={120}
            step={2}
            value={Math.round((figure.body?.[part] ?? 1) * 100)}
            onChange={(value) => {
              if (typeof value !== 'number' || value < 80 || value > 120) return
              const { [part]: _, ...rest } = figure.body ?? {}
              const body = value === 100 ? rest : { ...rest, [part]: value / 100 }
              const { body: __, ...without } = figure
              onChange(Object.keys(body).length ? { ...without, body } : without)
            }}
          />
        ))}
      </Group>
    </section>
  )
}
