export * from './sheet'
export * from './pieces'
