import { KINDS, type Kind } from '../kinds/definition';
import type { Holding } from '../stash/holding';

/** How a kind is scattered over the room. */
export interface KindSpread {
  readonly kind: Kind;
  readonly count: number;
  /** Units it lives in, the fullest first. */
  readonly places: readonly { readonly unitId: string; readonly count: number }[];
  readonly unplaced: number;
  /** In more places than one would want to walk to. */
  readonly scattered: boolean;
}

const MANY_PLACES = 3;

/** Where everything of each kind lives; kinds not owned are left out. */
export function kindSpreads(
  supplies: readonly {
    readonly kind: Kind;
    readonly holdings: readonly Pick<Holding, 'spot'>[];
  }[],
  tooMany = MANY_PLACES,
): KindSpread[] {
  return KINDS.flatMap((kind) => {
    const own = supplies.filter((supply) => supply.kind === kind);
    if (own.length === 0) return [];
    const counts = new Map<string, number>();
    for (const { holdings } of own)
      for (const unitId of new Set(holdings.flatMap(({ spot }) => spot?.unitId ?? [])))
        counts.set(unitId, (counts.get(unitId) ?? 0) + 1);
    const places = [...counts]
      .map(([unitId, count]) => ({ unitId, count }))
      .sort((p, q) => q.count - p.count);
    const unplaced = own.filter(({ holdings }) => holdings.every(({ spot }) => spot === null)).length;
    return [
      {
        kind,
        count: own.length,
        places,
        unplaced,
        scattered: places.length + (unplaced > 0 ? 1 : 0) > tooMany,
      },
    ];
  });
}
