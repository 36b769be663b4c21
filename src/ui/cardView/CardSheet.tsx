import type { ReactNode } from 'react'
import { BREATH_WORDS, type Side, VERDICT_WORDS } from '@/core/card'
import { type Sheet, type SheetRung, type SpreadLine, type SpreadRow, wordsOf } from '@/core/print'
import { drawnFigure, type SizeRow, sizeWords, STATURES } from '@/core/figure'
import { FigureSvg } from '../shared/FigureSvg'
import { BreathMark } from '../shared/BreathMark'
import { Spine } from '../shared/Spine'
import { SideNotch } from '../shared/SideNotch'
import { VerdictMark } from '../shared/VerdictMark'
import { Words } from '../shared/Words'
import classes from './CardSheet.module.css'

/** A card as it is read at a desk or beside the mat: both halves around one breath. */
export function CardSheet({ sheet }: { sheet: Sheet }) {
  return (
    <article className={classes.sheet} lang="en">
      <header className={classes.head}>
        <p className={classes.number}>{sheet.number}</p>
        <h1>
          <bdi>{sheet.title}</bdi>
        </h1>
        <p className={classes.names}>
          {sheet.sanskrit && <bdi lang="sa-Latn">{sheet.sanskrit}</bdi>}
          {sheet.devanagari && <span lang="sa">{sheet.devanagari}</span>}
          {sheet.also.length > 0 && <span>also {sheet.also.join(', ')}</span>}
        </p>
        {sheet.meaning && <p dir="auto">{sheet.meaning}</p>}
        <p className={classes.facts}>{[...sheet.facts, sheet.when].filter(Boolean).join(' · ')}</p>
      </header>

      {sheet.figures.length > 0 && (
        <div className={classes.figures}>
          {(sheet.sided ? (['left', 'right'] as const) : (['right'] as const)).map((side) => {
            const drawn = sheet.figures.find((each) => each.side === side)!
            return (
              <figure key={side} className={sheet.sided ? classes[side] : classes.right}>
                <FigureSvg
                  drawing={drawnFigure(drawn.figure, sheet.sided, drawn.shown)}
                  label={sheet.sided ? `${sheet.title}, ${side} leads` : sheet.title}
                />
              </figure>
            )
          })}
        </div>
      )}

      <Part
        title="Set-up"
        when={sheet.setUp.place ?? sheet.setUp.note ?? sheet.start ?? sheet.setUp.props.length}
      >
        {sheet.start && (
          <FigureSvg
            className={classes.small}
            drawing={drawnFigure(sheet.start, sheet.sided)}
            label={`${sheet.title}, the start`}
          />
        )}
        <Line label="Start" line={sheet.setUp.place} />
        {sheet.setUp.props.length > 0 && (
          <p>
            <b>Props</b> <bdi>{sheet.setUp.props.join(', ')}</bdi>
          </p>
        )}
        <Line label="Note" line={sheet.setUp.note} />
      </Part>

      <Rows title="Coming in" rows={sheet.enter} sheet={sheet} numbered />
      <Part title="The stay, and the time it all takes" when={sheet.stay || sheet.time}>
        <p>{[sheet.stay, `breath ${sheet.pace}`].filter(Boolean).join(' · ')}</p>
        {sheet.time && <p>{sheet.time}</p>}
        <Spine spine={sheet.spine} length={860} lies />
      </Part>
      <Rows title="The other way" rows={sheet.otherWay} sheet={sheet} numbered />
      <Rows title="Alignment" rows={sheet.alignment} sheet={sheet} />
      <Rows title="Coming out" rows={sheet.exit} sheet={sheet} numbered />

      <Part title="For a person’s size" when={sheet.sizes.length}>
        <Sizes rows={sheet.sizes} />
      </Part>
      <Part title="Between the sides" when={sheet.between}>
        <p>
          {sheet.between?.breaths}.{' '}
          <Words parts={sheet.between?.text ?? []} side={sheet.firstSide} />
        </p>
      </Part>

      <Part title="What goes wrong" when={sheet.mistakes.length}>
        <ul className={classes.list}>
          {sheet.mistakes.map((each, i) => (
            <li key={i}>
              <b>
                <Words parts={each.seen} side={sheet.firstSide} />
              </b>
              {each.on && ` (${each.on})`}
              {each.why.length > 0 && (
                <p className={classes.soft}>
                  <Words parts={each.why} side={sheet.firstSide} />
                </p>
              )}
              {each.say.length > 0 && (
                <p>
                  Say: “<Words parts={each.say} side={sheet.firstSide} />”
                </p>
              )}
            </li>
          ))}
        </ul>
      </Part>

      <Part title="Cautions" when={sheet.cautions.length}>
        <p className={classes.soft}>{sheet.cautionLead}</p>
        <ul className={classes.list}>
          {sheet.cautions.map((each, i) => (
            <li key={i} className={classes.caution}>
              <VerdictMark verdict={each.verdict} />
              <p>
                <b>
                  <bdi>{each.condition}</bdi>: {VERDICT_WORDS[each.verdict]}
                </b>
                {each.rung && ` (${each.rung})`}. <bdi dir="auto">{each.say}</bdi>
                {each.reason && <span className={classes.soft}> Reason: {each.reason}</span>}
              </p>
            </li>
          ))}
        </ul>
      </Part>

      <Part title="The ladder" when={sheet.ladder.length}>
        <ol className={classes.ladder} aria-label="Most demanding on top">
          {sheet.ladder.map((rung, i) => (
            <Rung key={rung.id} rung={rung} at={sheet.ladder.length - i} sided={sheet.sided} />
          ))}
        </ol>
      </Part>

      <Part title="Follow with" when={sheet.counter.length}>
        <p>{sheet.counter.join(', ')}</p>
      </Part>
      <Part title="In our school" when={sheet.conventions.length}>
        <ul className={classes.list}>
          {sheet.conventions.map(({ title, answer }) => (
            <li key={title}>
              <b>{title}:</b> <bdi>{answer}</bdi>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="Said of this pose" when={sheet.effects.length}>
        <ul className={classes.list}>
          {sheet.effects.map((each, i) => (
            <li key={i}>
              <bdi dir="auto">{each.text}</bdi>{' '}
              <span className={classes.soft}>
                ({[each.basis, each.source].filter(Boolean).join(': ')})
              </span>
            </li>
          ))}
        </ul>
      </Part>
      <Part title="Touch, only with consent, asked each time" when={sheet.assists.length}>
        <ul className={classes.list}>
          {sheet.assists.map((each, i) => (
            <li key={i}>
              {each.breath && `On ${BREATH_WORDS[each.breath]}: `}
              <Words parts={each.text} side={sheet.firstSide} />
              {each.on && ` (${each.on})`}
            </li>
          ))}
        </ul>
      </Part>
      <Part title="Notes" when={sheet.notes}>
        <p className={classes.notes} dir="auto">
          {sheet.notes}
        </p>
      </Part>
    </article>
  )
}

function Part({ title, when, children }: { title: string; when: unknown; children: ReactNode }) {
  if (!when) return null
  return (
    <section className={classes.part}>
      <h2>{title}</h2>
      {children}
    </section>
  )
}

function Line({ label, line }: { label: string; line: SpreadLine | null }) {
  if (!line?.right) return null
  if (!line.left || wordsOf(line.left) === wordsOf(line.right))
    return (
      <p>
        <b>{label}</b> <Words parts={line.right} side="right" />
      </p>
    )
  return (
    <>
      <p>
        <b>{label}, left leads</b> <Words parts={line.left} side="left" />
      </p>
      <p>
        <b>{label}, right leads</b> <Words parts={line.right} side="right" />
      </p>
    </>
  )
}

/** What scales with the person, by stature. */
function Sizes({ rows }: { rows: SizeRow[] }) {
  return (
    <div className={classes.sizes} tabIndex={0} role="region" aria-label="Sizes by stature">
      <table>
        <thead>
          <tr>
            <th scope="col">stature, cm</th>
            {STATURES.map((stature) => (
              <th key={stature} scope="col">
                {stature}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, unit, values, told }) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              {values.map((value, i) => (
                <td key={STATURES[i]}>
                  {sizeWords(value, unit)}
                  {told && <small>{told[i]}</small>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className={classes.soft}>For usual proportions; look at the person, too.</p>
    </div>
  )
}

const PIXELS_A_SECOND = 11

function Rows({
  title,
  rows,
  sheet,
  numbered,
}: {
  title: string
  rows: SpreadRow[]
  sheet: Sheet
  numbered?: boolean
}) {
  if (rows.length === 0) return null
  const order = (side: Side) => (side === sheet.firstSide ? 'first' : 'second')
  return (
    <section className={classes.part}>
      <h2>{title}</h2>
      <div className={sheet.sided ? classes.spread : classes.even} role="table" aria-label={title}>
        <div role="row" className={classes.rowTitles}>
          {sheet.sided && (
            <span role="columnheader" className={`${classes.left} ${classes.leftTitle}`}>
              <small>{order('left')}</small> LEFT LEADS <SideNotch side="left" />
            </span>
          )}
          <span role="columnheader" className={classes.middle}>
            {numbered ? 'breath' : 'where'}
          </span>
          <span role="columnheader" className={`${classes.right} ${classes.rightTitle}`}>
            {sheet.sided ? (
              <>
                <SideNotch side="right" /> RIGHT LEADS <small>{order('right')}</small>
              </>
            ) : (
              'BOTH SIDES ALIKE'
            )}
          </span>
        </div>
        {rows.map((row, i) => (
          <div role="row" key={row.id} className={classes.row}>
            {sheet.sided && <Half row={row} side="left" number={numbered ? i + 1 : 0} />}
            <span role="cell" className={classes.middle}>
              {row.breath ? (
                <span className={classes.phase}>
                  <small>{BREATH_WORDS[row.breath]}</small>
                  <BreathMark
                    breath={row.breath}
                    width={40}
                    height={Math.max(
                      22,
                      Math.min((row.seconds / row.repeat) * PIXELS_A_SECOND, 200)
                    )}
                    decorative
                  />
                  <small>{row.repeat > 1 && `× ${row.repeat}`}</small>
                </span>
              ) : (
                <small>{row.label}</small>
              )}
            </span>
            <Half row={row} side="right" number={numbered ? i + 1 : 0} />
          </div>
        ))}
      </div>
    </section>
  )
}

function Half({ row, side, number }: { row: SpreadRow; side: Side; number: number }) {
  const parts = row[side]
  return (
    <span role="cell" className={classes[side]}>
      {number > 0 && <small className={classes.at}>{number}</small>}
      {row.figures?.[side] && (
        <FigureSvg
          className={classes.small}
          drawing={drawnFigure(row.figures[side], false)}
          label={`${wordsOf(parts)} (figure)`}
        />
      )}
      {parts ? (
        <Words parts={parts} side={side} />
      ) : (
        <span className={classes.soft}>not on this side</span>
      )}
      {parts && row.measured && <small className={classes.measured}>{row.measured[side]}</small>}
    </span>
  )
}

function Rung({ rung, at, sided }: { rung: SheetRung; at: number; sided: boolean }) {
  return (
    <li className={rung.reference ? classes.reference : undefined}>
      <p>
        <b>
          {at} <bdi>{rung.name}</bdi>
        </b>
        {rung.reference && ' · the form described here'}
      </p>
      {rung.figure && (
        <FigureSvg
          className={classes.small}
          drawing={drawnFigure(rung.figure, sided)}
          label={`${rung.name} (figure)`}
        />
      )}
      <div className={classes.rungFacts}>
        {rung.props.length > 0 && <p>With {rung.props.join(', ')}.</p>}
        {rung.stay && <p>Stay {rung.stay}.</p>}
        {rung.changes.map((change, i) => (
          <p key={i}>{change}</p>
        ))}
        {rung.upWhen.map((sign, i) => (
          <p key={i}>
            <b>Up when</b> {sign}
          </p>
        ))}
        {rung.downWhen.map((sign, i) => (
          <p key={i}>
            <b>Down when</b> {sign}
          </p>
        ))}
      </div>
    </li>
  )
}
