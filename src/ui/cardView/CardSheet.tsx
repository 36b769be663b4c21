import type { Side } from '@/core/card'
import { drawnFigure } from '@/core/figure'
import { LABELS, packOf } from '@/core/language'
import {
  type Block,
  type Drawn,
  type Half,
  type Item,
  type Line,
  type Row,
  type Sheet,
  type SheetPart,
} from '@/core/print'
import { FigureSvg } from '../shared/FigureSvg'
import { BreathMark } from '../shared/BreathMark'
import { Ribbon } from '../shared/Ribbon'
import { SideNotch } from '../shared/SideNotch'
import { VerdictMark } from '../shared/VerdictMark'
import { Words } from '../shared/Words'
import classes from './CardSheet.module.css'

const labelsOf = (sheet: Sheet) => packOf(sheet.language)?.labels ?? LABELS

/** A card as it is read at a desk or beside the mat: both halves around one breath. */
export function CardSheet({ sheet }: { sheet: Sheet }) {
  return (
    <article className={classes.sheet} lang={sheet.language}>
      <header className={classes.head}>
        <p className={classes.number}>{sheet.number}</p>
        <h1>
          <bdi>{sheet.title}</bdi>
        </h1>
        <p className={classes.names}>
          {sheet.sanskrit && <bdi lang="sa-Latn">{sheet.sanskrit}</bdi>}
          {sheet.devanagari && <span lang="sa">{sheet.devanagari}</span>}
          {sheet.also.length > 0 && <span>{labelsOf(sheet).sheet.also(sheet.also)}</span>}
        </p>
        {sheet.meaning && <p dir="auto">{sheet.meaning}</p>}
        <p className={classes.facts}>{sheet.facts.join(' · ')}</p>
      </header>
      {sheet.parts.map((part) => (
        <Part key={part.id} part={part} sheet={sheet} />
      ))}
    </article>
  )
}

function Part({ part, sheet }: { part: SheetPart; sheet: Sheet }) {
  const blocks = part.blocks.map((block, i) => (
    <OneBlock key={i} block={block} title={part.title} sheet={sheet} />
  ))
  if (!part.title) return blocks
  return (
    <section className={classes.part}>
      <h2>{part.title}</h2>
      {blocks}
    </section>
  )
}

interface BlockProps<Kind extends Block['kind']> {
  block: Extract<Block, { kind: Kind }>
  title: string
  sheet: Sheet
}

function OneBlock({ block, ...rest }: BlockProps<Block['kind']>) {
  switch (block.kind) {
    case 'figures':
      return <Figures drawn={block.drawn} sided={rest.sheet.sided} />
    case 'spread':
      return <Spread block={block} {...rest} />
    case 'list':
      return (
        <ul className={classes.list}>
          {block.items.map((item, i) => (
            <ListItem key={i} item={item} side={rest.sheet.firstSide} />
          ))}
        </ul>
      )
    case 'rungs':
      return (
        <ol className={classes.ladder} aria-label={rest.title}>
          {block.items.map((item) => (
            <li key={item.id} className={item.marked ? classes.reference : undefined}>
              <Lines item={item} side={rest.sheet.firstSide} rest={classes.rungFacts} />
              {item.bars && <Bars bars={item.bars} />}
            </li>
          ))}
        </ol>
      )
    case 'table':
      return <Table block={block} {...rest} />
    case 'ribbon':
      return <Ribbon ribbon={block.ribbon} length={860} lies label={block.told} />
  }
}

function Figures({ drawn, sided }: { drawn: Drawn[]; sided: boolean }) {
  return (
    <div className={classes.figures}>
      {drawn.map((each) => (
        <figure key={each.side} className={sided ? classes[each.side] : classes.right}>
          <Figure of={each} />
        </figure>
      ))}
    </div>
  )
}

const Figure = ({ of, small }: { of: Drawn; small?: boolean }) => (
  <FigureSvg
    className={small ? classes.small : undefined}
    drawing={drawnFigure(of.figure, of.letters, of.shown)}
    label={of.caption}
  />
)

/** Lines that stay together; the first is the heading of the others. */
function Lines({ item, side, rest }: { item: Item; side: Side; rest?: string }) {
  const [first, ...more] = item.lines
  return (
    <>
      {first && <OneLine line={first} side={side} />}
      {item.drawn?.length === 1 && <Figure of={item.drawn[0]!} small />}
      {item.drawn && item.drawn.length > 1 && (
        <div className={classes.wrongAndRight}>
          {item.drawn.map((each) => (
            <figure key={each.caption}>
              <Figure of={each} />
              <figcaption>{each.caption}</figcaption>
            </figure>
          ))}
        </div>
      )}
      {more.length > 0 && (
        <div className={rest}>
          {more.map((line, i) => (
            <OneLine key={i} line={line} side={side} />
          ))}
        </div>
      )}
    </>
  )
}

