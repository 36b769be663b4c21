'use client'

import { Button, Checkbox, Radio } from '@mantine/core'
import { Link } from '../shared/Link'
import { createContext, Fragment, useContext } from 'react'
import { DEMANDED, dropUnwritable, PROPS, type Rung } from '@/core/card'
import { withReferenceRung } from '@/core/figure'
import { LABELS, LADDER } from '@/core/language'
import { plainText } from '@/core/sides'
import type { RungSeen } from '@/workers/ladder'
import { More } from '../bench/More'
import { RungCues } from '../bench/RungCues'
import { RungSteps } from '../bench/RungSteps'
import { LineSpread, SidedLine } from '../bench/SidedLine'
import { StayForm } from '../bench/StaySection'
import type { PartProps } from '../bench/PartList'
import { useBench, useBenchStore } from '../bench/store'
import { FigureSvg } from '../shared/FigureSvg'
import { later } from '../shared/later'
import { TagsField } from '../shared/TagsField'
import classes from './Ladder.module.css'
import type { LadderSeen } from './useLadder'

// The library that draws charts is large, and comes after the words.
const DemandBars = later(() => import('./DemandBars').then((module) => module.DemandBars))

/** What all rungs share: what is known of them, and whoever compares two. */
export const LadderContext = createContext<{
  seen: LadderSeen | null
  onCompare: (ids: readonly [string, string]) => void
} | null>(null)

/** One rung: its form, what changes, what it asks, its signs, and for whom it is open. */
export function RungRow({ part: rung, set, at, path }: PartProps<Rung>) {
  const bench = useBenchStore()
  const ladder = useContext(LadderContext)
  const seen = ladder?.seen?.rungs.get(rung.id)
  const offered = ladder?.seen?.offered
  const below = useBench((state) => state.card.ladder[at - 2]?.id)
  const id = useBench((state) => state.card.id)
  const own = rung.stay ? LABELS.stay(rung.stay) : ''
  return (
    <div className={classes.rung}>
      <div className={classes.form}>
        {seen?.drawing && <FigureSvg drawing={seen.drawing} label={rung.name || `Rung ${at}`} />}
      </div>
      <div className={classes.words}>
        <LineSpread label={`Rung ${at}`}>
          <SidedLine
            calm
            path={`${path}.name`}
            value={rung.name}
            label={`Rung ${at}`}
            name={`Rung ${at}, name`}
          />
        </LineSpread>
        <Opening seen={seen} />
        {seen && seen.opensTo.length > 0 && !seen.opening && (
          <p className={classes.soft}>{LADDER.person.opensTo(seen.opensTo)}</p>
        )}
        <Changes rung={rung} />
        <div className={classes.signs}>
          <TagsField
            aria-label={`Rung ${at}, go up when`}
            label={LABELS.sheet.upWhen}
            size="xs"
            placeholder="pick or write"
            data={offered?.up ?? []}
            value={rung.upWhen}
            onChange={(upWhen) => set({ upWhen: upWhen.map(dropUnwritable) })}
          />
          <TagsField
            aria-label={`Rung ${at}, come down when`}
            label={LABELS.sheet.downWhen}
            size="xs"
            placeholder="pick or write"
            data={offered?.down ?? []}
            value={rung.downWhen}
            onChange={(downWhen) => set({ downWhen: downWhen.map(dropUnwritable) })}
          />
        </div>
        {seen?.signs.map(({ sign, read, met }) => (
          <p key={sign} className={classes.soft}>
            <OpenMark open={met} /> {sign}: the figure reads {read}
          </p>
        ))}
        <More summary={`Props, steps, cues and stay${own ? `: ${own}` : ''}`}>
          <div className={classes.more}>
            <TagsField
              aria-label={`Props of rung ${at}`}
              placeholder="props"
              size="xs"
              data={[...PROPS]}
              value={rung.props}
              onChange={(all) => set({ props: all.map(dropUnwritable) })}
            />
            <Radio
              size="xs"
              name="reference-rung"
              label="the steps describe this form"
              checked={rung.reference ?? false}
              onChange={() => bench.getState().edit((card) => withReferenceRung(card, rung.id))}
            />
            {!rung.reference && (
              <Checkbox
                size="xs"
                label={LABELS.sheet.beside}
                checked={rung.beside ?? false}
                onChange={(event) =>
                  set({ beside: event.currentTarget.checked ? true : undefined })
                }
              />
            )}
            {!rung.reference && <RungSteps rung={rung} path={path} at={at} />}
            {!rung.reference && <RungCues rung={rung} path={path} at={at} />}
            {rung.stay ? (
              <>
                <StayForm stay={rung.stay} path={`${path}.stay`} />
                <Button
                  size="compact-xs"
                  variant="default"
                  onClick={() => set({ stay: undefined })}
                >
                  Stay as the card says
                </Button>
              </>
            ) : (
              <Button
                size="compact-xs"
                variant="default"
                onClick={() => set({ stay: { repeats: 1 } })}
              >
                Give this rung a stay of its own
              </Button>
            )}
          </div>
        </More>
      </div>
      <div className={classes.asks}>
        {seen?.demand ? (
          <>
            <p className={classes.total}>
              {LADDER.asks} <b>{Math.round(seen.demand.total)}</b> {LADDER.outOf}
              {rung.reference && <> · {LABELS.sheet.described}</>}
              {rung.beside && <> · {LADDER.beside}</>}
            </p>
            <DemandBars demand={seen.demand} faint={!seen.sure} width={232} />
            {!seen.sure && <p className={classes.soft}>{seen.from}</p>}
            <More summary="Why">
              <dl className={classes.why}>
                {DEMANDED.map((part) => (
                  <Fragment key={part}>
                    <dt>{LADDER.demanded[part]}</dt>
                    <dd>{seen.why[part].join('; ') || LADDER.origin.none}</dd>
                  </Fragment>
                ))}
                <dt>form</dt>
                <dd>{seen.from}</dd>
              </dl>
            </More>
          </>
        ) : (
          seen && <p className={classes.soft}>{LADDER.from.none}</p>
        )}
        {seen && seen.seconds > 0 && (
          <p className={classes.soft}>takes {LABELS.duration(seen.seconds)}</p>
        )}
        {!rung.reference && (
          <Button
            size="compact-xs"
            variant="subtle"
            component={Link}
            href={`/cards/${id}?rung=${rung.id}`}
          >
            Read and print this rung
          </Button>
        )}
        {below && (
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => ladder?.onCompare([below, rung.id])}
            aria-label={`Compare rung ${at} with the one below`}
          >
            Compare with the one below
          </Button>
        )}
        {seen?.findings.map(({ rule, where, message }) => (
          <p key={rule + where + message} className={classes.soft}>
            On this rung: {message}
          </p>
        ))}
      </div>
    </div>
  )
}

