import { DEFAULT_SCHEME, keyed, makeRainbowOrder } from '@red-shelf/core';
import { leanSupply, orderName, PREFERENCES_ID, type SupplyView } from '@red-shelf/contract';
import { recordRow } from '../db/recordRepository';
import type { Store } from '../db/open';
import { breatheIfLong, LAST_CHANGED, latestSeq, type Touched } from '../db/tx';
import { setting } from '../db/unitRepository';
import { someSupplies, supplyPages, touchedSince, type SupplyWithState } from '../db/supplyRepository';
import { ChangeLog } from './changeLog';
import { ListText } from './listText';
import { sortedCalmly } from './sortedCalmly';
import { supplyToView } from './views';

/** What a client that knows an older state has to learn. */
interface Since {
  readonly seq: number;
  readonly all: boolean;
  readonly supplies: readonly SupplyView[];
  readonly gone: readonly string[];
}

/** The whole list, and a name for exactly this state of it. */
interface ListAnswer {
  readonly json: Buffer;
  readonly tag: string;
}

/** A supply as it is shown, and as it is sorted. */
interface Entry {
  readonly view: SupplyView;
  readonly key: ReturnType<typeof keyed<SupplyView>>;
}
function entryOf(row: SupplyWithState, before?: Entry): Entry {
  const view = supplyToView(row);
  // What was used, counted or moved stands in the rainbow where it stood.
  const key = before?.view.version === view.version ? before.key : keyed(view);
  return { view, key };
}

/**
 * The list of supplies, kept ready: a stash of ten thousand is read and written out once, and after a change
 * only what it touched is read again. Everything comes from the database; nothing is kept that a read would not give.
 */
export class StashList {
  /** Oldest first. */
  private entries: Map<string, Entry> | null = null;
  /** In the person's own rainbow order; null where that has to be found again. */
  private sorted: { readonly order: string; readonly list: ListText } | null = null;
  private stale: { supplies: Set<string>; all: boolean } = { supplies: new Set(), all: true };
  private answer: ListAnswer | null = null;
  private wall: Promise<unknown> | null = null;
  private records: Promise<unknown> | null = null;
  private order: Promise<unknown> | null = null;
  /** Number of the latest change that touched a record; unknown what was before the first one that was heard. */
  private recordsAt = Infinity;
  private log: ChangeLog | null = null;
  /** Number of the latest change, and of the latest one whose supplies were read. */
  private seq = 0;
  private readTo = 0;
  private replacedAt = 0;
  private revision = 0;
  private reading: Promise<void> = Promise.resolve();
  private readonly startedAt = Date.now().toString(36);

  constructor(private readonly store: Store) {
    store.onTouched((touched) => this.hear(touched));
  }

  private hear({ supplies, all, records, wall, seq }: Touched): void {
    this.seq = Math.max(this.seq, seq);
    this.log?.add(seq, supplies);
    if (all) this.replacedAt = seq;
    this.stale.all ||= all;
    if (all || wall) this.wall = null;
    if (all || records.size > 0) {
      this.records = null;
      this.recordsAt = seq;
    }
    // The list stands in the order of the preferences.
    if (all || records.has(PREFERENCES_ID)) this.order = null;
    if (records.has(PREFERENCES_ID)) {
      this.sorted = null;
      this.outdated();
    }
    for (const id of supplies) this.stale.supplies.add(id);
  }

  private outdated(): void {
    this.answer = null;
    this.revision++;
  }

  /** Whether no record changed after a number that is known; where that is not known, they may have. */
  recordsKnown(known: number): boolean {
    return this.recordsAt <= known;
  }

  /** The wall, the records, or the name of the person's order, as they stand; read again only after a change of them. */
  beside<T>(what: 'wall' | 'records' | 'order', read: () => Promise<T>): Promise<T> {
    const known = this[what];
    if (known) return known as Promise<T>;
    const reading = read();
    this[what] = reading;
    // A reading that failed must not be remembered.
    reading.catch(() => (this[what] = null));
    return reading;
  }

  /** One supply as clients see it, if it is in the stash. */
  async one(id: string): Promise<SupplyView | undefined> {
    await this.refresh();
    return this.entries?.get(id)?.view;
  }

  /** Supplies as clients see them, oldest first. */
  async all(): Promise<readonly SupplyView[]> {
    await this.refresh();
    return [...(this.entries?.values() ?? [])].map(({ view }) => view);
  }

  /** A name for exactly the state the list is in. */
  async tag(): Promise<string> {
    await this.refresh();
    return `"${this.startedAt}-${this.revision}"`;
  }

