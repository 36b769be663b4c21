'use client'

import { Button, NativeSelect, NumberInput, Text } from '@mantine/core'
import { nextBreath } from '@/core/breath'
import { BREATHS, type Card, freshId, type Rung, type Step, stepIds, stepsOf } from '@/core/card'
import { LABELS } from '@/core/language'
import { plainText } from '@/core/sides'
import classes from './LadderSection.module.css'
import { More } from './More'
import { later } from '../shared/later'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench, useBenchStore } from './store'

interface Props {
  rung: Rung
  path: string
  /** Number of the rung, from the bottom. */
  at: number
}

type Change = (to: (steps: Rung['steps'], card: Card) => Rung['steps']) => void

/** What this rung does in place of, or besides, the steps of the card. */
export function RungSteps(props: Props) {
  const { replace, add, omit } = props.rung.steps
  const count = replace.length + add.length + omit.length
  const summary =
    count === 0
      ? 'Steps: all as on the card'
      : `Steps: ${count} ${count === 1 ? 'differs' : 'differ'}`
  return (
    <More summary={summary}>
      <Differences {...props} />
    </More>
  )
}

function Differences({ rung, path, at }: Props) {
  const bench = useBenchStore()
  const card = useBench((state) => state.card)
  const steps = stepsOf(card).map(({ step }) => step)
  const { replace, add, omit } = rung.steps

  const change: Change = (to) =>
    bench.getState().edit((now) => ({
      ...now,
      ladder: now.ladder.with(at - 1, {
        ...now.ladder[at - 1]!,
        steps: to(now.ladder[at - 1]!.steps, now),
      }),
    }))

  const setMode = (step: Step, mode: string) =>
    change((now) => ({
      ...now,
      omit: mode === 'omit' ? [...now.omit, step.id] : now.omit.filter((id) => id !== step.id),
      replace:
        mode === 'replace'
          ? [...now.replace, { step: step.id, text: step.text }]
          : now.replace.filter((each) => each.step !== step.id),
    }))

  const addAfter = (step: Step | undefined) =>
    change((now, whole) => ({
      ...now,
      add: [
        ...now.add,
        {
          ...(step ? { after: step.id } : {}),
          step: { id: freshId('n', stepIds(whole)), text: '', breath: nextBreath(step?.breath) },
        },
      ],
    }))

  const addedAfter = (wanted: (after: string | undefined) => boolean) =>
    add.map(({ after, step }, i) =>
      wanted(after) ? (
        <Added key={step.id} step={step} path={path} index={i} at={at} change={change} />
      ) : null
    )

  if (steps.length === 0)
    return (
      <Text size="sm" c="dimmed">
        Write the steps of the card first.
      </Text>
    )
  return (
    <>
      <Button size="compact-xs" variant="subtle" onClick={() => addAfter(undefined)}>
        Add first
      </Button>
      {addedAfter((after) => after === undefined || !steps.some(({ id }) => id === after))}
      {steps.map((step, i) => {
        const replaced = replace.findIndex((each) => each.step === step.id)
        const mode = omit.includes(step.id) ? 'omit' : replaced >= 0 ? 'replace' : 'same'
        return (
          <div key={step.id} className={classes.step}>
            <div className={classes.line}>
              <NativeSelect
                size="xs"
                aria-label={`Rung ${at}, step ${i + 1}`}
                value={mode}
                data={[
                  { value: 'same', label: 'as it is' },
                  { value: 'replace', label: 'instead' },
                  { value: 'omit', label: 'left out' },
                ]}
                onChange={(event) => setMode(step, event.currentTarget.value)}
              />
              <span className={mode === 'same' ? undefined : classes.struck} dir="auto">
                {plainText(step.text, card)}
              </span>
              <Button size="compact-xs" variant="subtle" onClick={() => addAfter(step)}>
                Add after
              </Button>
            </div>
            {replaced >= 0 && (
              <>
                <LineSpread label={`Instead of step ${i + 1}`}>
                  <SidedLine
                    path={`${path}.steps.replace[${replaced}].text`}
                    value={replace[replaced]!.text}
                    label="instead"
                    name={`Rung ${at}, instead of step ${i + 1}`}
                  />
                </LineSpread>
                <div className={classes.line}>
                  <BreathFields
                    name={`instead of step ${i + 1} of rung ${at}`}
                    path={`${path}.steps.replace[${replaced}]`}
                    of={replace[replaced]!}
                    asBefore
                  />
                </div>
              </>
            )}
            {addedAfter((after) => after === step.id)}
          </div>
        )
      })}
    </>
  )
}

interface AddedProps {
  step: Step
  path: string
  index: number
  at: number
  change: Change
}

function Added({ step, path, index, at, change }: AddedProps) {
  const here = `${path}.steps.add[${index}]`
  return (
    <div className={classes.added}>
      <LineSpread label={`Added step of rung ${at}`}>
        <SidedLine
          path={`${here}.step.text`}
          value={step.text}
          label="added"
          name={`Rung ${at}, added step ${index + 1}`}
        />
      </LineSpread>
      <div className={classes.line}>
        <BreathFields
          name={`added step ${index + 1} of rung ${at}`}
          path={`${here}.step`}
          of={step}
          repeats
        />
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => change((now) => ({ ...now, add: now.add.toSpliced(index, 1) }))}
        >
          Take away
        </Button>
      </div>
    </div>
  )
}

const RepeatsField = later(() => import('./RepeatsField').then((module) => module.RepeatsField))

interface BreathFieldsProps {
  name: string
  path: string
  of: Partial<Pick<Step, 'breath' | 'seconds' | 'repeat' | 'repeatMost'>>
  /** Whether it can be left as it is on the step that it stands for. */
  asBefore?: boolean
  repeats?: boolean
}

/** The breath of a step of a rung, how long it lasts and how often it is done. */
function BreathFields({ name, path, of, asBefore, repeats }: BreathFieldsProps) {
  const bench = useBenchStore()
  const set = (key: string, value: unknown) => bench.getState().set(`${path}.${key}`, value)
  const number = (value: string | number, least: number) =>
    typeof value === 'number' && value >= least ? value : undefined
  return (
    <>
      <NativeSelect
        size="xs"
        aria-label={`Breath of ${name}`}
        value={of.breath ?? ''}
        data={[
          ...(asBefore ? [{ value: '', label: 'breath as before' }] : []),
          ...BREATHS.map((value) => ({ value, label: LABELS.breath[value] })),
        ]}
        onChange={(event) => set('breath', event.currentTarget.value || undefined)}
      />
      <NumberInput
        size="xs"
        w={96}
        suffix=" s"
        placeholder="seconds"
        aria-label={`Seconds of ${name}`}
        min={0}
        max={7200}
        value={of.seconds ?? ''}
        onChange={(value) => set('seconds', number(value, 0.1))}
      />
      {repeats && (
        <label className={classes.times}>
          ×{' '}
          <RepeatsField
            placeholder="repeats"
            aria-label={`Repeats of ${name}`}
            of={of}
            path={path}
          />
        </label>
      )}
    </>
  )
}
