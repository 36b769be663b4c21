'use client'

import { NativeSelect, NumberInput, TextInput } from '@mantine/core'
import { useState } from 'react'
import {
  type Card,
  type Caution,
  dropUnwritable,
  type Trait,
  TRAIT_NAMES,
  TRAITS,
  type TraitSet,
  VERDICTS,
} from '@/core/card'
import { CONDITIONS, LABELS } from '@/core/language'
import { later } from '../shared/later'
import { useSchool } from '../shared/school'
import { VerdictMark } from '../shared/VerdictMark'
import { PartList, type PartProps } from './PartList'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench } from './store'

const CardVerdicts = later(() =>
  import('../cautions/CardVerdicts').then((module) => module.CardVerdicts)
)

type Rungs = Card['ladder']

/** Rungs to pick from; one that is named and gone is still told. */
const rungData = (ladder: Rungs, none: string, own: string | undefined) => [
  { value: '', label: none },
  ...ladder.map((rung) => ({ value: rung.id, label: rung.name || rung.id })),
  ...(own && !ladder.some((rung) => rung.id === own)
    ? [{ value: own, label: `${own}, which is gone` }]
    : []),
]

/** The id of another card: half an id is none, so it is taken when it is whole. */
function OtherCard({
  label,
  id,
  onChange,
}: {
  label: string
  id: string
  onChange: (id: string) => void
}) {
  const [typed, setTyped] = useState(id)
  // It may be named from elsewhere, too.
  const [was, setWas] = useState(id)
  if (was !== id) {
    setWas(id)
    setTyped(id)
  }
  const take = () => {
    const whole = typed
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
    setTyped(whole)
    if (whole !== id) onChange(whole)
  }
  return (
    <TextInput
      size="xs"
      aria-label={label}
      placeholder="instead: another card"
      maxLength={80}
      value={typed}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take()
      }}
      style={{ flex: '1 1 160px' }}
    />
  )
}

/** Who must not, who asks first, who changes what: as it follows, and as the card says it. */
export function CautionsSection() {
  const school = useSchool()
  return (
    <>
      <CardVerdicts />
      <datalist id="conditions">
        {[...CONDITIONS, ...school.conditions].map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      <PartList<Caution>
        list="cautions"
        noun="caution"
        title="In this card’s own words"
        teach="What follows from the form is printed without being written. Word it here where the card should say it its own way. The student’s own clinician comes first."
        make={newCaution}
        Form={CautionForm}
      />
      <PartList<TraitSet>
        list="traits"
        noun="number"
        title="What it asks, set by hand"
        teach="For a form that is not drawn: say how low the head is, what the knees carry and so on, and the verdicts follow. Where a figure tells it, the figure counts."
        make={newTrait}
        Form={TraitForm}
      />
    </>
  )
}

const newCaution = (): Caution => ({ condition: '', verdict: 'change', say: '' })

function CautionForm({ part: caution, set, at, path }: PartProps<Caution>) {
  const ladder = useBench((state) => state.card.ladder)
  return (
    <>
      <TextInput
        aria-label={`Condition ${at}`}
        data-part-text
        placeholder="Condition"
        list="conditions"
        maxLength={200}
        dir="auto"
        value={caution.condition}
        onChange={(event) => set({ condition: dropUnwritable(event.currentTarget.value) })}
        style={{ flex: '1 1 180px' }}
      />
      <NativeSelect
        aria-label={`Verdict ${at}`}
        leftSection={<VerdictMark verdict={caution.verdict} />}
        value={caution.verdict}
        data={VERDICTS.map((value) => ({ value, label: LABELS.verdict[value] }))}
        onChange={(event) => set({ verdict: event.currentTarget.value as Caution['verdict'] })}
      />
      <NativeSelect
        aria-label={`Rung of caution ${at}`}
        value={caution.rung ?? ''}
        data={rungData(ladder, 'no rung named', caution.rung)}
        onChange={(event) => set({ rung: event.currentTarget.value || undefined })}
        style={{ flex: '1 1 160px' }}
      />
      <LineSpread label={`What to say for caution ${at}`}>
        <SidedLine
          path={`${path}.say`}
          value={caution.say}
          label="Say"
          name={`Caution ${at}, say`}
          calm
        />
      </LineSpread>
      <TextInput
        size="xs"
        aria-label={`Reason of caution ${at}`}
        placeholder="reason, where it overrides what is usual"
        description={caution.over === undefined ? undefined : `in place of: ${caution.over}`}
        dir="auto"
        value={caution.reason ?? ''}
        onChange={(event) =>
          set({ reason: dropUnwritable(event.currentTarget.value) || undefined })
        }
        style={{ flex: '3 1 300px' }}
      />
      <OtherCard
        label={`Other card of caution ${at}`}
        id={caution.instead ?? ''}
        onChange={(instead) => set({ instead: instead || undefined })}
      />
    </>
  )
}

const newTrait = (): TraitSet => ({ trait: TRAIT_NAMES[0], value: 0 })

function TraitForm({ part: number, set, at }: PartProps<TraitSet>) {
  const ladder = useBench((state) => state.card.ladder)
  return (
    <>
      <NativeSelect
        aria-label={`What is asked ${at}`}
        data-part-text
        value={number.trait}
        data={[...TRAIT_NAMES]}
        onChange={(event) => set({ trait: event.currentTarget.value as Trait })}
      />
      <NumberInput
        aria-label={`How much is asked ${at}`}
        min={0}
        max={1000}
        w={120}
        suffix={TRAITS[number.trait] === 'deg' ? '°' : ` ${TRAITS[number.trait]}`}
        value={number.value}
        onChange={(value) => {
          if (typeof value === 'number' && value >= 0 && value <= 1000) set({ value })
        }}
      />
      <NativeSelect
        aria-label={`Rung of number ${at}`}
        value={number.rung ?? ''}
        data={rungData(ladder, 'every rung that is not drawn', number.rung)}
        onChange={(event) => set({ rung: event.currentTarget.value || undefined })}
      />
    </>
  )
}
