/** What a drawing is made of, in the order in which it is painted. */

export const KINDS = [
  'floor',
  'ghost',
  'prop',
  'body',
  'cloth',
  'hair',
  'lightHair',
  'edge',
  'gap',
  'seam',
  'crease',
  'face',
  'propLine',
  'strapEdge',
  'strap',
  'teachGap',
  'teach',
  'teachDots',
  'teachHead',
  'ring',
  'measureGap',
  'measure',
] as const
export type Kind = (typeof KINDS)[number]

/** One shape of a drawing; its path is in hundredths of a stature, y down. */
export interface Shape {
  kind: Kind
  path: string
}

export interface Letter {
  text: 'L' | 'R'
  x: number
  y: number
}
