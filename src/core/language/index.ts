export * from './packs'
