import {
  besideStep,
  holdsOf,
  keyed,
  lookUp,
  roomIn,
  shelfFigures,
  useOf,
  type PlaceSpot,
  type Sought,
} from '@red-shelf/core';
import { toSortable, type ArrangePreview, type HoldingView, type SupplyView } from '@red-shelf/contract';
import type { Planned, Stash } from './plan';

interface Standing {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
}

/** One look a year where nobody used it yet. */
const LEAST_USES = 1;

/** Where everything in the chosen places stands, before or after; things that stay put stand in both. */
export function sideOf(
  { supplies }: Stash,
  planned: Planned,
  spotOf: (lot: HoldingView) => PlaceSpot | null,
): ArrangePreview['before'] {
  const { units, grouping, moving, rank, sortable, reachOf } = planned;
  const groupOf = (supply: SupplyView): string =>
    grouping.groupOf(sortable.get(supply.id) ?? toSortable(supply));
  const rows = new Map(
    units.map(({ id, model }) => [id, Array<Standing | null>(model ? holdsOf(model).cells : 0).fill(null)]),
  );
  const sharing = new Map<string, { each: Standing; rank: number }[]>();
  const homeless: Sought[] = [];
  const arranged = new Set(moving.map(({ id }) => id));
  let placed = 0;
  const seek = ({ supply, lot }: Standing, unitId: string): Sought => ({
    group: groupOf(supply),
    rank: rank.get(lot.id) ?? 0,
    uses: Math.max(LEAST_USES, useOf(supply)),
    reach: reachOf(unitId),
  });
  for (const supply of supplies)
    for (const lot of supply.holdings) {
      const spot = spotOf(lot);
      if (!spot && arranged.has(lot.id)) homeless.push(seek({ supply, lot }, ''));
      const row = spot && rows.get(spot.unitId);
      if (!row) continue;
      placed++;
      if (spot.cell !== null) row[spot.cell] = { supply, lot };
      else {
        const there = sharing.get(spot.unitId) ?? [];
        there.push({ each: { supply, lot }, rank: spot.rank });
        sharing.set(spot.unitId, there);
      }
    }
  for (const [id, there] of sharing)
    rows.get(id)?.push(...there.sort((p, q) => p.rank - q.rank).map(({ each }) => each));
  // As they are filled: down columns, back and forth, without the columns that are left out.
  const inTurn = units.map(({ id, model }) => {
    const row = rows.get(id) ?? [];
    const { order, shares } = model ? holdsOf(model) : { order: [], shares: true };
    return { unitId: id, row: shares ? row : order.map((cell) => row[cell] ?? null) };
  });
  const figures = shelfFigures(
    inTurn.map(({ row }) => row.map((each) => each && keyed(each.supply))),
    ({ item }) => groupOf(item),
  );
  const looked = lookUp(
    inTurn.map(({ unitId, row }) => row.flatMap((each) => (each ? [seek(each, unitId)] : []))),
    homeless,
  );
  const emptySlots = units.reduce((sum, unit, i) => {
    const filled = (inTurn[i]?.row ?? []).filter((each) => each !== null).length;
    return sum + Math.max(0, (roomIn(unit) ?? 0) - filled);
  }, 0);
  const beside = planned.isPicture ? besideIn(units, rows) : null;
  return {
    figures: { placed, emptySlots, ...figures, beside, inOrder: looked.inOrder, lookUp: looked.seconds },
    units: [...rows].map(([unitId, row]) => ({ unitId, slots: row.map((each) => each?.supply.id ?? null) })),
  };
}

/** What things differ from those beside and below them, at the front of racks with cells. */
function besideIn(
  units: Planned['units'],
  rows: ReadonlyMap<string, readonly (Standing | null)[]>,
): number | null {
  const racks = units.flatMap(({ id, model }) => {
    if (model?.model !== 'grid') return [];
    const columns = model.columnsUm.length;
    const front = (rows.get(id) ?? []).slice(0, columns * model.rowsUm.length);
    return [{ slots: front.map((each) => each && keyed(each.supply)), columns }];
  });
  return besideStep(racks);
}
