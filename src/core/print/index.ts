export * from './sheet'
