export * from './english'
export * from './lexicon'
export * from './mirrorCard'
export * from './mirrorText'