/** Small bars from 0 to 100, each with its word and number. */
const Bars = ({ bars }: { bars: NonNullable<Item['bars']> }) => (
  <dl className={classes.bars}>
    {bars.map(({ label, value }) => (
      <div key={label}>
        <dt>{label}</dt>
        <dd>
          <span style={{ width: `${value / 2}px` }} />
          {value}
        </dd>
      </div>
    ))}
  </dl>
)

const OneLine = ({ line, side }: { line: Line; side: Side }) => (
  <p>
    <Words parts={line} side={side} />
  </p>
)

function ListItem({ item, side }: { item: Item; side: Side }) {
  if (!item.verdict)
    return (
      <li>
        <Lines item={item} side={side} />
      </li>
    )
  return (
    <li className={classes.caution}>
      <VerdictMark verdict={item.verdict} />
      <div>
        <Lines item={item} side={side} />
      </div>
    </li>
  )
}

function Table({ block: { label, head, rows, note } }: BlockProps<'table'>) {
  return (
    <div className={classes.sizes} tabIndex={0} role="region" aria-label={label}>
      <table>
        <thead>
          <tr>
            {head.map((each) => (
              <th key={each} scope="col">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, cells }) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              {cells.map(({ value, told }, i) => (
                <td key={i}>
                  {value}
                  {told && <small>{told}</small>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className={classes.soft}>{note}</p>
    </div>
  )
}

const PIXELS_A_SECOND = 11

function Spread({ block, title, sheet }: BlockProps<'spread'>) {
  const { sided, firstSide } = sheet
  const words = labelsOf(sheet).sheet
  const order = (side: Side) => words.order[side === firstSide ? 'first' : 'second']
  return (
    <div className={sided ? classes.spread : classes.even} role="table" aria-label={title}>
      <div role="row" className={classes.rowTitles}>
        {sided && (
          <span role="columnheader" className={`${classes.left} ${classes.leftTitle}`}>
            <small>{order('left')}</small> {words.leads.left} <SideNotch side="left" />
          </span>
        )}
        <span role="columnheader" className={classes.middle}>
          {block.centre}
        </span>
        <span role="columnheader" className={`${classes.right} ${classes.rightTitle}`}>
          {sided ? (
            <>
              <SideNotch side="right" /> {words.leads.right} <small>{order('right')}</small>
            </>
          ) : (
            words.alike
          )}
        </span>
      </div>
      {block.rows.map((row, i) => {
        const half = (side: Side) => (
          <HalfRow
            half={row[side]}
            side={side}
            number={block.numbered ? i + 1 : 0}
            absent={block.absent}
          />
        )
        return (
          <div role="row" key={row.id} className={classes.row}>
            {sided && half('left')}
            <Centre row={row} sheet={sheet} />
            {half('right')}
          </div>
        )
      })}
    </div>
  )
}

function Centre({ row, sheet }: { row: Row; sheet: Sheet }) {
  const beside = row.beside.map((each) => <small key={each}>{each}</small>)
  return (
    <span role="cell" className={classes.middle}>
      {row.breath ? (
        <span className={classes.phase}>
          <small>{labelsOf(sheet).breath[row.breath]}</small>
          <BreathMark
            breath={row.breath}
            width={40}
            height={Math.max(22, Math.min(row.seconds * PIXELS_A_SECOND, 200))}
            decorative
          />
          <span className={classes.beside}>{beside}</span>
        </span>
      ) : (
        <>
          <small>{row.label}</small>
          {beside}
        </>
      )}
    </span>
  )
}

interface HalfProps {
  half: Half | null
  side: Side
  number: number
  absent: string
}

function HalfRow({ half, side, number, absent }: HalfProps) {
  return (
    <span role="cell" className={classes[side]}>
      {number > 0 && <small className={classes.at}>{number}</small>}
      {half?.drawn && <Figure of={half.drawn} small />}
      {half ? (
        <Words parts={half.words} side={side} />
      ) : (
        <span className={classes.soft}>{absent}</span>
      )}
      {half?.measured && <small className={classes.measured}>{half.measured}</small>}
    </span>
  )
}
