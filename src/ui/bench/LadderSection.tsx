'use client'

import { Button, NativeSelect, Radio, Text, Textarea } from '@mantine/core'
import { nextBreath, stayWords } from '@/core/breath'
import {
  BREATH_WORDS,
  BREATHS,
  type Breath,
  type Card,
  dropUnwritable,
  firstSideOf,
  freshId,
  PROPS,
  type Rung,
  type Step,
  stepIds,
} from '@/core/card'
import { withReferenceRung } from '@/core/figure'
import { plainText } from '@/core/sides'
import { useSchool } from '../shared/school'
import { TagsField } from '../shared/TagsField'
import DrawnForm from './DrawnForm'
import classes from './LadderSection.module.css'
import { PartList } from './PartList'
import { LineSpread, SidedLine } from './SidedLine'
import spread from './Spread.module.css'
import { StayForm } from './StaySection'
import { useBench, useBenchStore } from './store'

/** Lines of a text area, one sign a line; blank ones are dropped. */
const linesOf = (text: string) => dropUnwritable(text).split('\n')

/** The rungs, the most supported at the bottom, each told as a difference from the reference. */
export function LadderSection() {
  const bench = useBenchStore()
  const school = useSchool()
  const firstSide = useBench((state) => firstSideOf(state.card, school))
  const makeReference = (id: string) => bench.getState().edit((card) => withReferenceRung(card, id))
  return (
    <PartList<Rung>
      list="ladder"
      noun="rung"
      upward
      teach="Start with the form that the steps describe, then an easier one below it. Rungs go from the most supported at the bottom to the most demanding on top."
      make={(card) => ({
        id: freshId(
          'r',
          card.ladder.map((rung) => rung.id)
        ),
        name: '',
        ...(card.ladder.length === 0 ? { reference: true as const } : {}),
        props: [],
        steps: { replace: [], add: [], omit: [] },
        upWhen: [],
        downWhen: [],
      })}
      row={(rung, set, at, path) => (
        <>
          <LineSpread label={`Rung ${at}`}>
            <SidedLine
              path={`${path}.name`}
              value={rung.name}
              label={`Rung ${at}`}
              name={`Rung ${at}, name`}
            />
          </LineSpread>
          <Radio
            name="reference-rung"
            label="the steps describe this form"
            checked={rung.reference ?? false}
            onChange={() => makeReference(rung.id)}
          />
          <TagsField
            aria-label={`Props of rung ${at}`}
            placeholder="props"
            size="xs"
            data={[...PROPS]}
            value={rung.props}
            onChange={(props) => set({ props: props.map(dropUnwritable) })}
            style={{ flex: '1 1 260px' }}
          />
          {rung.figure && !rung.reference && (
            <DrawnForm where={`${path}.figure`} side={firstSide} className={spread.drawn} />
          )}
          {!rung.reference && <Differences rung={rung} path={path} at={at} />}
          <details className={classes.more}>
            <summary>
              Its own stay{rung.stay ? `: ${stayWords(rung.stay)}` : ' (as the card says)'}
            </summary>
            {rung.stay ? (
              <>
                <StayForm stay={rung.stay} path={`${path}.stay`} />
                <Button
                  size="compact-xs"
                  variant="default"
                  onClick={() => set({ stay: undefined })}
                >
                  As the card says
                </Button>
              </>
            ) : (
              <Button
                size="compact-xs"
                variant="default"
                onClick={() => set({ stay: { repeats: 1 } })}
              >
                Give this rung its own
              </Button>
            )}
          </details>
          <Textarea
            label="Go up when"
            description="one sign a line"
            autosize
            minRows={1}
            size="xs"
            dir="auto"
            value={rung.upWhen.join('\n')}
            onChange={(event) => set({ upWhen: linesOf(event.currentTarget.value) })}
            onBlur={() => set({ upWhen: rung.upWhen.filter((sign) => sign.trim()) })}
            style={{ flex: '1 1 220px' }}
          />
          <Textarea
            label="Come down when"
            description="one sign a line"
            autosize
            minRows={1}
            size="xs"
            dir="auto"
            value={rung.downWhen.join('\n')}
            onChange={(event) => set({ downWhen: linesOf(event.currentTarget.value) })}
            onBlur={() => set({ downWhen: rung.downWhen.filter((sign) => sign.trim()) })}
            style={{ flex: '1 1 220px' }}
          />
        </>
      )}
    />
  )
}

