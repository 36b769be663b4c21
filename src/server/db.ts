import knex, { type Knex } from 'knex'
import pg from 'pg'

// Counts and revisions stay far below 2^53.
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

const holder = globalThis as { notulaDb?: Knex }

/**
 * The connection pool of this process.
 * @throws Error when DATABASE_URL is not set
 */
export function db(): Knex {
  const connectionString = process.env.DATABASE_URL
  if (!connectionString) throw new Error('DATABASE_URL is not set; start the app with npm start')
  holder.notulaDb ??= knex({
    client: 'pg',
    connection: { connectionString, connectionTimeoutMillis: 3000 },
    pool: {
      min: 0,
      max: 10,
      // How alike a name must be to be found (pg_trgm); and the deck fits into memory, so
      // going by an index costs little.
      afterCreate: (connection: pg.Client, done: (error?: Error) => void) => {
        connection.query(
          'SET pg_trgm.similarity_threshold = 0.45; SET random_page_cost = 1.0',
          (error) => done(error ?? undefined)
        )
      },
    },
    acquireConnectionTimeout: 4000,
  })
  return holder.notulaDb
}

/** Closes the pool, for commands that end. */
export async function closeDb(): Promise<void> {
  await holder.notulaDb?.destroy()
  holder.notulaDb = undefined
}
