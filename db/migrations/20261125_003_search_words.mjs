/** The words of all names, each once: alike words are looked for among them, not among cards. */
export async function up(knex) {
  await knex.raw(`
    CREATE TABLE search_words (word text PRIMARY KEY);
    CREATE INDEX search_words_alike ON search_words USING gin (word gin_trgm_ops);
    DROP INDEX cards_search;
    ALTER TABLE cards DROP COLUMN search;
    ALTER TABLE cards ADD COLUMN words text[];
    CREATE INDEX cards_words ON cards USING gin (words);
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
