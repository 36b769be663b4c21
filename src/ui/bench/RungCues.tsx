'use client'

import { Button, NativeSelect } from '@mantine/core'
import { freshId, idsOf, REGIONS, type Rung } from '@/core/card'
import { LABELS } from '@/core/language'
import { plainText } from '@/core/sides'
import classes from './LadderSection.module.css'
import { More } from './More'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench, useBenchStore } from './store'

interface Props {
  rung: Rung
  path: string
  /** Number of the rung, from the bottom. */
  at: number
}

type Cues = NonNullable<Rung['cues']>
const NONE: Cues = { replace: [], add: [], omit: [] }

/** What this rung says of the alignment in place of, or besides, the cues of the card. */
export function RungCues({ rung, path, at }: Props) {
  const { replace, add, omit } = rung.cues ?? NONE
  const count = replace.length + add.length + omit.length
  return (
    <More
      summary={
        count === 0
          ? 'Cues: all as on the card'
          : `Cues: ${count} ${count === 1 ? 'differs' : 'differ'}`
      }
    >
      <Differences rung={rung} path={path} at={at} />
    </More>
  )
}

function Differences({ rung, path, at }: Props) {
  const bench = useBenchStore()
  const card = useBench((state) => state.card)
  const { replace, add, omit } = rung.cues ?? NONE

  const change = (to: (cues: Cues) => Cues) =>
    bench.getState().edit((now) => {
      const mine = now.ladder[at - 1]!
      const next = to(mine.cues ?? NONE)
      const { cues: _, ...rest } = mine
      const empty = Object.values(next).every((each) => each.length === 0)
      return {
        ...now,
        ladder: now.ladder.with(at - 1, empty ? rest : { ...rest, cues: next }),
      }
    })
  const setMode = (id: string, text: string, mode: string) =>
    change((now) => ({
      ...now,
      omit: mode === 'omit' ? [...now.omit, id] : now.omit.filter((each) => each !== id),
      replace:
        mode === 'replace'
          ? [...now.replace, { cue: id, text }]
          : now.replace.filter((each) => each.cue !== id),
    }))
  const more = () =>
    change((now) => ({
      ...now,
      add: [
        ...now.add,
        {
          id: freshId(
            'b',
            idsOf(bench.getState().card, 'cue').map(({ value }) => value as string)
          ),
          region: 'feet',
          text: '',
          on: 'both',
        },
      ],
    }))

  return (
    <>
      {card.alignment.map((cue, i) => {
        const replaced = replace.findIndex((each) => each.cue === cue.id)
        const mode = omit.includes(cue.id) ? 'omit' : replaced >= 0 ? 'replace' : 'same'
        return (
          <div key={cue.id} className={classes.step}>
            <div className={classes.line}>
              <NativeSelect
                size="xs"
                aria-label={`Rung ${at}, cue ${i + 1}`}
                value={mode}
                data={[
                  { value: 'same', label: 'as it is' },
                  { value: 'replace', label: 'instead' },
                  { value: 'omit', label: 'left out' },
                ]}
                onChange={(event) => setMode(cue.id, cue.text, event.currentTarget.value)}
              />
              <span className={mode === 'same' ? undefined : classes.struck} dir="auto">
                {plainText(cue.text, card)}
              </span>
            </div>
            {replaced >= 0 && (
              <LineSpread label={`Instead of cue ${i + 1}`}>
                <SidedLine
                  path={`${path}.cues.replace[${replaced}].text`}
                  value={replace[replaced]!.text}
                  label="instead"
                  name={`Rung ${at}, instead of cue ${i + 1}`}
                />
              </LineSpread>
            )}
          </div>
        )
      })}
      {add.map((cue, i) => (
        <div key={cue.id} className={classes.added}>
          <LineSpread label={`Added cue of rung ${at}`}>
            <SidedLine
              path={`${path}.cues.add[${i}].text`}
              value={cue.text}
              label="added"
              name={`Rung ${at}, added cue ${i + 1}`}
            />
          </LineSpread>
          <div className={classes.line}>
            <NativeSelect
              size="xs"
              aria-label={`Region of added cue ${i + 1} of rung ${at}`}
              value={cue.region}
              data={REGIONS.map((value) => ({ value, label: LABELS.region[value] }))}
              onChange={(event) =>
                bench.getState().set(`${path}.cues.add[${i}].region`, event.currentTarget.value)
              }
            />
            <Button
              size="compact-xs"
              variant="subtle"
              onClick={() => change((now) => ({ ...now, add: now.add.toSpliced(i, 1) }))}
            >
              Take away
            </Button>
          </div>
        </div>
      ))}
      <Button size="compact-xs" variant="subtle" onClick={more}>
        Add a cue
      </Button>
    </>
  )
}
