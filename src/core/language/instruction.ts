import type { Side } from '../card'
import type { SideRole } from './lexicon'

/** What a line asks the body to do. */
export const ACTIONS = [
  'step',
  'bend',
  'straighten',
  'lift',
  'lower',
  'place',
  'press',
  'turn-out',
  'turn-in',
  'rotate',
  'fold',
  'arch',
  'round',
  'side-bend',
  'twist',
  'lengthen',
  'reach',
  'open',
  'close',
  'cross',
  'clasp',
  'hold',
  'point',
  'flex',
  'tuck',
  'spread',
  'kneel',
  'sit',
  'lie',
  'roll',
  'stand',
  'walk',
  'look',
  'lean',
  'shift',
  'release',
  'slide',
  'breathe',
  'soften',
  'stay',
] as const
export type Action = (typeof ACTIONS)[number]

/** The parts of the body that a line can move, ground up. */
export const BODY_PARTS = [
  'foot',
  'toes',
  'heel',
  'ankle',
  'shin',
  'knee',
  'thigh',
  'leg',
  'hip',
  'pelvis',
  'low back',
  'ribs',
  'chest',
  'spine',
  'shoulder',
  'arm',
  'elbow',
  'forearm',
  'wrist',
  'hand',
  'fingers',
  'neck',
  'head',
  'chin',
  'gaze',
  'whole body',
] as const
export type BodyPart = (typeof BODY_PARTS)[number]

/** Parts that there is one of: no side is told of them. */
export const IN_THE_MIDDLE: ReadonlySet<BodyPart> = new Set<BodyPart>([
  'pelvis',
  'low back',
  'chest',
  'spine',
  'neck',
  'head',
  'chin',
  'gaze',
  'whole body',
])

/** Ways that a part can go; left and right are the way of a turn or a bend, not the side of a part. */
export const WAYS = [
  'up',
  'down',
  'forward',
  'back',
  'out',
  'in',
  'left',
  'right',
  'middle',
  'together',
  'apart',
  'long',
  'level',
  'straight',
  'bent',
  'under',
  'high',
  'low',
  'soft',
  'still',
  'round',
  'crossed',
] as const
export type Way = (typeof WAYS)[number]

/** How a part stands to the place that a line names. */
export const RELATIONS = [
  'on',
  'to',
  'over',
  'under',
  'behind',
  'in front of',
  'beside',
  'outside',
  'inside',
  'between',
  'against',
  'from',
  'past',
  'in line with',
  'level with',
  'parallel to',
  'around',
  'through',
  'along',
  'with',
] as const
export type Relation = (typeof RELATIONS)[number]

/** What a part goes to that is no part of the body. */
export const THINGS = [
  'floor',
  'ceiling',
  'wall',
  'chair',
  'block',
  'bolster',
  'blanket',
  'strap',
  'mat',
  'front of the mat',
  'back of the mat',
  'short edge',
  'long edge',
  'side',
  'you',
] as const
export type Thing = (typeof THINGS)[number]

export type SideTold = Side | 'both' | null

/** A finer place on a part, or what carries the whole body, where a form hangs on it. */
export type Spot =
  | 'sole'
  | 'fingers'
  | 'ear'
  | 'chin'
  | 'crown'
  | 'forehead'
  | 'breastbone'
  | 'belly'
  | 'waist'
  | 'hands and knees'

/** A place that a line names: a part of the body or a thing, and how it stands to it. */
export interface Place {
  relation: Relation
  part?: BodyPart
  /** The word of the line for a finer place: `calf`, `little toe`. */
  word: string
  spot?: Spot
  side?: SideTold
  /** A relative word that is not settled yet. */
  role?: SideRole | 'other' | 'same' | 'opposite'
  thing?: Thing
}

/** How much: a number with its unit, or words. */
export interface Amount {
  words: string
  value?: number
  unit?: 'deg' | 'cm' | 'leg lengths' | 'part of the way' | 'fists'
  /** Whether it is more than there is already: deeper, further. */
  further?: true
  /** Whether it is as little as a hand or the hips are wide. */
  narrow?: true
}

/** One thing that a line asks for, as plain data. */
export interface Instruction {
  action: Action
  part: BodyPart
  /** The word of the line for the part: `palm`, `big toe`. */
  word: string
  /** Where on the part, where the word tells it more finely. */
  spot?: Spot
  side: SideTold
  /** A relative word that tells the side, until it is settled: the front foot. */
  role?: SideRole | 'other' | 'same' | 'opposite'
  ways: Way[]
  places: Place[]
  amount: Amount | null
  manner: string | null
  /** The prop that is moved, where a line moves a prop to the part. */
  prop?: Thing
  /** Whether a place or a way is the part's state, as `keep` asks for it. */
  keeps?: true
  /** Characters of the line that it was read from: the first, and after the last. */
  from: number
  until: number
}

/** What was read in a line: what was understood, and which characters were not. */
export interface LineRead {
  instructions: Instruction[]
  notUnderstood: [from: number, until: number][]
  /** Whether it only asks to feel or to notice something. */
  minds?: true
}

/** Where a set-up line begins: one of the figure’s starting positions, and the side it lies on. */
export interface StartTold {
  start: string
  side: Side | null
}

/** How one language is read: lines to instructions, and the words that it knows. */
export interface Reader {
  read: (text: string) => LineRead
  /** The starting position that a set-up line tells; null when it tells none that is known. */
  start: (text: string) => StartTold | null
  /** The parts of the body that a line names. */
  parts: (text: string) => BodyPart[]
  /** The props that a line names. */
  props: (text: string) => Thing[]
  /** Whether a line names a prop of the set-up by its last word. */
  namesProp: (text: string, prop: string) => boolean
  /** Whether a prop of the set-up is more than one. */
  several: (prop: string, thing: Thing) => boolean
  /** Whether a line speaks of a limb, understood or not, or of turning round. */
  speaksOf: Record<'arm' | 'armOrElbow' | 'foot' | 'leg' | 'turning', RegExp>
  /** The words with a side before a part that an article names; null when it is named otherwise. */
  withSide: (words: string, part: string, side: Side) => string | null
  /** Whether two words name the same thing, one or many of it: a foot, the feet. */
  sameThing: (one: string, other: string) => boolean
  /** Whether the body leaves the floor as a line begins. */
  hops: (text: string) => boolean
  /** Words by which either side is meant: a knee, each foot. */
  anySide: RegExp
  /** What it understands, as a table for people: the words of each action, part, way and thing. */
  words: {
    actions: Record<Action, string[]>
    parts: Record<BodyPart, string[]>
    ways: Record<string, string[]>
    things: Record<string, string[]>
    relations: Record<string, string[]>
  }
  /** The verbs by themselves. */
  verbs: string[]
}
