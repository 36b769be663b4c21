module.exports = async () => {
  const { dropDatabase } = await import('../../scripts/lib.mjs')
  const { cluster, database } = globalThis.notulaCluster
  await dropDatabase(cluster.url, database)
  await cluster.stop()
}
