/** A search must not walk through what saves left to be sorted into the indexes later. */
export async function up(knex) {
  await knex.raw(`
    ALTER INDEX search_words_alike SET (fastupdate = off);
    ALTER INDEX cards_words SET (fastupdate = off);
    SELECT gin_clean_pending_list('search_words_alike'), gin_clean_pending_list('cards_words');
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
