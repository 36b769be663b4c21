export * from './atRung'
