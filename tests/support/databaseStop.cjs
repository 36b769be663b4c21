module.exports = async () => {
  const { dropDatabase } = await import('../../scripts/lib.mjs')
  const { cluster, databases } = globalThis.notulaCluster
  for (const database of databases) await dropDatabase(cluster.url, database)
  await cluster.stop()
}
