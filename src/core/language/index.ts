export * from './breathWords'
export * from './lexicon'
export * from './packs'
export type { Labels } from './en/labels'
