import type { Foretold, RecordView, SupplyView, UnitView } from '@red-shelf/contract';
import { foretell, type Command, type Known } from '@red-shelf/contract';

/** What the server said last. */
export interface Base {
  readonly supplies: readonly SupplyView[];
  readonly units: readonly UnitView[];
  readonly records: readonly RecordView[];
}
export interface Shown extends Pick<Base, 'supplies' | 'records'> {
  readonly byId: ReadonlyMap<string, SupplyView>;
  /** Whether the supplies still stand in the order they came in: nothing was added, and nothing that order asks of was changed. */
  readonly inOrder: boolean;
}

/** A map that others lie over, without copying it: what is written hides what is below, null is gone. */
class Over<T extends { readonly id: string }> {
  readonly changed = new Map<string, T | null>();
  constructor(private readonly below: ReadonlyMap<string, T>) {}
  get(id: string): T | undefined {
    const over = this.changed.get(id);
    return over === undefined ? this.below.get(id) : (over ?? undefined);
  }
  list(below: readonly T[]): readonly T[] {
    if (this.changed.size === 0) return below;
    const kept = below.flatMap((each) => {
      const now = this.changed.get(each.id);
      return now === undefined ? [each] : (now ?? []);
    });
    const added = [...this.changed.values()].filter(
      (each): each is T => each !== null && !this.below.has(each.id),
    );
    return [...kept, ...added];
  }
}

const indexed = new WeakMap<readonly { readonly id: string }[], ReadonlyMap<string, unknown>>();
/** Things by their id, worked out once for a list. */
function byIdOf<T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> {
  const known = indexed.get(list) as ReadonlyMap<string, T> | undefined;
  if (known) return known;
  const map = new Map(list.map((each) => [each.id, each]));
  indexed.set(list, map);
  return map;
}

/** The stash as it will be once what waits is done: what the server said last, and over it what was foretold. */
export class Overlay {
  private readonly supplies: Over<SupplyView>;
  private readonly records: Over<RecordView>;
  private readonly units: ReadonlyMap<string, UnitView>;
  constructor(private readonly base: Base) {
    this.supplies = new Over(byIdOf(base.supplies));
    this.records = new Over(byIdOf(base.records));
    this.units = byIdOf(base.units);
  }

  readonly known: Known = {
    supply: (id) => this.supplies.get(id),
    supplies: () => this.supplies.list(this.base.supplies),
    record: (id) => this.records.get(id),
    unit: (id) => this.units.get(id),
  };

  /** Lays a command over what is there; answers what it will have done, or null where only the server can tell. */
  lay(command: Command): Foretold | null {
    const told = foretell(command, this.known);
    if (!told) return null;
    for (const supply of told.supplies) this.supplies.changed.set(supply.id, supply);
    for (const record of told.records) this.records.changed.set(record.id, record);
    for (const id of told.gone) (this.records.get(id) ? this.records : this.supplies).changed.set(id, null);
    return told;
  }

  shown(): Shown {
    const supplies = this.supplies.list(this.base.supplies);
    const below = byIdOf(this.base.supplies);
    const inOrder = [...this.supplies.changed].every(
      ([id, now]) => now === null || below.get(id)?.version === now.version,
    );
    return { supplies, records: this.records.list(this.base.records), byId: byIdOf(supplies), inOrder };
  }
}
