'use client'

import { Button, Text } from '@mantine/core'
import { IconArrowsExchange } from '@tabler/icons-react'
import { freshId, stepIds } from '@/core/card'
import { otherWaySteps } from '@/core/sides'
import { StepList } from './StepList'
import { useBench, useBenchStore } from './store'

/** The second direction of a twist that has two for each leg position: four passes in all. */
export function OtherWay() {
  const bench = useBenchStore()
  const shown = useBench(({ card }) => card.sides === 'sided' && card.spine === 'twist')
  const written = useBench(({ card }) => card.otherWay.length > 0)
  if (!shown && !written) return null
  if (!written)
    return (
      <Button
        variant="subtle"
        size="compact-sm"
        leftSection={<IconArrowsExchange size={15} />}
        onClick={() =>
          bench.getState().edit((card) => {
            const steps = otherWaySteps(card)
            const one = { id: freshId('w', stepIds(card)), text: '', breath: 'out' as const }
            return { ...card, otherWay: steps.length > 0 ? steps : [one] }
          })
        }
      >
        Turn the other way too, legs as they are
      </Button>
    )
  return (
    <>
      <Text fw={700} mt="md">
        The other way, legs as they are
      </Text>
      <Text size="sm" c="dimmed" mb={4}>
        Four passes: each side both ways, with the stay after each.
      </Text>
      <StepList list="otherWay" teach="" />
    </>
  )
}
