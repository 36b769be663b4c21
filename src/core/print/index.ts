export * from './sheet'
export * from './blocks'
export * from './pieces'
export * from './compareSheets'
