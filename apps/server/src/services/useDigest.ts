import { usesIn, type Told } from '@red-shelf/core';
import { lastEvent, otherUsesAfter, plainUsesAfter } from '../db/useRepository';
import type { Store } from '../db/open';
import { breathe } from '../db/tx';

type Use = ReturnType<typeof usesIn>[number];

/** So many lines of the ledger are read at a stretch: others are answered between two. */
const STEP = 4000;

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
  /** How often the stash was replaced: what was read of an older one is thrown away. */
  private replaced = 0;
  private told = new Map<string, Told[]>();
  /** Whom a filling was told of: what it filled, and the bottle it came from. */
  private readonly filled = new Map<string, readonly string[]>();
  private uses = new Map<string, readonly Use[]>();
  private reading: Promise<void> = Promise.resolve();

  constructor(private readonly store: Store) {
    // A stash that is replaced has another ledger.
    store.onTouched(({ all }) => all && this.forget());
  }

  private forget(): void {
    this.replaced++;
    this.readTo = 0;
    this.told = new Map();
    this.filled.clear();
    this.uses = new Map();
  }

  /** Tells what was used of a supply, as it stands now. */
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
    const db = this.store.read;
    const { replaced } = this;
    const last = await lastEvent(db);
    if (last === this.readTo) return;
    const upTo = Math.min(last, this.readTo + STEP);
    const [plain, others] = [
      await plainUsesAfter(db, this.readTo, upTo),
      await otherUsesAfter(db, this.readTo, upTo),
    ];
    if (replaced !== this.replaced) return this.catchUp();
    for (const { supplyId, told } of plain) this.add(supplyId, told);
    for (const event of others) {
      // A bottle that something was filled from was used, too; what takes an act back is told of everybody the act was.
      const ids =
        event.act === 'refill' && event.from
          ? [event.supplyId, event.from.supplyId]
          : event.act === 'undo'
            ? (this.filled.get(event.undoes) ?? [event.supplyId])
            : [event.supplyId];
      this.filled.set(event.id, ids);
      for (const id of ids) this.add(id, [event]);
    }
    this.readTo = upTo;
    if (upTo === last) return;
    await breathe();
    return this.catchUp();
  }

  private add(supplyId: string, told: readonly Told[]): void {
    const known = this.told.get(supplyId);
    if (known) known.push(...told);
    else this.told.set(supplyId, [...told]);
    this.uses.delete(supplyId);
  }
}
