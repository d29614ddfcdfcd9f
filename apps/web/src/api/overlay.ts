import type { Foretold, RecordView, SupplyView, UnitView } from '@red-shelf/contract';
import type { Command, Known } from '@red-shelf/contract';
import { byIdOf, mended, type ById } from './indexed';
import { schemasNow } from './later';

/** What the server said last. */
export interface Base {
  readonly supplies: readonly SupplyView[];
  readonly units: readonly UnitView[];
  readonly records: readonly RecordView[];
}
export interface Shown extends Base {
  readonly byId: ById<SupplyView>;
  /** Whether the supplies still stand in the order they came in: nothing was added, and nothing that order asks of was changed. */
  readonly inOrder: boolean;
}

/** What lies over a list: what is written hides what is below, null is gone. */
class Over<T extends { readonly id: string }> {
  readonly changed = new Map<string, T | null>();
  private readonly byId: ById<T>;
  constructor(private readonly below: readonly T[]) {
    this.byId = byIdOf(below);
  }
  get(id: string): T | undefined {
    const over = this.changed.get(id);
    return over === undefined ? this.byId.get(id) : (over ?? undefined);
  }
  list(): readonly T[] {
    const all = [...this.changed];
    const gone = all.flatMap(([id, now]) => (now === null ? [id] : []));
    return mended(
      this.below,
      all.flatMap(([, now]) => now ?? []),
      gone,
    );
  }
}

/** The stash as it will be once what waits is done: what the server said last, and over it what was foretold. */
export class Overlay {
  private readonly supplies: Over<SupplyView>;
  private readonly records: Over<RecordView>;
  private units: readonly UnitView[];
  constructor(private readonly base: Base) {
    this.supplies = new Over(base.supplies);
    this.records = new Over(base.records);
    this.units = base.units;
  }

  readonly known: Known = {
    supply: (id) => this.supplies.get(id),
    supplies: () => this.supplies.list(),
    record: (id) => this.records.get(id),
    records: () => this.records.list(),
    unit: (id) => byIdOf(this.units).get(id),
    units: () => this.units,
  };

  /** Lays a command over what is there; answers what it will have done, or null where only the server can tell. */
  lay(command: Command): Foretold | null {
    const told = schemasNow().foretell(command, this.known);
    if (!told) return null;
    for (const supply of told.supplies) this.supplies.changed.set(supply.id, supply);
    for (const record of told.records) this.records.changed.set(record.id, record);
    if (told.units) this.units = told.units;
    for (const id of told.gone) (this.records.get(id) ? this.records : this.supplies).changed.set(id, null);
    return told;
  }

  shown(): Shown {
    const supplies = this.supplies.list();
    const below = byIdOf(this.base.supplies);
    const inOrder = [...this.supplies.changed].every(
      ([id, now]) => now === null || below.get(id)?.version === now.version,
    );
    return { supplies, units: this.units, records: this.records.list(), byId: byIdOf(supplies), inOrder };
  }
}
