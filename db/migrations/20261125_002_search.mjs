/** What is searched of a card: its names with their spelling variants levelled. */
export async function up(knex) {
  await knex.raw('CREATE EXTENSION IF NOT EXISTS fuzzystrmatch')
  await knex.raw(`
    ALTER TABLE cards ADD COLUMN search text;
    CREATE INDEX cards_search ON cards USING gin (search gin_trgm_ops);
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