  /** The list as it is sent. */
  async asJson(): Promise<ListAnswer> {
    const tag = await this.tag();
    if (this.answer) return this.answer;
    const { revision } = this;
    const answer = { tag, json: await this.write(this.readTo) };
    // What changed while it was written is in the next one.
    if (revision === this.revision) this.answer = answer;
    return answer;
  }

  /** Writes the list in the person's own rainbow order, so that no screen has to sort it first. */
  private async write(seq: number): Promise<Buffer> {
    const { order, list } = (this.sorted ??= await this.sort());
    const head = `{"order":${JSON.stringify(order)},"seq":${seq},"supplies":[`;
    const textOf = (id: string): string => {
      const entry = this.entries?.get(id);
      return entry ? JSON.stringify(leanSupply(entry.view)) : '';
    };
    return list.bytes(head, textOf, ']}');
  }

  private async sort(): Promise<{ order: string; list: ListText }> {
    const kept = await recordRow(this.store.read, PREFERENCES_ID);
    const scheme = kept?.removedAt === null && kept.body.sort === 'preferences' ? kept.body : DEFAULT_SCHEME;
    const keys = [...(this.entries?.values() ?? [])].map(({ key }) => key);
    return {
      order: orderName(scheme.familyOrder, scheme.lightness),
      list: new ListText((await sortedCalmly(keys, makeRainbowOrder(scheme))).map(({ id }) => id)),
    };
  }

  /** What changed after a number that is known, and what is gone; everything where the stash was replaced since. */
  async since(known: number): Promise<Since> {
    await this.refresh();
    const { entries, replacedAt, readTo: seq } = this;
    const all = known > seq || known < replacedAt || known <= 0;
    const views = entries ?? new Map<string, Entry>();
    if (all) return { seq, all, supplies: [...views.values()].map(({ view }) => view), gone: [] };
    const ids = [...(this.log?.after(known) ?? (await touchedSince(this.store.read, known)))];
    return {
      seq,
      all,
      supplies: ids.flatMap((id) => views.get(id)?.view ?? []),
      gone: ids.filter((id) => !views.has(id)),
    };
  }

  private isFresh(): boolean {
    return this.entries !== null && !this.stale.all && this.stale.supplies.size === 0;
  }

  /** Reads wait for one another, so that two of them never mix their halves. */
  private refresh(): Promise<void> {
    // One reading that failed must not stop the next.
    this.reading = this.reading.catch(() => undefined).then(() => this.catchUp());
    return this.reading;
  }

  private async catchUp(): Promise<void> {
    this.log ??= await this.begin();
    // What changes from here on is read the next time.
    const { seq, stale } = this;
    if (this.isFresh()) {
      this.readTo = seq;
      return;
    }
    this.stale = { supplies: new Set(), all: false };
    try {
      if (stale.all || !this.entries) await this.readAll();
      else await this.readSome(this.entries, [...stale.supplies]);
    } catch (error) {
      this.stale = { supplies: new Set(), all: true };
      throw error;
    }
    this.readTo = seq;
    this.outdated();
  }

  private async begin(): Promise<ChangeLog> {
    const { read } = this.store;
    this.seq = Math.max(this.seq, await latestSeq(read));
    // Whatever changed before was no later than this.
    if (this.recordsAt === Infinity) this.recordsAt = this.seq;
    const replacedAt = Number((await setting(read, LAST_CHANGED.all)) ?? 0);
    this.replacedAt = Math.max(this.replacedAt, replacedAt);
    return new ChangeLog(this.seq);
  }

  private async readAll(): Promise<void> {
    const entries = new Map<string, Entry>();
    for await (const page of supplyPages(this.store.read))
      for (const row of page) {
        entries.set(row.supply.id, entryOf(row));
        await breatheIfLong();
      }
    this.entries = entries;
    this.sorted = null;
  }

  private async readSome(entries: Map<string, Entry>, ids: readonly string[]): Promise<void> {
    const rows = await someSupplies(this.store.read, ids);
    const now = new Map(rows.map((row) => [row.supply.id, row]));
    let grown = false;
    for (const id of ids) {
      await breatheIfLong();
      const [before, row] = [entries.get(id), now.get(id)];
      const entry = row && entryOf(row, before);
      if (before?.key !== entry?.key) this.sorted = null;
      this.sorted?.list.outdate(id);
      grown ||= !before && entry !== undefined;
      if (entry) entries.set(id, entry);
      else entries.delete(id);
    }
    // Something came that may not be the youngest: keep the order of ids.
    if (grown) this.entries = new Map([...entries].sort(([a], [b]) => (a < b ? -1 : 1)));
  }
}
