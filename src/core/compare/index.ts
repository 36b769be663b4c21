export * from './compareTexts'
