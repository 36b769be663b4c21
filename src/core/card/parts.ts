import { inEach, remember, rememberOf } from '../language'
import type { Card } from './card'
import type { Marks, StepsMark } from './marks'
import TREE from './tree.json' with { type: 'json' }
import type { Node } from './treeOf'

/**
 * The one walk over every part of a card. Its tree is read off the schema (`treeOf`, kept in
 * tree.json so that a page can walk a card without the library that checks it): what a field is
 * (words of a side, words that are spoken, a link, a figure) is marked where it is declared, and
 * who mirrors, checks, prints or draws asks for the parts that it works on.
 */

/** What is known of a part of every card, before there is one. */
export interface Kind extends Marks {
  kind: 'words' | 'choice' | 'number' | 'flag' | 'id' | 'link' | 'figure'
  /** Its own name in what owns it: `text`. */
  key: string
  /** The field of the card that it lies in: `enter`. */
  field: keyof Card
  /** What owns it: a step, a cue, the card itself. */
  of: Owner
}

export type Owner =
  | 'card'
  | 'names'
  | 'setUp'
  | 'step'
  | 'cue'
  | 'measure'
  | 'mark'
  | 'stay'
  | 'between'
  | 'mistake'
  | 'caution'
  | 'trait'
  | 'rung'
  | 'instead'
  | 'insteadCue'
  | 'added'
  | 'claim'
  | 'assist'
  | 'when'

/** A part as it stands on one card. */
export interface Part extends Kind {
  /** Path in the card, such as `enter[2].text`. */
  path: string
  /** Undefined when the card does not have it and it was asked for all the same. */
  value: unknown
  /** What owns it, from the nearest to what stands on the card; the card, of what is its own. */
  owners: readonly { of: Owner; path: string; value: unknown }[]
}

/** The tree with only those leaves in it that are wanted; null when none are. */
function pruned(node: Node, want: Want): Node | null {
  if (node.type === 'leaf') return want(node.kind) ? node : null
  if (node.type === 'list') {
    const item = pruned(node.item, want)
    return item && { type: 'list', item }
  }
  const fields = node.fields.flatMap(([key, inner]): [string, Node][] => {
    const kept = pruned(inner, want)
    return kept ? [[key, kept]] : []
  })
  return fields.length ? { ...node, fields } : null
}

/** Which parts are wanted, by what is known of them on every card. Keep it: its tree is kept with it. */
export type Want = (kind: Kind) => boolean

const trees = new WeakMap<Want, Node | null>()

function treeOf(want: Want): Node | null {
  let tree = trees.get(want)
  if (tree === undefined) {
    tree = pruned(TREE as Node, want)
    trees.set(want, tree)
  }
  return tree
}

type Put = (part: Part) => void

/** Paths of what stands in lists: the same texts on every card. */
const paths = new Map<string, string[]>()
function pathAt(list: string, i: number): string {
  let own = paths.get(list)
  if (!own) paths.set(list, (own = []))
  return (own[i] ??= `${list}[${i}]`)
}

function visit(
  node: Node,
  value: unknown,
  path: string,
  owners: Part['owners'],
  absent: boolean,
  put: Put
): void {
  if (node.type === 'leaf') {
    if (value === undefined && !absent) return
    const { kind, key, field, of, sided, spoken, to, unread } = node.kind
    put({ kind, key, field, of, sided, spoken, to, unread, path, value, owners })
  } else if (node.type === 'list') {
    if (!Array.isArray(value)) return
    const { item } = node
    if (isKept(item, owners, absent)) for (const part of partsOfList(item)(value, path)) put(part)
    else
      for (let i = 0; i < value.length; i += 1)
        visit(item, value[i], pathAt(path, i), owners, absent, put)
  } else if (typeof value === 'object' && value !== null) {
    if (isKept(node, owners, absent)) for (const part of keptParts(node, value, path)) put(part)
    else visitFields(node, value, path, owners, absent, put)
  }
}

/** Whether the parts of what stands here serve any card: those of a step, a cue, a rung. */
const isKept = (node: Node, owners: Part['owners'], absent: boolean): node is Group =>
  node.type === 'group' && node.of !== null && owners[0]?.of === 'card' && !absent

function visitFields(
  node: Group,
  value: object,
  path: string,
  owners: Part['owners'],
  absent: boolean,
  put: Put
): void {
  const above = owners[0]?.of === 'card' ? [] : owners
  const own = node.of ? [{ of: node.of, path, value }, ...above] : owners
  for (const [key, inner] of node.fields)
    visit(
      inner,
      (value as Record<string, unknown>)[key],
      path ? `${path}.${key}` : key,
      own,
      absent,
      put
    )
}

type Group = Extract<Node, { type: 'group' }>

/** By the tree of what is wanted of each: the parts of a list from one card to the next. */
const partsOfList = rememberOf((item: Group) =>
  inEach((path: string) => (value: object, at) => keptParts(item, value, pathAt(path, at)))
)

/** By what stands on a card, then by the tree of what is wanted. */
const keptOf = new WeakMap<object, Map<Node, { path: string; parts: readonly Part[] }>>()

/** The parts of a step, a cue, a rung: the same ones as long as that is, on whatever card. */
function keptParts(node: Group, value: object, path: string): readonly Part[] {
  const mine = keptOf.get(value) ?? new Map<Node, { path: string; parts: readonly Part[] }>()
  keptOf.set(value, mine)
  const before = mine.get(node)
  if (before?.path === path) return before.parts
  const parts: Part[] = []
  visitFields(node, value, path, [], false, (part) => parts.push(part))
  mine.set(node, { path, parts })
  return parts
}

