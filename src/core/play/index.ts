export * from './play'
