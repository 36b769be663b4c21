/**
 * What a card's picture is addressed by: a digest of the card, so that another card of the same
 * name and version never shows the old one.
 */
export async function up(knex) {
  await knex.raw(`
    ALTER TABLE cards ADD COLUMN picture text NOT NULL DEFAULT '';
    UPDATE cards SET picture = substr(md5(v.body::text), 1, 16) FROM card_versions v
    WHERE v.card_id = cards.id AND v.version = cards.current_version;
  `)
}

export async function down() {
  throw new Error('Migrations only go forward.')
}
