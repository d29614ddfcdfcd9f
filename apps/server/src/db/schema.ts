import type {
  Act,
  Facts,
  Family,
  Finish,
  Kind,
  LotAs,
  Model,
  Posting,
  Unit,
  UnitFacts,
  UnitRules,
} from '@red-shelf/core';
import type { ChangeView, RecordBody } from '@red-shelf/contract';
import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** Supplies are never deleted: a removed one keeps its row and its history. */
export const supplies = sqliteTable('supplies', {
  id: text().primaryKey(),
  version: integer().notNull(),
  kind: text().$type<Kind>().notNull(),
  form: text().notNull(),
  name: text().notNull(),
  maker: text().notNull(),
  range: text().notNull(),
  code: text().notNull(),
  hex: text().notNull(),
  finish: text().$type<Finish>().notNull(),
  familyOverride: text('family_override').$type<Family>(),
  familyReason: text('family_reason').notNull(),
  note: text().notNull(),
  /** The short number it is known by; given once, never again. */
  number: integer().notNull().default(0),
  /** What else is known of it; see the core's facts. */
  facts: text({ mode: 'json' }).$type<Facts>().notNull().default({}),
  createdAt: text('created_at').notNull(),
  updatedAt: text('updated_at').notNull(),
  removedAt: text('removed_at'),
  /** Number of the change that last touched it, its lots or its stock. */
  seq: integer().notNull().default(0),
});

/** The room, furniture, racks, drawers, boxes, and the hand: a tree. Sizes are whole micrometres. */
export const units = sqliteTable(
  'units',
  {
    id: text().primaryKey(),
    version: integer().notNull(),
    parentId: text('parent_id'),
    sort: text().$type<Unit['sort']>().notNull(),
    position: integer().notNull(),
    label: text().notNull(),
    name: text().notNull(),
    model: text({ mode: 'json' }).$type<Model>(),
    rules: text({ mode: 'json' }).$type<UnitRules>().notNull(),
    facts: text({ mode: 'json' }).$type<UnitFacts>().notNull(),
    removedAt: text('removed_at'),
  },
  (table) => [
    // Addresses carry the letter alone, so no two units that stand may share one.
    uniqueIndex('one_letter_a_unit')
      .on(table.label)
      .where(sql`${table.removedAt} is null and ${table.sort} = 'unit'`),
  ],
);

/** Physical lots of supplies, and where each is. A row is never deleted: its history speaks of it. */
export const holdings = sqliteTable(
  'holdings',
  {
    id: text().primaryKey(),
    version: integer().notNull(),
    supplyId: text('supply_id')
      .notNull()
      .references(() => supplies.id),
    as: text().$type<LotAs>().notNull(),
    widthUm: integer('width_um'),
    heightUm: integer('height_um'),
    unitId: text('unit_id').references(() => units.id),
    cell: integer(),
    rank: integer().notNull(),
  },
  (table) => [
    index('holdings_by_supply').on(table.supplyId),
    index('holdings_by_unit').on(table.unitId),
    // Rows without a cell are told apart from one another, as SQL does with nulls.
    uniqueIndex('one_lot_a_cell').on(table.unitId, table.cell, table.rank),
  ],
);

/** What happened, append-only. `seq` is the order in which things were said to have happened. */
export const events = sqliteTable(
  'events',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique('event_id'),
    changeId: text('change_id').notNull(),
    supplyId: text('supply_id')
      .notNull()
      .references(() => supplies.id),
    at: text().notNull(),
    recordedAt: text('recorded_at').notNull(),
    act: text().$type<Act>().notNull(),
    /** The act's own words; see the core's `Happening`. */
    detail: text({ mode: 'json' }).$type<object>().notNull(),
    undoes: text(),
  },
  (table) => [
    index('events_by_supply').on(table.supplyId),
    index('events_by_change').on(table.changeId),
    index('events_undoing').on(table.undoes),
  ],
);

/** What an event did to a lot. */
export const postings = sqliteTable(
  'postings',
  {
    eventSeq: integer('event_seq')
      .notNull()
      .references(() => events.seq),
    holdingId: text('holding_id')
      .notNull()
      .references(() => holdings.id),
    items: integer().notNull(),
    left: integer().notNull(),
    how: text().$type<Posting['how']>().notNull(),
  },
  (table) => [index('postings_by_event').on(table.eventSeq), index('postings_by_lot').on(table.holdingId)],
);

/** Where an event moved a lot. */
export const shifts = sqliteTable(
  'shifts',
  {
    eventSeq: integer('event_seq')
      .notNull()
      .references(() => events.seq),
    holdingId: text('holding_id')
      .notNull()
      .references(() => holdings.id),
    fromUnit: text('from_unit'),
    fromCell: integer('from_cell'),
    fromRank: integer('from_rank').notNull(),
    toUnit: text('to_unit'),
    toCell: integer('to_cell'),
    toRank: integer('to_rank').notNull(),
  },
  (table) => [index('shifts_by_event').on(table.eventSeq), index('shifts_by_lot').on(table.holdingId)],
);

/** What the events add up to for a lot, refolded in the transaction that appends; never written by hand. */
export const tallies = sqliteTable('tallies', {
  holdingId: text('holding_id')
    .primaryKey()
    .references(() => holdings.id),
  items: integer().notNull(),
  left: integer().notNull(),
});

/** How a supply was used, by the same fold. */
export const usage = sqliteTable('usage', {
  supplyId: text('supply_id')
    .primaryKey()
    .references(() => supplies.id),
  uses: integer().notNull(),
  used: integer().notNull(),
  lastUsedAt: text('last_used_at'),
});

/** What clients asked for, by the name each gave it: asked again, it answers the same. */
export const commands = sqliteTable('commands', {
  id: text().primaryKey(),
  name: text().notNull(),
  at: text().notNull(),
  answer: text().notNull(),
});

/** What was done, and what it takes to undo it. */
export const changes = sqliteTable(
  'changes',
  {
    id: text().primaryKey(),
    at: text().notNull(),
    kind: text().$type<ChangeView['kind']>().notNull(),
    name: text().notNull(),
    count: integer().notNull(),
    inverse: text({ mode: 'json' }).notNull(),
    undoneBy: text('undone_by'),
    /** The order in which changes were made, whatever the clock said. */
    seq: integer().notNull().default(0),
  },
  (table) => [index('changes_in_order').on(table.seq)],
);

/** The stash as it was before a document replaced it, as a document in pieces that follow one another. */
export const snapshots = sqliteTable('snapshot_pieces', {
  n: integer().primaryKey(),
  id: text().notNull(),
  piece: text().notNull(),
});

export const settings = sqliteTable('settings', {
  key: text().primaryKey(),
  value: text().notNull(),
});

/** Things kept whole beside the supplies: kits, packs, ranges, sessions, preferences. Their shape is the contract's. */
export const records = sqliteTable('records', {
  id: text().primaryKey(),
  version: integer().notNull(),
  sort: text().$type<RecordBody['sort']>().notNull(),
  body: text({ mode: 'json' }).$type<RecordBody>().notNull(),
  createdAt: text('created_at').notNull(),
  updatedAt: text('updated_at').notNull(),
  removedAt: text('removed_at'),
  /** Number of the change that last touched it. */
  seq: integer().notNull().default(0),
});
