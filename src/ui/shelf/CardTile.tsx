import { LABELS } from '@/core/language'
import { Link } from '../shared/Link'
import { Edge } from '../shared/Edge'
import classes from './Shelf.module.css'
import type { ShelfCard } from '@/core/deck'

/** Browsers keep a drawing for good: raise this when figures are drawn in another way. */
const DRAWN_AS = 4

/** A card standing on the shelf. */
export function CardTile({ card }: { card: ShelfCard }) {
  return (
    <article className={`${classes.tile} ${card.drawn ? classes.drawn : ''}`}>
      <Edge unwritten={card.unwritten} />
      <div className={classes.face}>
        <Link href={`/cards/${card.id}/bench`} className={classes.name}>
          <bdi>{card.title}</bdi>
        </Link>
        <p className={classes.sanskrit}>
          <bdi>{card.sanskrit}</bdi>
        </p>
        <p className={classes.facts}>
          {card.number && <span>{card.number}</span>}
          <span>{card.spine}</span>
          <span>{card.manner}</span>
          <span>{card.sides === 'sided' ? 'two sides' : 'even'}</span>
        </p>
        <p className={classes.facts}>
          <span className={classes[card.status]}>{LABELS.status[card.status]}</span>
          <Link href={`/cards/${card.id}`} className={classes.read}>
            Read<span className="visually-hidden"> {card.title}</span>
          </Link>
        </p>
      </div>
      {card.drawn && (
        // eslint-disable-next-line @next/next/no-img-element -- a drawing of our own, already small
        <img
          className={classes.figure}
          src={`/api/cards/${card.id}/figure?p=${card.picture}&way=${DRAWN_AS}${card.build ? `&build=${card.build}` : ''}`}
          alt=""
          loading="lazy"
          decoding="async"
        />
      )}
    </article>
  )
}
