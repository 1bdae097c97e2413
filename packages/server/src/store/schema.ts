/** The tables. Migrations in packages/server/drizzle are made from this file by drizzle-kit. */
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';

export const projects = sqliteTable('projects', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Number of the newest entry. */
  revision: integer('revision').notNull(),
  createdAt: integer('created_at').notNull(),
  updatedAt: integer('updated_at').notNull(),
  /** When it was thrown away; null while it is in use. */
  deletedAt: integer('deleted_at'),
  /** It was brought in from elsewhere: what it calls outside is asked about first. */
  isForeign: integer('is_foreign', { mode: 'boolean' }).notNull().default(false),
  /** How many screens it has: the list of projects reads no documents. Null: not counted yet. */
  screens: integer('screens'),
});

/** The log of steps. Entries are only ever added. */
export const entries = sqliteTable(
  'entries',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    clientId: text('client_id').notNull(),
    sequence: integer('sequence').notNull(),
    kind: text('kind', { enum: ['change', 'undo', 'redo'] }).notNull(),
    label: text('label').notNull(),
    group: text('group_id'),
    /** Of an undo or redo: the number of the client's entry that it takes back. */
    takes: integer('takes'),
    /** JSON of the steps. */
    steps: text('steps').notNull(),
    /** JSON of the steps that take them back. */
    inverse: text('inverse').notNull(),
    time: integer('time').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.projectId, table.revision] }),
    uniqueIndex('entries_client_sequence').on(table.projectId, table.clientId, table.sequence),
  ],
);

/** Entries that could not be read when their project was opened: they are kept, but not a part of it. */
export const unreadable = sqliteTable(
  'unreadable',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    /** When it was put aside, ms since 1970. */
    time: integer('time').notNull(),
    reason: text('reason').notNull(),
    label: text('label').notNull(),
    steps: text('steps').notNull(),
  },
  (table) => [index('unreadable_project').on(table.projectId)],
);

/** Whole projects at some revisions, so that opening one does not start from the first entry. */
export const snapshots = sqliteTable(
  'snapshots',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    /** JSON of the project. */
    document: text('document').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.revision] })],
);

/** Rows of tables, each with its place among the rows of its table. */
export const records = sqliteTable(
  'records',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    tableId: text('table_id').notNull(),
    /** Counted from 0, without gaps. */
    place: integer('place').notNull(),
    /** JSON of the row. */
    row: text('row').notNull(),
  },
  (table) => [index('records_place').on(table.projectId, table.tableId, table.place)],
);

/** Rows that steps name instead of carrying them: those of a file, and those removed by the thousand. */
export const batches = sqliteTable(
  'batches',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    /** JSON of the rows, deflated. */
    rows: blob('rows', { mode: 'buffer' }).notNull(),
    /** When they came, ms since 1970. */
    createdAt: integer('created_at').notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.id] })],
);

/** Bytes of pictures. */
export const assets = sqliteTable(
  'assets',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    type: text('type').notNull(),
    width: real('width').notNull(),
    height: real('height').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.projectId, table.name] }),
    index('assets_project').on(table.projectId),
  ],
);

/** Versions that a person gave a name. */
export const checkpoints = sqliteTable(
  'checkpoints',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    name: text('name').notNull(),
    note: text('note').notNull(),
    /** The newest entry that belongs to it. */
    revision: integer('revision').notNull(),
    /** When it was made, ms since 1970. */
    time: integer('time').notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.id] })],
);
