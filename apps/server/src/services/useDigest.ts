import { usesIn, type Told } from '@red-shelf/core';
import { usesAfter } from '../db/useRepository';
import type { Store } from '../db/open';

type Use = ReturnType<typeof usesIn>[number];

const digests = new WeakMap<Store, UseDigest>();

/** The one digest of a store. */
export function useDigest(store: Store): UseDigest {
  const known = digests.get(store) ?? new UseDigest(store);
  digests.set(store, known);
  return known;
}

/**
 * What was used of each supply, kept ready: the ledger is read once, and after that only what was added to it. Nothing is
 * kept that reading it again would not give.
 */
export class UseDigest {
  private readTo = 0;
  private told = new Map<string, Told[]>();
  private readonly groupOf = new Map<string, readonly string[]>();
  private uses = new Map<string, readonly Use[]>();
  private reading: Promise<void> = Promise.resolve();

  constructor(private readonly store: Store) {
    // A stash that is replaced has another ledger.
    store.onTouched(({ all }) => all && this.forget());
  }

  private forget(): void {
    this.readTo = 0;
    this.told = new Map();
    this.groupOf.clear();
    this.uses = new Map();
  }

  /** Tells what was used of a supply, oldest first, as it stands now. */
  async read(): Promise<(supplyId: string) => readonly Use[]> {
    this.reading = this.reading.then(() => this.catchUp());
    await this.reading;
    return (supplyId) => {
      const known = this.uses.get(supplyId);
      if (known) return known;
      const found = usesIn(this.told.get(supplyId) ?? [], supplyId);
      this.uses.set(supplyId, found);
      return found;
    };
  }

  private async catchUp(): Promise<void> {
    const { seq, told } = await usesAfter(this.store.read, this.readTo);
    for (const event of told) this.add(event);
    this.readTo = seq;
  }

  private add(event: Told): void {
    // A bottle that something was filled from was used, too; what takes an act back belongs to whom the act did.
    const groups =
      event.act === 'undo'
        ? (this.groupOf.get(event.undoes) ?? [event.supplyId])
        : event.act === 'refill' && event.from
          ? [event.supplyId, event.from.supplyId]
          : [event.supplyId];
    this.groupOf.set(event.id, groups);
    for (const id of groups) {
      const known = this.told.get(id);
      if (known) known.push(event);
      else this.told.set(id, [event]);
      this.uses.delete(id);
    }
  }
}
