import type { Act, Facts, Family, Finish, Kind, Part, Stock, StockState, UnitFacts } from '@red-shelf/core';
import type { ChangeView, RecordBody } from '@red-shelf/contract';
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
});

/** Append-only. `seq` is the order in which things were said to have happened. */
export const ledger = sqliteTable(
  'ledger',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    supplyId: text('supply_id')
      .notNull()
      .references(() => supplies.id),
    at: text().notNull(),
    act: text().$type<Act>().notNull(),
    amount: integer(),
    items: integer(),
    left: integer(),
    part: text().$type<Part>(),
    undoes: text(),
  },
  (table) => [index('ledger_by_supply').on(table.supplyId, table.seq)],
);

/** What the ledger adds up to, refolded in the transaction that appends; never written by hand. */
export const stock = sqliteTable('stock', {
  supplyId: text('supply_id')
    .primaryKey()
    .references(() => supplies.id),
  items: integer().notNull(),
  left: integer().notNull(),
  parts: text({ mode: 'json' }).$type<Stock['parts']>().notNull().default({}),
  state: text().$type<StockState>().notNull(),
  uses: integer().notNull(),
  lastUsedAt: text('last_used_at'),
});

/** Racks, trays, files, albums. Sizes are whole micrometres. */
export const units = sqliteTable('units', {
  id: text().primaryKey(),
  version: integer().notNull(),
  position: integer().notNull(),
  letter: text().notNull(),
  name: text().notNull(),
  template: text().notNull(),
  rows: integer().notNull(),
  columns: integer().notNull(),
  slotWidthUm: integer('slot_width_um').notNull(),
  slotHeightUm: integer('slot_height_um').notNull(),
  slotDepthUm: integer('slot_depth_um').notNull(),
  /** Standing, reach, limit, order of filling, labels; see the core's unit facts. */
  facts: text({ mode: 'json' }).$type<UnitFacts>().notNull().default({}),
  removedAt: text('removed_at'),
});

/** Which slot a supply lives in; one supply a slot. */
export const placements = sqliteTable(
  'placements',
  {
    supplyId: text('supply_id')
      .primaryKey()
      .references(() => supplies.id),
    unitId: text('unit_id')
      .notNull()
      .references(() => units.id),
    slot: integer().notNull(),
  },
  (table) => [uniqueIndex('one_supply_a_slot').on(table.unitId, table.slot)],
);

/** What was done, and what it takes to undo it. */
export const changes = sqliteTable('changes', {
  id: text().primaryKey(),
  at: text().notNull(),
  kind: text().$type<ChangeView['kind']>().notNull(),
  name: text().notNull(),
  count: integer().notNull(),
  inverse: text({ mode: 'json' }).notNull(),
  undoneBy: text('undone_by'),
});

/** The stash as it was before a document replaced it. */
export const snapshots = sqliteTable('snapshots', {
  id: text().primaryKey(),
  at: text().notNull(),
  document: text().notNull(),
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
});
