export * from './phase'
export * from './shape'
export * from './words'
