export * from './checkCard'
export * from './rulesPage'
export * from './mendMany'
