/** Gives the tests a PostgreSQL cluster of their own, thrown away after. */
module.exports = async () => {
  const { ensurePackages, startCluster, ensureDatabase, migrate, withDatabase } =
    await import('../../scripts/lib.mjs')
  const { ensureBundles } = await import('../../scripts/bundle.mjs')
  await ensureBundles(['jobs'])
  await ensurePackages({ postgres: !process.env.DATABASE_URL })
  const cluster = process.env.DATABASE_URL
    ? { url: process.env.DATABASE_URL, stop: async () => {} }
    : await startCluster(`jest-${process.pid}`, { throwaway: true })
  // Each worker has a database of its own (databaseOfWorker.cjs picks it).
  const databases = [1, 2].map((worker) => `notula_jest_${process.pid}_${worker}`)
  for (const database of databases)
    await migrate(await ensureDatabase(cluster.url, database, cluster.role))
  // One with no tables yet, for the test that brings an old one up to date.
  const empty = `notula_jest_${process.pid}_empty`
  process.env.NOTULA_EMPTY_DATABASE = await ensureDatabase(cluster.url, empty, cluster.role)
  process.env.NOTULA_TEST_DATABASES = JSON.stringify(
    databases.map((database) => withDatabase(cluster.url, database, cluster.role))
  )
  globalThis.notulaCluster = { cluster, databases: [...databases, empty] }
}
