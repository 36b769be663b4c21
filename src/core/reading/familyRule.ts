import type { Card, Found, Rule } from '../card'
import {
  finalFigure,
  finalPlace,
  type Figure,
  solved,
  type Solved,
  spineOf,
  tippedOf,
} from '../figure'
import { LABELS, SAY } from '../language'
import { finalDraft, formsOf } from './draft'

/** One of these parts carries a form of a base; turned upside down, any part can. */
const CARRIES: Partial<Record<Card['base'], RegExp>> = {
  standing: /(?:sole|toes|heel|outer foot)$/,
  kneeling: /(?:knee|shin|top of foot)$/,
  seated: /^(?:sit bones|(?:left|right) (?:sit bone|heel|calf)|pelvis)$/,
  prone: /^(?:belly|chest|forehead|chin|(?:left|right) (?:thigh|top of foot|toes))$/,
  supine: /^(?:back|shoulders|head|pelvis)$/,
  'side-lying': /^(?:left|right) (?:hip|shoulder|ear|elbow|forearm)$/,
  hands: /^(?:left|right) (?:palm|hand|fist|fingertips|forearm|elbow|back of hand)$/,
}
/** What carries weight when nobody stands; a chest can lie on a chair. */
const LIES = /^(?:back|belly|sit bones|pelvis|shoulders)$/

/** The form that the steps lead to, where it is known; null where the words leave it open. */
function finalForm(card: Card): { where: string; figure: Figure } | null {
  const kept = finalFigure(card)
  if (kept) return { where: finalPlace(card), figure: kept.figure }
  const forms = formsOf(card)
  const form = finalDraft(card, forms)
  const upTo = forms.slice(0, forms.indexOf(form) + 1)
  return upTo.every(({ sure }) => sure) ? { where: form.where, figure: form.figure } : null
}

function offBase(base: Card['base'], { contacts }: Figure): string | null {
  // What leans on a wall or on a limb carries nothing by itself.
  const parts = contacts.flatMap(({ part, on }) => (/^(?:left|right) |^wall/.test(on) ? [] : part))
  if (parts.length === 0) return null
  const fits =
    parts.some((part) => CARRIES[base]?.test(part) ?? true) &&
    !(base === 'standing' && parts.some((part) => LIES.test(part)))
  return fits ? null : SAY.sense.family.base(LABELS.base[base], parts)
}

/** Degrees of the spine that tell nothing of where it goes. */
const HARDLY = 8
/** Degrees that nobody calls lengthened any more. */
const FAR = { bend: 40, side: 25, turn: 25 }
const UPRIGHT = 20

function offSpine({ base, spine }: Card, body: Solved): string | null {
  const say = SAY.sense.family
  const { bend, side, turn } = spineOf(body)
  const tipped = tippedOf(body)
  const most = Math.max(Math.abs(bend), HARDLY)
  const aside =
    base === 'side-lying'
      ? null
      : Math.abs(side) > FAR.side && Math.abs(side) > most
        ? say.lengthen.side
        : Math.abs(turn) > FAR.turn && Math.abs(turn) > most
          ? say.lengthen.turn
          : null
  if ((spine === 'forward' || spine === 'back') && aside)
    return say.aside(spine, aside, Math.round(Math.max(Math.abs(side), Math.abs(turn))))
  switch (spine) {
    case 'twist':
      return Math.abs(turn) < HARDLY ? say.twist(Math.abs(turn)) : null
    case 'side':
      return Math.abs(side) < HARDLY && tipped < UPRIGHT ? say.side(Math.abs(side)) : null
    case 'forward':
      if (bend <= -2 * HARDLY) return say.forward(-bend)
      return bend < HARDLY && tipped < UPRIGHT ? say.forward(0) : null
    case 'back':
      return bend >= 2 * HARDLY ? say.back(bend) : null
    case 'lengthen': {
      const { bend: forward, arch, side: sideways, turn: turns } = say.lengthen
      if (Math.abs(turn) > FAR.turn) return say.lengthened(turns, Math.abs(turn))
      // Who lies on one side lies on a shoulder and a hip.
      if (base !== 'side-lying' && Math.abs(side) > FAR.side)
        return say.lengthened(sideways, Math.abs(side))
      if (Math.abs(bend) > FAR.bend)
        return say.lengthened(bend > 0 ? forward : arch, Math.abs(bend))
      return null
    }
  }
}

/**
 * Where the form that the steps lead to is of another family than the card is filed under. Only
 * what is plain is told: many forms can be filed in more than one place.
 */
export const familyFits: Rule['check'] = (card): Found[] => {
  const form = finalForm(card)
  if (!form) return []
  const base = offBase(card.base, form.figure)
  const spine = offSpine(card, solved(form.figure))
  return [
    ...(base ? [{ where: 'base', message: base }] : []),
    ...(spine ? [{ where: 'spine', message: spine }] : []),
  ]
}
