export * from './play'
export * from './callScript'
