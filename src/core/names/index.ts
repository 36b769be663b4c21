export * from './devanagari'
