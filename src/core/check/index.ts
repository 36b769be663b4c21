export * from './checkCard'
export * from './rulesPage'
