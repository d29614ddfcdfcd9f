import type { Spot } from '../../stash/spot';
import type { AllocateOptions, Allocation, Continued } from './allocation';
import { layInLines } from './inLines';
import { layOut, type Laid } from './layOut';
import { nearestOrder, nearToday } from './nearToday';
import type { PathUnit, Placing, Zone } from './zones';

/** Units as they are filled. */
export class Shelves<T extends Placing> {
  private readonly slots: ReadonlyMap<string, (T | null)[]>;
  private readonly held: ReadonlyMap<string, Map<number, string>>;
  private readonly spots = new Map<string, Spot>();
  private readonly growth: ReadonlyMap<string, number>;

  constructor(
    private readonly path: readonly PathUnit<T>[],
    private readonly options: AllocateOptions<T> & { readonly groupOf: (item: T) => string },
  ) {
    this.growth = options.growth ?? new Map();
    this.slots = new Map(
      path.map(({ id, cells }) => [id, Array.from({ length: cells }, (): T | null => null)]),
    );
    this.held = new Map(path.map(({ id }) => [id, new Map<number, string>()]));
  }

  /** Lays things in order along a zone: into its open cells, or one after another. */
  lay(ordered: readonly T[], { unit, open, room, shared, lines }: Zone<T>): void {
    const row = this.slots.get(unit.id);
    const held = this.held.get(unit.id);
    if (!row || !held) return;
    const at = new Map(open.map((cell, place) => [cell, place]));
    const nowOf = ({ spot }: T): number | null => {
      if (spot?.unitId !== unit.id) return null;
      return spot.cell === null ? (spot.rank ?? 0) : (at.get(spot.cell) ?? null);
    };
    const near = unit.near ?? this.options.near ?? 0;
    const asked = ordered.map((item): Laid<T> => ({
      item,
      group: this.options.groupOf(item),
      now: nowOf(item),
    }));
    const things = shared ? nearToday(asked, near) : nearestOrder(asked, near, open.length);
    if (shared) {
      const there = unit.anyOrder ? asTheyLie(things) : things;
      row.push(...there.map(({ item }) => item));
      row.forEach((item, rank) => item && this.spots.set(item.id, { unitId: unit.id, cell: null, rank }));
      return;
    }
    const apart =
      this.options.begin === 'line' && lines && room >= open.length
        ? layInLines(things, lines, this.growth)
        : null;
    const layout =
      apart ?? layOut(things, open.length, this.growth, Math.min(room, open.length) - things.length);
    open.forEach((cell, place) => {
      const item = layout.placed.get(place);
      if (item) {
        row[cell] = item;
        this.spots.set(item.id, { unitId: unit.id, cell, rank: 0 });
      }
      const group = layout.held.get(place);
      if (group !== undefined) held.set(cell, group);
    });
  }

  filled(): Omit<Allocation<T>, 'leftOver'> {
    const units = this.path.map((unit) => ({ unit, slots: this.slots.get(unit.id) ?? [] }));
    return { units, spots: this.spots, held: this.held, continues: this.continues(units) };
  }

  /** Groups that are met again in the next unit that holds any of them. */
  private continues(units: readonly { readonly unit: PathUnit<T>; readonly slots: readonly (T | null)[] }[]) {
    const last = new Map<string, string>();
    const found: Continued[] = [];
    for (const { unit, slots } of units) {
      const groups = new Set(slots.flatMap((item) => (item ? this.options.groupOf(item) : [])));
      for (const group of groups) {
        const from = last.get(group);
        if (from !== undefined) found.push({ group, from, to: unit.id });
        last.set(group, unit.id);
      }
    }
    return found;
  }
}

/** What is there already as it lies, then what comes. */
function asTheyLie<T>(things: readonly Laid<T>[]): Laid<T>[] {
  const there = things.filter(({ now }) => now !== null).sort((p, q) => (p.now ?? 0) - (q.now ?? 0));
  return [...there, ...things.filter(({ now }) => now === null)];
}
