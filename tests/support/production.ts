// React as readers have it: as who writes the app has it, it takes several times as long.
Object.assign(process.env, { NODE_ENV: 'production' })
export {}
