'use client'

import { CONDITIONS, LABELS } from '@/core/language'
import { NativeSelect, TextInput } from '@mantine/core'
import { type Caution, dropUnwritable, VERDICTS } from '@/core/card'
import { PartList } from './PartList'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench } from './store'
import { VerdictMark } from '../shared/VerdictMark'

/** Who must not, who asks first, who changes what. */
export function CautionsSection() {
  const ladder = useBench((state) => state.card.ladder)
  return (
    <>
      <datalist id="conditions">
        {CONDITIONS.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      <PartList<Caution>
        list="cautions"
        noun="caution"
        teach="Name the condition, the verdict and what to do instead. The student’s own clinician comes first."
        make={() => ({ condition: '', verdict: 'change', say: '' })}
        row={(caution, set, at, path) => (
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
              onChange={(event) =>
                set({ verdict: event.currentTarget.value as Caution['verdict'] })
              }
            />
            <NativeSelect
              aria-label={`Rung of caution ${at}`}
              value={caution.rung ?? ''}
              data={[
                { value: '', label: 'no rung named' },
                ...ladder.map((rung) => ({ value: rung.id, label: rung.name || rung.id })),
                ...(caution.rung && !ladder.some((rung) => rung.id === caution.rung)
                  ? [{ value: caution.rung, label: `${caution.rung}, which is gone` }]
                  : []),
              ]}
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
              dir="auto"
              value={caution.reason ?? ''}
              onChange={(event) =>
                set({ reason: dropUnwritable(event.currentTarget.value) || undefined })
              }
              style={{ flex: '1 1 100%' }}
            />
          </>
        )}
      />
    </>
  )
}
