export * from './readLine'
export * from './settle'
