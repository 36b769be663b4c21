export * from './devanagari'
export * from './nameRules'
export * from './spelling'
