/**
 * A body is kept as the text that it came in, as it is only ever read whole: taking it apart was
 * the dearest part of a save. Another type forgets how it is kept, which stays as it was: in its
 * row, packed by the quicker method where this PostgreSQL has it. The counter poses, which are
 * asked for of all cards, stand beside the rest that is.
 */
export async function up(knex) {
  await knex.raw(`
    ALTER TABLE cards ADD COLUMN counter text[] NOT NULL DEFAULT '{}';
    UPDATE cards SET counter = ARRAY(
      SELECT one #>> '{}' FROM jsonb_path_query(v.body, '$.counter[*]') one)
    FROM card_versions v WHERE v.card_id = cards.id AND v.version = cards.current_version;

    ALTER TABLE card_versions ALTER COLUMN body TYPE json USING body::json;
    ALTER TABLE card_versions ALTER COLUMN body SET STORAGE MAIN;
    DO $$
    BEGIN
      ALTER TABLE card_versions ALTER COLUMN body SET COMPRESSION lz4;
    EXCEPTION WHEN feature_not_supported OR syntax_error OR invalid_parameter_value THEN
      NULL;
    END
    $$;
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
