export * from './csv'
export * from './loops'
export * from './planImport'
export * from './shelfCard'
