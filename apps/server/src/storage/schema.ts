import {
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';

/** A build as it stands: its newest document and revision. */
export const builds = sqliteTable('builds', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  description: text('description').notNull(),
  revision: integer('revision').notNull(),
  document: text('document').notNull(),
  demo: integer('demo', { mode: 'boolean' }).notNull().default(false),
  archived: integer('archived', { mode: 'boolean' }).notNull().default(false),
  updatedAt: text('updated_at').notNull(),
});

/** Every accepted edit; never changed. */
export const buildRevisions = sqliteTable(
  'build_revisions',
  {
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    number: integer('number').notNull(),
    kind: text('kind', { enum: ['create', 'edit', 'undo', 'redo', 'migrate'] }).notNull(),
    /** revision that an undo takes back or a redo puts back */
    target: integer('target'),
    author: text('author').notNull(),
    time: text('time').notNull(),
    words: text('words').notNull(),
    command: text('command'),
    /** what it changed; in format 3 and before as { path, before, after } */
    patch: text('patch').notNull(),
    /** what takes it back; null before format 4, whose patches can be turned round */
    inverse: text('inverse'),
    /** version of the document format in which it was made */
    formatVersion: integer('format_version').notNull().default(3),
    hash: text('hash').notNull(),
    /** given by the sender, so that an edit sent twice is made once */
    editId: text('edit_id'),
  },
  (table) => [
    primaryKey({ columns: [table.buildId, table.number] }),
    uniqueIndex('build_revisions_edit').on(table.buildId, table.editId),
  ],
);

/** Whole documents at some revisions, so that any revision is read with few patches. */
export const buildCheckpoints = sqliteTable(
  'build_checkpoints',
  {
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    number: integer('number').notNull(),
    formatVersion: integer('format_version').notNull(),
    document: text('document').notNull(),
  },
  (table) => [primaryKey({ columns: [table.buildId, table.number] })],
);

/** Immutable revisions of catalogue items. */
export const catalogueItems = sqliteTable(
  'catalogue_items',
  {
    id: text('id').notNull(),
    revision: integer('revision').notNull(),
    category: text('category').notNull(),
    item: text('item').notNull(),
    hash: text('hash').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.id, table.revision] }),
    index('catalogue_items_category').on(table.category),
  ],
);
