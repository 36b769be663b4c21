export * from './sheet'
export * from './pieces'
export * from './compareSheets'
