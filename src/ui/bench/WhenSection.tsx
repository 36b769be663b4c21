'use client'

import { NativeSelect, NumberInput, SimpleGrid, TextInput } from '@mantine/core'
import { BASES_OF_CLAIM, type Claim, dropUnwritable } from '@/core/card'
import { PartList, type PartProps } from './PartList'
import { useBench, useBenchStore } from './store'

/** When the pose is practised, and what is said of it. */
export function WhenSection() {
  const bench = useBenchStore()
  const when = useBench((state) => state.card.when)
  return (
    <>
      <SimpleGrid cols={{ base: 1, sm: 2 }} spacing="sm">
        <NumberInput
          label="Hours after a meal"
          description="0 when it may be done straight after one"
          min={0}
          max={24}
          step={0.5}
          value={when.mealGapHours ?? ''}
          onChange={(value) =>
            bench.getState().set('when.mealGapHours', typeof value === 'number' ? value : undefined)
          }
        />
        <TextInput
          label="Time of day, and for whom"
          description="such as: morning, or before a rehearsal"
          maxLength={200}
          dir="auto"
          value={when.timeOfDay}
          onChange={(event) =>
            bench.getState().set('when.timeOfDay', dropUnwritable(event.currentTarget.value))
          }
        />
      </SimpleGrid>
      <PartList<Claim>
        list="effects"
        noun="effect"
        title="What is said of it, and on what basis"
        teach="A claim stands on tradition, on teaching experience or on a published source. A cure is never promised."
        make={newClaim}
        Form={ClaimForm}
      />
    </>
  )
}

const newClaim = (): Claim => ({ text: '', basis: 'experience' })

function ClaimForm({ part: claim, set, at }: PartProps<Claim>) {
  return (
    <>
      <TextInput
        aria-label={`Effect ${at}`}
        data-part-text
        maxLength={20000}
        dir="auto"
        value={claim.text}
        onChange={(event) => set({ text: dropUnwritable(event.currentTarget.value) })}
        style={{ flex: '1 1 260px' }}
      />
      <NativeSelect
        aria-label={`Basis of effect ${at}`}
        value={claim.basis}
        data={[...BASES_OF_CLAIM]}
        onChange={(event) => set({ basis: event.currentTarget.value as Claim['basis'] })}
      />
      {claim.basis === 'published' && (
        <TextInput
          aria-label={`Source of effect ${at}`}
          placeholder="Author, title, year"
          dir="auto"
          value={claim.source ?? ''}
          onChange={(event) =>
            set({ source: dropUnwritable(event.currentTarget.value) || undefined })
          }
          style={{ flex: '1 1 100%' }}
        />
      )}
    </>
  )
}
