import { DEFAULT_SCHEME, keyed, makeRainbowOrder } from '@red-shelf/core';
import { leanSupply, orderName, PREFERENCES_ID, type SupplyView } from '@red-shelf/contract';
import { and, gt, isNotNull } from 'drizzle-orm';
import { recordRow } from '../db/recordRepository';
import type { Store } from '../db/open';
import { supplies as supplyTable } from '../db/schema';
import { LAST_CHANGED, latestSeq, type Touched } from '../db/tx';
import { setting } from '../db/unitRepository';
import { allSupplies, someSupplies } from '../db/supplyRepository';
import { supplyToView } from './views';

/** What a client that knows an older state has to learn. */
export interface Since {
  readonly seq: number;
  readonly all: boolean;
  readonly supplies: readonly SupplyView[];
  readonly gone: readonly string[];
}

/** The whole list, and a name for exactly this state of it. */
export interface ListAnswer {
  readonly json: string;
  readonly tag: string;
}

/**
 * The list of supplies, kept ready: a stash of ten thousand is read and written out once, and after a change
 * only what it touched is read again. Everything comes from the database; nothing is kept that a read would not give.
 */
export class StashList {
  private views: Map<string, SupplyView> | null = null;
  private texts = new Map<string, string>();
  /** Number of the change that last touched each. */
  private seqs = new Map<string, number>();
  private stale: { supplies: Set<string>; all: boolean } = { supplies: new Set(), all: true };
  private answer: ListAnswer | null = null;
  private short: Promise<unknown> | null = null;
  private revision = 0;
  private reading: Promise<void> = Promise.resolve();

  constructor(private readonly store: Store) {
    store.onTouched((touched) => this.hear(touched));
  }

  private hear({ supplies, all, records, wall }: Touched): void {
    this.stale.all ||= all;
    if (all || wall || records) this.short = null;
    // The list stands in the order of the preferences.
    if (records) this.answer = null;
    if (records) this.revision++;
    for (const id of supplies) this.stale.supplies.add(id);
  }

  /** Walls and records as they stand; read again only after one of them changed. */
  beside<T>(read: () => Promise<T>): Promise<T> {
    this.short ??= read();
    // A reading that failed must not be remembered.
    this.short.catch(() => (this.short = null));
    return this.short as Promise<T>;
  }

  /** One supply as clients see it, if it is in the stash. */
  async one(id: string): Promise<SupplyView | undefined> {
    await this.refresh();
    return this.views?.get(id);
  }

  /** Supplies as clients see them, oldest first. */
  async all(): Promise<readonly SupplyView[]> {
    await this.refresh();
    return [...(this.views?.values() ?? [])];
  }

  /** The list as it is sent. */
  async asJson(): Promise<ListAnswer> {
    // Before reading: what is written meanwhile is asked for once more.
    const seq = await latestSeq(this.store.read);
    await this.refresh();
    this.answer ??= await this.write(seq);
    return this.answer;
  }

  private async scheme() {
    const kept = await recordRow(this.store.read, PREFERENCES_ID);
    return kept?.removedAt === null && kept.body.sort === 'preferences' ? kept.body : DEFAULT_SCHEME;
  }

  /** Writes the list in the person's own rainbow order, so that no screen has to sort it first. */
  private async write(seq: number): Promise<ListAnswer> {
    const body = await this.scheme();
    const sorted = [...(this.views?.values() ?? [])]
      .map((view) => keyed(view))
      .sort(makeRainbowOrder(body))
      .map(({ id }) => this.texts.get(id) ?? '');
    const order = JSON.stringify(orderName(body.familyOrder, body.lightness));
    return {
      json: `{"order":${order},"seq":${seq},"supplies":[${sorted.join(',')}]}`,
      tag: `"${this.startedAt}-${this.revision}"`,
    };
  }

  /** What changed after a number that is known, and what is gone; everything where the stash was replaced since. */
  async since(known: number): Promise<Since> {
    const { read } = this.store;
    const seq = await latestSeq(read);
    await this.refresh();
    const replacedAt = Number((await setting(read, LAST_CHANGED.all)) ?? 0);
    const all = known > seq || known < replacedAt || known <= 0;
    const views = [...(this.views?.values() ?? [])];
    if (all) return { seq, all, supplies: views, gone: [] };
    const gone = await read
      .select({ id: supplyTable.id })
      .from(supplyTable)
      .where(and(gt(supplyTable.seq, known), isNotNull(supplyTable.removedAt)));
    return {
      seq,
      all,
      supplies: views.filter(({ id }) => (this.seqs.get(id) ?? 0) > known),
      gone: gone.map(({ id }) => id),
    };
  }

  private readonly startedAt = Date.now().toString(36);

  /** Reads wait for one another, so that two of them never mix their halves. */
  private refresh(): Promise<void> {
    // One reading that failed must not stop the next.
    this.reading = this.reading.catch(() => undefined).then(() => this.catchUp());
    return this.reading;
  }

  private async catchUp(): Promise<void> {
    if (this.views && !this.stale.all && this.stale.supplies.size === 0) return;
    const { supplies, all } = this.stale;
    this.stale = { supplies: new Set(), all: false };
    try {
      if (all || !this.views) await this.readAll();
      else await this.readSome(this.views, [...supplies]);
    } catch (error) {
      this.stale = { supplies: new Set(), all: true };
      throw error;
    }
    this.answer = null;
    this.revision++;
  }

  private async readAll(): Promise<void> {
    const rows = await allSupplies(this.store.read);
    const views = rows.map(supplyToView);
    this.seqs = new Map(rows.map(({ supply, seq }) => [supply.id, seq]));
    this.views = new Map(views.map((view) => [view.id, view]));
    this.texts = new Map(views.map((view) => [view.id, JSON.stringify(leanSupply(view))]));
  }

  private async readSome(views: Map<string, SupplyView>, ids: readonly string[]): Promise<void> {
    const rows = await someSupplies(this.store.read, ids);
    for (const { supply, seq } of rows) this.seqs.set(supply.id, seq);
    const now = new Map(rows.map((row) => [row.supply.id, supplyToView(row)]));
    let grown = false;
    for (const id of ids) {
      const view = now.get(id);
      if (!view) {
        views.delete(id);
        this.texts.delete(id);
        continue;
      }
      grown ||= !views.has(id);
      views.set(id, view);
      this.texts.set(id, JSON.stringify(leanSupply(view)));
    }
    if (!grown) return;
    // Something came back that is not the youngest: keep the order of ids.
    const inOrder = <V>(map: Map<string, V>) => new Map([...map].sort(([a], [b]) => (a < b ? -1 : 1)));
    this.views = inOrder(views);
    this.texts = inOrder(this.texts);
  }
}
