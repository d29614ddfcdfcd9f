import { DEFAULT_SCHEME, keyed, makeRainbowOrder } from '@red-shelf/core';
import { orderName, PREFERENCES_ID, type SupplyView } from '@red-shelf/contract';
import { recordRow } from '../db/recordRepository';
import type { Store, Touched } from '../db/open';
import { allSupplies, someSupplies } from '../db/supplyRepository';
import { supplyToView } from './views';

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
  private stale: { supplies: Set<string>; all: boolean } = { supplies: new Set(), all: true };
  private answer: ListAnswer | null = null;
  private revision = 0;
  private reading: Promise<void> = Promise.resolve();

  constructor(private readonly store: Store) {
    store.onTouched((touched) => this.hear(touched));
  }

  private hear({ supplies, all }: Touched): void {
    this.stale.all ||= all;
    for (const id of supplies) this.stale.supplies.add(id);
  }

  /** Supplies as clients see them, oldest first. */
  async all(): Promise<readonly SupplyView[]> {
    await this.refresh();
    return [...(this.views?.values() ?? [])];
  }

  /** The list as it is sent. */
  async asJson(): Promise<ListAnswer> {
    await this.refresh();
    this.answer ??= await this.write();
    return this.answer;
  }

  /** Writes the list in the person's own rainbow order, so that no screen has to sort it first. */
  private async write(): Promise<ListAnswer> {
    const kept = await recordRow(this.store.read, PREFERENCES_ID);
    const body = kept?.removedAt === null && kept.body.sort === 'preferences' ? kept.body : DEFAULT_SCHEME;
    const sorted = [...(this.views?.values() ?? [])]
      .map((view) => keyed(view))
      .sort(makeRainbowOrder(body))
      .map(({ id }) => this.texts.get(id) ?? '');
    const order = JSON.stringify(orderName(body.familyOrder, body.lightness));
    return {
      json: `{"order":${order},"supplies":[${sorted.join(',')}]}`,
      tag: `"${this.startedAt}-${this.revision}"`,
    };
  }

  private readonly startedAt = Date.now().toString(36);

  /** Reads wait for one another, so that two of them never mix their halves. */
  private refresh(): Promise<void> {
    this.reading = this.reading.then(() => this.catchUp());
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
    const views = (await allSupplies(this.store.read)).map(supplyToView);
    this.views = new Map(views.map((view) => [view.id, view]));
    this.texts = new Map(views.map((view) => [view.id, JSON.stringify(view)]));
  }

  private async readSome(views: Map<string, SupplyView>, ids: readonly string[]): Promise<void> {
    const now = new Map(
      (await someSupplies(this.store.read, ids)).map((row) => [row.supply.id, supplyToView(row)]),
    );
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
      this.texts.set(id, JSON.stringify(view));
    }
    if (!grown) return;
    // Something came back that is not the youngest: keep the order of ids.
    const inOrder = <V>(map: Map<string, V>) => new Map([...map].sort(([a], [b]) => (a < b ? -1 : 1)));
    this.views = inOrder(views);
    this.texts = inOrder(this.texts);
  }
}