/**
 * The parts of a card that are wanted, in the order of the card.
 * @param absent whether parts that could be there and are not are given, too, without a value
 * @example partsOf(card, (part) => part.sided).map((part) => part.path)
 */
export function partsOf(card: Card, want: Want, absent = false): readonly Part[] {
  if (absent) return walked(card, want, true)
  const mine = known.get(card) ?? new Map<Want, Part[]>()
  known.set(card, mine)
  const parts = mine.get(want) ?? walked(card, want, false)
  mine.set(want, parts)
  return parts
}

/** A card is never changed in place: what was found on it stays true. */
const known = new WeakMap<Card, Map<Want, Part[]>>()

function walked(card: Card, want: Want, absent: boolean): Part[] {
  const parts: Part[] = []
  const tree = treeOf(want)
  if (tree) visit(tree, card, '', [], absent, (part) => parts.push(part))
  return parts
}

type Write = (value: unknown) => unknown

/** By who writes, and by the tree of what is wanted of each: a list as it is written anew. */
const listWritten = rememberOf((write: Write) =>
  rememberOf((item: Node) => inEach(() => (value: object) => [rewritten(item, value, write)]))
)

function rewritten(node: Node, value: unknown, write: Write): unknown {
  if (value === undefined) return value
  if (node.type === 'leaf') return write(value)
  if (node.type === 'list') {
    const list = value as object[]
    const now = node.item.type === 'leaf' ? list.map(write) : listWritten(write)(node.item)(list)
    return now.some((each, i) => each !== list[i]) ? now : list
  }
  let copy: Record<string, unknown> | null = null
  for (const [key, inner] of node.fields) {
    const before = (value as Record<string, unknown>)[key]
    const now = rewritten(inner, before, write)
    if (now === before) continue
    copy ??= { ...(value as Record<string, unknown>) }
    if (now === undefined) delete copy[key]
    else copy[key] = now
  }
  return copy ?? value
}

/**
 * The card with the wanted parts written anew; what stays as it was is shared. A part that is
 * written as undefined is taken away. Keep who writes: what it wrote is kept with it.
 */
export function rewriteParts<T>(card: Card, want: Want, write: (value: T) => T | undefined): Card {
  const tree = treeOf(want)
  return tree ? (rewritten(tree, card, write as Write) as Card) : card
}

/** Words that are mirrored for the other side. */
export const isSided: Want = ({ sided }) => sided === true
/** Words that a teacher says aloud. */
export const isSpoken: Want = ({ spoken }) => spoken !== undefined
const isFigure: Want = ({ kind }) => kind === 'figure'

/** Every figure of a card; with `absent` every place that could have one. */
export const figuresOf = (card: Card, absent = false): readonly Part[] =>
  partsOf(card, isFigure, absent)

/** What a figure is of: `start`, `step s3`, `rung forearm`. */
export function formOf({ of, owners }: Part): string {
  const { id } = owners[0]!.value as { id?: string }
  return of === 'setUp' ? 'start' : `${of} ${id!}`
}

const leftOut = () => undefined
/** The card with no figures on it. */
export const undrawn = (card: Card): Card => rewriteParts(card, isFigure, leftOut)

/** Whether any form of a card has a figure. */
export const isDrawn = (card: Card): boolean => figuresOf(card).length > 0

const isLink: Want = ({ kind }) => kind === 'link'

/** What a card names by its id: its own steps, cues and rungs, and other cards. */
export const linksOf = (card: Card): readonly Part[] => partsOf(card, isLink)

/** Ids of the other cards that a card names, each once. */
export const cardsNamed = (card: Card): string[] => [
  ...new Set(linksOf(card).flatMap(({ to, value }) => (to === 'card' ? [value as string] : []))),
]

const isId: Want = ({ kind, of }) => kind === 'id' && of !== 'card'

/** Ids of the parts of a card by what they name: steps, cues, rungs. */
export function idsOf(card: Card, of?: Owner): Part[] {
  return partsOf(card, isId).filter((part) => of === undefined || part.of === of)
}

/** All ids of steps on a card, those that rungs add included. */
export const stepIds = (card: Card): string[] =>
  idsOf(card, 'step').map(({ value }) => value as string)

/** The lists of steps, in the order in which they are done, with what is marked of each. */
export type StepList = NonNullable<
  { [K in keyof Card]: Card[K] extends Card['enter'] ? K : never }[keyof Card]
>

let lists: ({ list: StepList } & StepsMark)[] | undefined
export function stepLists(): readonly ({ list: StepList } & StepsMark)[] {
  lists ??= (TREE as Extract<Node, { type: 'group' }>).fields.flatMap(([list, node]) =>
    node.type === 'list' && node.steps ? [{ list: list as StepList, ...node.steps }] : []
  )
  return lists
}

export interface StepPlace {
  list: StepList
  index: number
  step: Card['enter'][number]
  path: string
}

const places = new WeakMap<Card, readonly StepPlace[]>()

/** The steps of a list with their paths: each the same place as long as it is the same step. */
export const stepsIn = (card: Card, list: StepList): readonly StepPlace[] =>
  placesIn(list)(card[list])

/** Every step of the card with its path, in the order in which they are done; rungs aside. */
export function stepsOf(card: Card): readonly StepPlace[] {
  const found = places.get(card) ?? stepLists().flatMap(({ list }) => stepsIn(card, list))
  places.set(card, found)
  return found
}

const placesIn = remember((list) =>
  inEach(() => (step: StepPlace['step'], index): StepPlace[] => [
    { list: list as StepList, index, step, path: pathAt(list, index) },
  ])
)
