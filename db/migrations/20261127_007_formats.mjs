/** The sections in the order that the bits beside a card had. */
const SECTIONS = 'name,when,setup,enter,alignment,stay,mistakes,cautions,ladder,exit,rest'.split(
  ','
)

/**
 * A version says which format its body is in, and what is unwritten on a card is told by the
 * names of sections: neither hangs on the order in which a program lists them.
 */
export async function up(knex) {
  await knex.raw(`
    ALTER TABLE card_versions ADD COLUMN format smallint NOT NULL DEFAULT 1;
    ALTER TABLE cards ADD COLUMN unwritten text[] NOT NULL DEFAULT '{}';
  `)
  await knex.raw(
    `UPDATE cards SET unwritten = ARRAY(
       SELECT name FROM unnest(?::text[]) WITH ORDINALITY AS section (name, at)
       WHERE (cards.sections >> (at::int - 1)) & 1 = 0 ORDER BY at
     )`,
    [SECTIONS]
  )
  await knex.raw('ALTER TABLE cards DROP COLUMN sections')
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
