/** Gives the tests a PostgreSQL cluster of their own, thrown away after. */
module.exports = async () => {
  const { ensurePackages, startCluster, ensureDatabase, migrate } =
    await import('../../scripts/lib.mjs')
  await ensurePackages({ postgres: !process.env.DATABASE_URL })
  const cluster = process.env.DATABASE_URL
    ? { url: process.env.DATABASE_URL, stop: async () => {} }
    : await startCluster(`jest-${process.pid}`, { throwaway: true })
  const database = `notula_jest_${process.pid}`
  process.env.DATABASE_URL = await ensureDatabase(cluster.url, database)
  await migrate(process.env.DATABASE_URL)
  globalThis.notulaCluster = { cluster, database }
}
