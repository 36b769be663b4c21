import fs from 'node:fs'
import path from 'node:path'
import { bundleFile } from '../bundle.mjs'
import { root, sh } from './base.mjs'
import { startCluster } from './cluster.mjs'
import { postgresBin } from './packages.mjs'

/** The databases of a cluster: made, owned, brought up to date. */

export const withDatabase = (url, database, role) => {
  const address = new URL(url)
  address.pathname = `/${database}`
  if (role) {
    address.username = role.name
    address.password = role.password
  }
  return address.href
}

async function connected(url, work) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}

/** Gives everything in a database to its role, also what was made before there was one. */
async function handOver(adminUrl, database, { name }) {
  await connected(withDatabase(adminUrl, database), async (client) => {
    const { rows } = await client.query(
      `SELECT format('ALTER %s %s OWNER TO ${name}',
         CASE relkind WHEN 'S' THEN 'SEQUENCE' WHEN 'v' THEN 'VIEW' ELSE 'TABLE' END,
         c.oid::regclass) AS change
       FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
       WHERE n.nspname = 'public' AND relkind IN ('r', 'v', 'p', 'S')
         AND pg_get_userbyid(relowner) <> '${name}'
         AND NOT EXISTS (SELECT 1 FROM pg_depend d
           WHERE d.objid = c.oid AND d.deptype IN ('a', 'i', 'e') AND relkind = 'S')
       UNION ALL
       SELECT format('ALTER FUNCTION %s OWNER TO ${name}', p.oid::regprocedure)
       FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace
       WHERE n.nspname = 'public' AND pg_get_userbyid(proowner) <> '${name}'
         AND NOT EXISTS (SELECT 1 FROM pg_depend d WHERE d.objid = p.oid AND d.deptype = 'e')`
    )
    for (const { change } of rows) await client.query(change)
  })
}

/**
 * Makes a database when it is not there.
 * @param role to own it, made when it is not there; without one it belongs to who makes it
 * @param like a database that nobody is connected to, whose tables and cards it begins with
 * @returns its address, for the role
 */
export async function ensureDatabase(adminUrl, database, role, like = 'template0') {
  await connected(adminUrl, async (client) => {
    // One after the other, when two commands start at once.
    await client.query('SELECT pg_advisory_lock(7203410)')
    if (role) {
      const there = await client.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [role.name])
      if (!there.rowCount)
        await client.query(
          `CREATE ROLE ${role.name} LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD '${role.password}'`
        )
    }
    const { rowCount } = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [
      database,
    ])
    if (!rowCount)
      await client.query(`CREATE DATABASE "${database}" TEMPLATE "${like}" ENCODING 'UTF8'`)
    if (role) await client.query(`ALTER DATABASE "${database}" OWNER TO ${role.name}`)
  })
  if (role) await handOver(adminUrl, database, role)
  return withDatabase(adminUrl, database, role)
}

export const dropDatabase = (adminUrl, database) =>
  connected(adminUrl, (client) =>
    client.query(`DROP DATABASE IF EXISTS "${database}" WITH (FORCE)`)
  )

/** One of PostgreSQL's own tools, of the server's version. */
export function dumpTool(name) {
  const bin = postgresBin()
  return bin && fs.existsSync(path.join(bin, name)) ? path.join(bin, name) : name
}

/** An address for those tools, its password apart: what a program is called with can be seen. */
export function forTool(url) {
  const address = new URL(url)
  const env = { ...process.env, PGPASSWORD: decodeURIComponent(address.password) }
  address.password = ''
  return { address: address.href, env }
}

/**
 * The deck's database: DATABASE_URL, else the project's own cluster, started when needed.
 * @returns its address for the app and for set-up work, and how to leave it
 */
export async function openDatabase() {
  const given = process.env.DATABASE_URL
  if (given) return { url: given, adminUrl: given, settle: async () => {}, stop: async () => {} }
  const cluster = await startCluster('postgres')
  const url = await ensureDatabase(cluster.url, 'notula', cluster.role)
  return {
    url,
    adminUrl: withDatabase(cluster.url, 'notula'),
    settle: () => ensureDatabase(cluster.url, 'notula', cluster.role),
    stop: cluster.stop,
  }
}

/** Brings the tables up to date; migrations only go forward. */
export async function migrate(url) {
  const { default: knex } = await import('knex')
  return connected(url, async (client) => {
    // Held as long as this connection: so a lock that is in the tables is one of a migration
    // that was killed, and whose changes were taken back.
    await client.query('SELECT pg_advisory_lock(7203412)')
    const db = knex({ client: 'pg', connection: url })
    const settings = {
      directory: path.join(root, 'db/migrations'),
      loadExtensions: ['.mjs'],
    }
    try {
      if (await db.schema.hasTable('knex_migrations_lock'))
        await db.migrate.forceFreeMigrationsLock(settings)
      const [, done] = await db.migrate.latest(settings)
      return done.length ? `${done.length} new` : 'nothing new'
    } finally {
      await db.destroy()
    }
  })
}

/** Fills a database that never had a card with the demo deck. @returns what was done */
export const loadDemo = (databaseUrl) =>
  sh(process.execPath, [bundleFile('demo')], {
    env: { ...process.env, DATABASE_URL: databaseUrl },
  }).trim()
