export * from './alike'
export * from './rules'
