/** Whether a card has a figure, so that the shelf asks only for pictures that are there. */
export async function up(knex) {
  await knex.raw(`
    ALTER TABLE cards ADD COLUMN drawn boolean NOT NULL DEFAULT false;
    UPDATE cards SET drawn = jsonb_path_exists(v.body, '$.**.figure')
    FROM card_versions v WHERE v.card_id = cards.id AND v.version = cards.current_version;
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
