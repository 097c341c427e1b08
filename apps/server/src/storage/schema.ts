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

/** Devices that may use the program over the workshop network. */
export const devicesPaired = sqliteTable('devices_paired', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** scrypt of the secret that the device keeps, with its salt; both in base64url */
  salt: text('salt').notNull(),
  hash: text('hash').notNull(),
  pairedAt: text('paired_at').notNull(),
  seenAt: text('seen_at').notNull(),
});

/** What the program keeps about itself, by name. */
export const settings = sqliteTable('settings', {
  name: text('name').primaryKey(),
  value: text('value').notNull(),
});

/** What happened to a build: only added to; a correction is a row of its own. */
export const recordEntries = sqliteTable(
  'record_entries',
  {
    /** given by the sender, so that an entry that is sent twice is kept once */
    id: text('id').primaryKey(),
    /** the order in which they came */
    number: integer('number').notNull(),
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    /** revision of the build that it was made against */
    revision: integer('revision').notNull(),
    kind: text('kind').notNull(),
    subject: text('subject').notNull(),
    said: text('said').notNull(),
    /** the entry that it corrects */
    corrects: text('corrects'),
    author: text('author').notNull(),
    device: text('device').notNull(),
    time: text('time').notNull(),
  },
  (table) => [uniqueIndex('record_entries_number').on(table.buildId, table.number)],
);