/** What this rung does in place of, or besides, the steps of the card. */
function Differences({ rung, path, at }: { rung: Rung; path: string; at: number }) {
  const bench = useBenchStore()
  const enter = useBench((state) => state.card.enter)
  const exit = useBench((state) => state.card.exit)
  const steps = [...enter, ...exit]
  const { replace, add, omit } = rung.steps
  const count = replace.length + add.length + omit.length

  const change = (to: (steps: Rung['steps'], card: Card) => Rung['steps']) =>
    bench.getState().edit((card) => ({
      ...card,
      ladder: card.ladder.with(at - 1, {
        ...card.ladder[at - 1]!,
        steps: to(card.ladder[at - 1]!.steps, card),
      }),
    }))

  function setMode(step: Step, mode: string) {
    change((now) => ({
      ...now,
      omit: mode === 'omit' ? [...now.omit, step.id] : now.omit.filter((id) => id !== step.id),
      replace:
        mode === 'replace'
          ? [...now.replace, { step: step.id, text: step.text }]
          : now.replace.filter((each) => each.step !== step.id),
    }))
  }

  function addAfter(step: Step | undefined) {
    change((now, card) => ({
      ...now,
      add: [
        ...now.add,
        {
          ...(step ? { after: step.id } : {}),
          step: { id: freshId('n', stepIds(card)), text: '', breath: nextBreath(step?.breath) },
        },
      ],
    }))
  }

  return (
    <details className={classes.more}>
      <summary>
        {count === 0
          ? 'Steps: all as on the card'
          : `Steps: ${count} ${count === 1 ? 'differs' : 'differ'}`}
      </summary>
      {steps.length === 0 && (
        <Text size="sm" c="dimmed">
          Write the steps of the card first.
        </Text>
      )}
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
                {plainText(step.text)}
              </span>
              <Button size="compact-xs" variant="subtle" onClick={() => addAfter(step)}>
                Add after
              </Button>
            </div>
            {replaced >= 0 && (
              <LineSpread label={`Instead of step ${i + 1}`}>
                <SidedLine
                  path={`${path}.steps.replace[${replaced}].text`}
                  value={replace[replaced]!.text}
                  label="instead"
                  name={`Rung ${at}, instead of step ${i + 1}`}
                />
              </LineSpread>
            )}
            {add.map((each, j) =>
              each.after === step.id ? (
                <Added
                  key={each.step.id}
                  step={each.step}
                  path={path}
                  index={j}
                  at={at}
                  change={change}
                />
              ) : null
            )}
          </div>
        )
      })}
      {add.map((each, j) =>
        each.after === undefined || !steps.some((step) => step.id === each.after) ? (
          <Added
            key={each.step.id}
            step={each.step}
            path={path}
            index={j}
            at={at}
            change={change}
          />
        ) : null
      )}
    </details>
  )
}

interface AddedProps {
  step: Step
  path: string
  index: number
  at: number
  change: (to: (steps: Rung['steps'], card: Card) => Rung['steps']) => void
}

function Added({ step, path, index, at, change }: AddedProps) {
  const bench = useBenchStore()
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
        <NativeSelect
          size="xs"
          aria-label={`Breath of added step ${index + 1} of rung ${at}`}
          value={step.breath}
          data={BREATHS.map((value) => ({ value, label: BREATH_WORDS[value] }))}
          onChange={(event) =>
            bench.getState().set(`${here}.step.breath`, event.currentTarget.value as Breath)
          }
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
