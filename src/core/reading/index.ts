export * from './readLine'
export * from './settle'
export * from './draft'
export * from './moves/apply'