/** Open: filled. Not open: a ring. Not known: a broken ring. Always beside the word. */
const OpenMark = ({ open }: { open: boolean | null }) => (
  <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
    <circle
      cx={6}
      cy={6}
      r={4.6}
      fill={open ? 'var(--ink)' : 'none'}
      stroke="var(--ink)"
      strokeWidth={1.5}
      strokeDasharray={open === null ? '2 2' : undefined}
    />
  </svg>
)

/** Whether the rung is open to the person that is set, and what is missing. */
function Opening({ seen }: { seen: RungSeen | undefined }) {
  const opening = seen?.opening
  if (!opening) return null
  const { person } = LADDER
  const word = opening.open === null ? person.unsure : opening.open ? person.open : person.closed
  return (
    <p className={classes.opening} data-open={String(opening.open)}>
      <OpenMark open={opening.open} /> <b>{word}</b>
      {opening.missing.length > 0 && `: ${opening.missing.join('; ')}`}
      {opening.closes.length > 0 && <> → {opening.closes.join('; ')}</>}
    </p>
  )
}

/** What a rung does otherwise than the form described, in one line each. */
function Changes({ rung }: { rung: Rung }) {
  const card = useBench((state) => state.card)
  const plain = (text: string) => plainText(text, card)
  const { replace, add, omit } = rung.steps
  const steps = new Map(
    [...card.enter, ...card.otherWay, ...card.exit].map(({ id, text }) => [id, plain(text)])
  )
  const lines = [
    rung.props.length ? LABELS.sheet.with(rung.props) : '',
    ...replace.map(({ text }) => plain(text)),
    ...add.map(({ step }) => `+ ${plain(step.text)}`),
    ...omit.map((id) => `${LABELS.sheet.leaveOut(steps.get(id) ?? id)}.`),
    ...(rung.cues?.replace ?? []).map(({ text }) => plain(text)),
    ...(rung.cues?.add ?? []).map(
      (cue) => `${LABELS.sheet.moreCue(LABELS.region[cue.region])} ${plain(cue.text)}`
    ),
    rung.stay ? LABELS.sheet.stays(LABELS.stay(rung.stay), '') : '',
  ].filter(Boolean)
  if (lines.length === 0) return null
  return (
    <ul className={classes.changes}>
      {lines.map((line, i) => (
        <li key={i}>{line}</li>
      ))}
    </ul>
  )
}
