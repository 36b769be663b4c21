import type { z } from 'zod'
import type { Card } from './card'
import { MARKS, type StepsMark } from './marks'
import type { Kind, Owner } from './parts'

/** The parts of every card as a tree of plain data: groups of fields, lists, and leaves. */
export type Node =
  | { type: 'leaf'; kind: Kind }
  | { type: 'list'; item: Node; steps?: StepsMark }
  | { type: 'group'; of: Owner | null; fields: [key: string, node: Node][] }

type Schema = z.core.$ZodType & { def: z.core.$ZodTypeDef }

function unwrapped(schema: Schema): Schema {
  const { innerType } = schema.def as { innerType?: Schema }
  return innerType ? unwrapped(innerType) : schema
}

const KINDS: Record<string, Kind['kind']> = {
  string: 'words',
  number: 'number',
  int: 'number',
  tuple: 'number',
  enum: 'choice',
  literal: 'flag',
  record: 'figure',
}

function nodeOf(schema: Schema, key: string, field: keyof Card | null, of: Owner): Node {
  const inner = unwrapped(schema)
  const marks = { ...MARKS.get(schema as never), ...MARKS.get(inner as never) }
  const { type } = inner.def
  if (type === 'array')
    return {
      type: 'list',
      item: nodeOf((inner.def as unknown as { element: Schema }).element, key, field, of),
      ...(marks.steps ? { steps: marks.steps } : {}),
    }
  if (type === 'object') {
    const owner = marks.owner ?? null
    const shape = (inner as unknown as z.ZodObject).shape as Record<string, Schema>
    const fields = Object.entries(shape).map(([name, each]): [string, Node] => [
      name,
      nodeOf(each, name, field ?? (name as keyof Card), owner ?? of),
    ])
    // What a part says itself comes before the parts that lie in it.
    const own = fields.filter(([, node]) => node.type === 'leaf')
    return {
      type: 'group',
      of: owner,
      fields: [...own, ...fields.filter((each) => !own.includes(each))],
    }
  }
  const kind = marks.kind ?? KINDS[type] ?? 'words'
  return { type: 'leaf', kind: { ...marks, kind, key, field: field ?? (key as keyof Card), of } }
}

/** Reads the tree off the schema of a card. */
export const treeOf = (schema: z.ZodObject): Node =>
  nodeOf(schema as unknown as Schema, '', null, 'card')
