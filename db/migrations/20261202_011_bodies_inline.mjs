/**
 * A body stays in its row, packed: beside it, it is a row of another table and of its index for
 * each save. What is too long for a page goes beside as before, and so do bodies stored before.
 */
export async function up(knex) {
  await knex.raw('ALTER TABLE card_versions ALTER COLUMN body SET STORAGE MAIN')
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
