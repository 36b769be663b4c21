'use client'

import { LABELS } from '@/core/language'
import { Button, Radio, Textarea } from '@mantine/core'
import { dropUnwritable, firstSideOf, freshId, PROPS, type Rung } from '@/core/card'
import { withReferenceRung } from '@/core/figure'
import { useSchool } from '../shared/school'
import { TagsField } from '../shared/TagsField'
import DrawnForm from './DrawnForm'
import { More } from './More'
import { PartList } from './PartList'
import { RungSteps } from './RungSteps'
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
              calm
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
          {!rung.reference && <RungSteps rung={rung} path={path} at={at} />}
          <More
            summary={`Its own stay${rung.stay ? `: ${LABELS.stay(rung.stay)}` : ' (as the card says)'}`}
          >
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
          </More>
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
