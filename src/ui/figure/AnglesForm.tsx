'use client'

import { LABELS } from '@/core/language'
import { Group, NativeSelect, NumberInput } from '@mantine/core'
import { useState } from 'react'
import { ANGLE_INDEX, ANGLES, type Figure, type Pose, typicalRange } from '@/core/figure'

const JOINTS = [...new Set(ANGLES.map((each) => each.joint))]

/** What a figure can hold of an angle, in degrees. */
const MOST = 720

/** The angles of one joint in degrees; what the contacts made of them stands beside. */
export function AnglesForm({
  figure,
  pose,
  onChange,
}: {
  figure: Figure
  pose: Pose | null
  onChange: (figure: Figure) => void
}) {
  const [joint, setJoint] = useState('rightHip')
  const set = (angle: string, value: number) =>
    onChange({
      ...figure,
      angles: { ...figure.angles, [joint]: { ...figure.angles[joint], [angle]: value } },
    })
  return (
    <section>
      <h2>Angles</h2>
      <NativeSelect
        size="xs"
        aria-label="Joint"
        value={joint}
        data={JOINTS.map((name) => ({ value: name, label: LABELS.worded(name) }))}
        onChange={(event) => setJoint(event.currentTarget.value)}
      />
      <Group gap="xs" mt={4}>
        {ANGLES.filter((each) => each.joint === joint).map(({ angle, min, max }) => {
          const solved = pose?.angles[ANGLE_INDEX.get(`${joint}.${angle}`)!]
          const end = solved !== undefined && (solved <= min + 0.05 || solved >= max - 0.05)
          const usual = typicalRange(joint, angle)
          const value = figure.angles[joint]?.[angle] ?? 0
          const past = joint !== 'pelvis' && (value < min || value > max)
          return (
            <NumberInput
              key={angle}
              size="xs"
              w={128}
              label={LABELS.worded(angle)}
              description={[
                solved === undefined ? '' : `is ${Math.round(solved)}°${end ? ', at its end' : ''}`,
                usual ? `usual ${usual[0]} to ${usual[1]}` : '',
              ]
                .filter(Boolean)
                .join('; ')}
              error={
                past ? `goes to ${value < min ? min : max}°; the figure stands there` : undefined
              }
              clampBehavior="none"
              min={min}
              max={max}
              step={5}
              value={value}
              onChange={(typed) => {
                // Past the end it is kept as typed, and told; the figure stands at the end.
                if (typeof typed === 'number' && Math.abs(typed) <= MOST) set(angle, typed)
              }}
            />
          )
        })}
      </Group>
    </section>
  )
}
