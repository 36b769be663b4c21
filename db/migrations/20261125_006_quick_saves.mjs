/**
 * Bodies with figures are long: they are packed by the quicker method where this PostgreSQL has
 * it, and a card has room beside it for its next state.
 */
export async function up(knex) {
  await knex.raw(`
    DO $$
    BEGIN
      ALTER TABLE card_versions ALTER COLUMN body SET COMPRESSION lz4;
    EXCEPTION WHEN feature_not_supported OR syntax_error OR invalid_parameter_value THEN
      RAISE NOTICE 'lz4 is not built in; bodies stay packed as before';
    END
    $$;
    ALTER TABLE cards SET (fillfactor = 70);
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
