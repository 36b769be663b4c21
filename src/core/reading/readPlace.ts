import type { Base } from '../card'
import { type Contact } from '../figure'
import { type Instruction, readerOf } from '../language'
import { startStance } from './draft'
import { readLine } from './readLine'

/** What a set-up line tells: the base, what touches what, and the props. */
export interface PlaceRead {
  /** Null when the line tells no position that is known. */
  base: Base | null
  contacts: Pick<Contact, 'part' | 'on'>[]
  props: string[]
  instructions: Instruction[]
}

const BASE_OF: Record<string, Base> = {
  standing: 'standing',
  wide: 'standing',
  squat: 'standing',
  'standing-fold': 'standing',
  chair: 'seated',
  kneeling: 'kneeling',
  'heel-seat': 'kneeling',
  'hands-and-knees': 'hands',
  plank: 'hands',
  dog: 'hands',
  'long-seat': 'seated',
  'cross-legged': 'seated',
  'bound-seat': 'seated',
  'seat-knees-bent': 'seated',
  seat: 'seated',
  prone: 'prone',
  supine: 'supine',
  'supine-knees-bent': 'supine',
  'side-lying': 'side-lying',
}

/** Reads a line of a set-up. A position that is not known gives no base and no contacts. */
export function readPlace(text: string, language = 'en'): PlaceRead {
  const { instructions } = readLine(text, language)
  const begun = startStance(text, language, instructions, null)
  return {
    base: begun ? (BASE_OF[begun.start] ?? null) : null,
    contacts: begun ? begun.stance.contacts.map(({ part, on }) => ({ part, on })) : [],
    props: readerOf(language)?.props(text) ?? [],
    instructions,
  }
}
