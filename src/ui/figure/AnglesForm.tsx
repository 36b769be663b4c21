'use client'

import { Group, NativeSelect, NumberInput } from '@mantine/core'
import { useState } from 'react'
import { ANGLE_INDEX, ANGLES, type Figure, type Pose } from '@/core/figure'
import { worded } from './worded'

const JOINTS = [...new Set(ANGLES.map((each) => each.joint))]

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
        data={JOINTS.map((name) => ({ value: name, label: worded(name) }))}
        onChange={(event) => setJoint(event.currentTarget.value)}
      />
      <Group gap="xs" mt={4}>
        {ANGLES.filter((each) => each.joint === joint).map(({ angle, min, max }) => {
          const solved = pose?.angles[ANGLE_INDEX.get(`${joint}.${angle}`)!]
          const end = solved !== undefined && (solved <= min + 0.05 || solved >= max - 0.05)
          return (
            <NumberInput
              key={angle}
              size="xs"
              w={104}
              label={worded(angle)}
              description={
                solved === undefined
                  ? undefined
                  : `is ${Math.round(solved)}°${end ? ', at its end' : ''}`
              }
              min={min}
              max={max}
              step={5}
              value={figure.angles[joint]?.[angle] ?? 0}
              onChange={(value) => {
                if (typeof value === 'number') set(angle, Math.min(max, Math.max(min, value)))
              }}
            />
          )
        })}
      </Group>
    </section>
  )
}
