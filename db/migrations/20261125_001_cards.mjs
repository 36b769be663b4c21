/** Cards, their append-only versions, and the deck's one row. */
export async function up(knex) {
  await knex.raw('CREATE EXTENSION IF NOT EXISTS pg_trgm')
  await knex.raw('CREATE EXTENSION IF NOT EXISTS unaccent')

  await knex.schema.createTable('deck', (table) => {
    table.integer('id').primary().checkIn(['1'])
    table.bigInteger('revision').notNullable().defaultTo(0)
    table.jsonb('school').notNullable().defaultTo('{}')
    table.timestamp('demo_loaded_at')
  })
  await knex('deck').insert({ id: 1 })

  await knex.schema.createTable('cards', (table) => {
    table.text('id').primary()
    table.integer('current_version').notNullable()
    table.text('status').notNullable().defaultTo('draft').checkIn(['draft', 'review', 'approved'])
    // What the shelf shows and searches; written anew from the body at each save.
    table.text('number').notNullable()
    table.text('title').notNullable()
    table.text('sanskrit').notNullable()
    table.text('aliases').notNullable()
    table.text('base').notNullable()
    table.text('spine').notNullable()
    table.text('manner').notNullable()
    table.text('sides').notNullable()
    table.integer('sections').notNullable()
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    table.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
    table.timestamp('deleted_at')
    table.index(['base', 'number', 'id'])
  })

  await knex.schema.createTable('card_versions', (table) => {
    table
      .text('card_id')
      .notNullable()
      .references('cards.id')
      .onDelete('CASCADE')
      .deferrable('deferred')
    table.integer('version').notNullable()
    table.jsonb('body').notNullable()
    table.text('author').notNullable()
    table.text('note').notNullable().defaultTo('')
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
    table.primary(['card_id', 'version'])
  })

  await knex.raw(`
    CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      RAISE EXCEPTION 'card_versions is append-only';
    END $$;
    CREATE TRIGGER card_versions_append_only BEFORE UPDATE ON card_versions
      FOR EACH ROW EXECUTE FUNCTION refuse_change();
    CREATE FUNCTION refuse_delete() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      IF EXISTS (SELECT 1 FROM cards WHERE id = OLD.card_id) THEN
        RAISE EXCEPTION 'card_versions is append-only';
      END IF;
      RETURN OLD;
    END $$;
    CREATE TRIGGER card_versions_no_delete BEFORE DELETE ON card_versions
      FOR EACH ROW EXECUTE FUNCTION refuse_delete();
  `)
}

/** Migrations only go forward; a mistake is mended by a new one. */
export async function down() {
  throw new Error('Migrations only go forward.')
}
