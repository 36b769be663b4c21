/**
 * The school's rules as they were, version by version, and what is kept of a room for a while:
 * how many people have what, no names, and a day after which it is gone.
 */
export async function up(knex) {
  await knex.raw(`
    CREATE TABLE school_versions (
      version integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY,
      school jsonb NOT NULL,
      author text NOT NULL DEFAULT '',
      note text NOT NULL DEFAULT '',
      saved_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE FUNCTION refuse_school_change() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      RAISE EXCEPTION 'school_versions is append-only';
    END $$;
    CREATE TRIGGER school_versions_append_only BEFORE UPDATE OR DELETE ON school_versions
      FOR EACH ROW EXECUTE FUNCTION refuse_school_change();
    INSERT INTO school_versions (school) SELECT school FROM deck WHERE id = 1;

    CREATE TABLE room_checks (
      id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
      room jsonb NOT NULL,
      until date NOT NULL,
      kept_at timestamptz NOT NULL DEFAULT now()
    );
  `)
}

export async function down() {
  throw new Error('Migrations only go forward.')
}
