/** Shared by the commands. Node only, until `npm ci` ran. */
export * from './lib/base.mjs'
export * from './lib/packages.mjs'
export * from './lib/cluster.mjs'
export * from './lib/database.mjs'
export * from './lib/server.mjs'
