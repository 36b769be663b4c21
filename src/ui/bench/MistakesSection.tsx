'use client'

import { LABELS } from '@/core/language'
import { NativeSelect } from '@mantine/core'
import { createContext, useContext } from 'react'
import { type Mistake, type On, ON } from '@/core/card'
import { HalfTitles } from './HalfTitles'
import { PartList, type PartProps } from './PartList'
import { LineSpread, SidedLine } from './SidedLine'
import { FigureSvg } from '../shared/FigureSvg'
import { useFaults } from '../cautions/useCardCautions'
import classes from './MistakesSection.module.css'
import { useBench } from './store'

const FaultsContext = createContext<ReturnType<typeof useFaults>>(null)

const newMistake = (): Mistake => ({ seen: '', why: '', say: '', on: 'both' })

/** What goes wrong: what is seen, why it matters, what to say, and the cue that it breaks. */
export function MistakesSection() {
  return (
    <FaultsContext.Provider value={useFaults()}>
      <PartList<Mistake>
        list="mistakes"
        noun="mistake"
        teach="Write what you see, why it matters, and one short thing to say to what the student does."
        make={newMistake}
        Form={MistakeForm}
      />
    </FaultsContext.Provider>
  )
}

function MistakeForm({ part: mistake, set, at, path }: PartProps<Mistake>) {
  const cues = useBench((state) => state.card.alignment)
  const sided = useBench((state) => state.card.sides === 'sided')
  return (
    <>
      <LineSpread label={`Mistake ${at}`}>
        {at === 1 && <HalfTitles centre="" />}
        <SidedLine path={`${path}.seen`} value={mistake.seen} label="Seen" name={`Seen ${at}`} />
        <SidedLine path={`${path}.why`} value={mistake.why} label="Why" name={`Why ${at}`} calm />
        <SidedLine path={`${path}.say`} value={mistake.say} label="Say" name={`Say ${at}`} />
      </LineSpread>
      <Fault at={at - 1} />
      <NativeSelect
        size="xs"
        aria-label={`Cue that mistake ${at} breaks`}
        value={mistake.cue ?? ''}
        data={[
          { value: '', label: 'breaks no cue' },
          ...cues.map((cue, i) => ({
            value: cue.id,
            label: `breaks cue ${i + 1}, ${cue.region}: ${cue.text.slice(0, 50)}`,
          })),
          ...(mistake.cue && !cues.some((cue) => cue.id === mistake.cue)
            ? [{ value: mistake.cue, label: `${mistake.cue}, which is gone` }]
            : []),
        ]}
        onChange={(event) => set({ cue: event.currentTarget.value || undefined })}
        style={{ flex: '1 1 240px', maxWidth: 460 }}
      />
      {sided && (
        <NativeSelect
          size="xs"
          aria-label={`Sides of mistake ${at}`}
          value={mistake.on}
          data={ON.map((value) => ({ value, label: LABELS.on[value] }))}
          onChange={(event) => set({ on: event.currentTarget.value as On })}
        />
      )}
    </>
  )
}

/** The form as it should be, and beside it the one in which the cue is broken. */
function Fault({ at }: { at: number }) {
  const fault = useContext(FaultsContext)?.find((each) => each.at === at)
  if (!fault) return null
  return (
    <div className={classes.fault}>
      {fault.drawn.map(({ drawing, caption }) => (
        <figure key={caption}>
          <FigureSvg drawing={drawing} label={`Mistake ${at + 1}, ${caption}`} />
          <figcaption>{caption}</figcaption>
        </figure>
      ))}
    </div>
  )
}
