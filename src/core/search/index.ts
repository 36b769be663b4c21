export * from './searchKey'
