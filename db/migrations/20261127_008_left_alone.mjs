/**
 * Saves that are known again when they are tried again, and who has a card open, told over all
 * servers of one database.
 */
export async function up(knex) {
  await knex.schema.alterTable('card_versions', (table) => {
    // Made by the browser for one save; none on what was saved before.
    table.text('save_key')
  })
  await knex.raw(
    `CREATE UNIQUE INDEX card_versions_save_key ON card_versions (card_id, save_key)
     WHERE save_key IS NOT NULL`
  )
  // Worth nothing after a crash.
  await knex.raw(
    `CREATE UNLOGGED TABLE presence (
       card_id text NOT NULL REFERENCES cards (id) ON DELETE CASCADE,
       tab text NOT NULL,
       who text NOT NULL,
       seen_at timestamptz NOT NULL DEFAULT now(),
       PRIMARY KEY (card_id, tab)
     )`
  )
}

export async function down() {
  throw new Error('Migrations only go forward.')
}
