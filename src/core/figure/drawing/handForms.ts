import type { Side } from '../../card'
import { pointIn } from '../skeleton'
import type { Standing } from '../solve'
import type { Figure } from '../spec'
import { norm, sub, type Vec } from '../vec'
import type { Hands } from './flesh'
import type { HandForm } from './handsAndFeet'

/** Hands nearer to each other than this, in statures, hold each other when they don’t lie palm to palm. */
const CLASPED = 0.045

/** How the hands of a figure are held, as its contacts and straps say. */
export function handForms(figure: Figure, standing: Standing): Hands {
  return { left: formOf(figure, standing, 'left'), right: formOf(figure, standing, 'right') }
}

function formOf({ contacts, straps }: Figure, { placed }: Standing, side: Side): HandForm {
  const own = contacts.filter(({ part }) => part.startsWith(`${side} `))
  const on = (part: string) => own.find((contact) => contact.part === `${side} ${part}`)?.on
  if (on('fist')) return 'fist'
  if (on('fingertips')) return 'fingertips'
  if (
    straps.some((strap) => strap.slice(0, 2).some((end) => String(end).startsWith(`${side} hand`)))
  )
    return 'hook'
  // A hand that holds a foot or the other arm closes round it.
  const held = on('hand') ?? on('palm')
  if (held && /foot|forearm|hand$/.test(held)) return 'hook'
  const middle = (of: Side, z = 0): Vec => pointIn(placed, `${of}Hand`, [0, -0.05, z])
  const apart = norm(sub(middle('left'), middle('right')))
  const palms = norm(sub(middle('left', 0.02), middle('right', 0.02)))
  // Palm to palm the fronts of the hands are nearer than their middles.
  if (apart < CLASPED && palms > apart * 0.6 && !own.length) return 'clasp'
  return 'flat'
}
