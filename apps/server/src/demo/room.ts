import {
  allocate,
  holdsOf,
  mayLive,
  rainbowOrder,
  zonesOf,
  type ColouredItem,
  type Lodger,
  type PlaceSpot,
} from '@red-shelf/core';
import { DOCUMENT_VERSION, rootUnits, type StashDocument } from '@red-shelf/contract';
import { unitToView } from '../services/views';
import { demoColours } from './colours';
import { demoExtras } from './extras';
import { demoFacts } from './facts';
import { demoRecords, PALETTE } from './groups';
import { cameWith, PIECES } from './furniture';
import { historyOf } from './history';
import type { DemoLedger, Supply } from './ledger';
import { PILES } from './piles';
import { randomStream, type Random } from './random';
import { roomThings } from './roomThings';
import { beside, demoUnit, PALETTE_TRAY, RACKS } from './units';

const SEED = 20_260_401;
const DAY = 86_400_000;

/** The demo room: made from a seed, so the same day always gives the same room. `now` is ms since 1970, UTC. */
export function demoRoom(now: number): StashDocument {
  const random = randomStream(SEED);
  let next = 0;
  const newId = (): string => `demo-${String(next++).padStart(6, '0')}`;
  const racks = RACKS.map((unit, i) => demoUnit(newId(), 'ABCDE'[i] ?? 'Z', i, unit));
  const supplies = PILES.flatMap((pile): Supply[] =>
    demoColours(pile.count, pile.shift).map(({ name, hex }, i) => {
      const at = new Date(now - 181 * DAY).toISOString();
      const { kind, form, maker, range, finish, firstCode, note = '' } = pile;
      const code = String(firstCode + i);
      return {
        id: newId(),
        version: 1,
        kind,
        form,
        name,
        maker,
        range,
        code,
        hex,
        finish,
        familyOverride: null,
        familyReason: '',
        note,
        number: 0,
        facts: demoFacts({ kind, form, hex, code: firstCode + i }, i, now),
        createdAt: at,
        updatedAt: at,
        removedAt: null,
      };
    }),
  );
  const ledgers = supplies.map((supply) => historyOf(supply, now, random, newId));
  const settledAt = new Date(now - 20 * DAY).toISOString();
  const spots = lived(supplies, racks, random);
  for (const ledger of ledgers) {
    const spot = spots.get(ledger.supply.id);
    if (spot) ledger.place(settledAt, 'whole', spot);
  }
  const extras = demoExtras(now);
  const everything: readonly DemoLedger[] = [...ledgers, ...extras, ...roomThings(now)];
  const all = everything.map(({ supply }) => supply);
  return {
    format: 'red-shelf',
    formatVersion: DOCUMENT_VERSION,
    exportedAt: new Date(now).toISOString(),
    units: [
      ...rootUnits('Boathouse wall'),
      ...PIECES,
      ...racks,
      ...beside(racks.length),
      ...cameWith(racks.length + 5),
    ],
    supplies: all,
    holdings: everything.flatMap(({ lots }) => lots),
    events: everything
      .flatMap(({ events }) => events)
      .sort((p, q) => (p.at < q.at ? -1 : p.at > q.at ? 1 : p.id < q.id ? -1 : 1)),
    records: demoRecords(all, now),
  };
}

/** In rainbow order once, then lived in: some put back in the wrong slot, some bought since and nowhere yet. */
function lived(
  supplies: readonly Supply[],
  racks: readonly StashDocument['units'][number][],
  random: Random,
): Map<string, PlaceSpot> {
  const palette = supplies.filter(({ name, form }) => form === 'full-pad' && PALETTE.includes(name));
  const settled = supplies.filter((supply, i) => i % 19 !== 7 && !palette.includes(supply));
  const items = settled.map((supply): ColouredItem & Lodger => ({
    ...supply,
    supply,
    lot: { id: supply.id, as: 'whole', items: 1, left: 1, spot: null },
  }));
  const room = racks.flatMap((record) => {
    const unit = unitToView({ ...record, rules: { kinds: record.rules.kinds } });
    const { model } = unit;
    if (!model) return [];
    return [
      {
        id: unit.id,
        cells: holdsOf(model).cells,
        zones: zonesOf(model, new Set<number>()),
        takes: (item: Lodger, cell: number | null) => mayLive(item, { unit, cell }, { livingIn: () => [] }),
      },
    ];
  });
  const spots = new Map<string, PlaceSpot>();
  for (const { unit, slots } of allocate(rainbowOrder(items), room).units) {
    const ids = slots.map((item) => item?.id ?? null);
    const full = ids.flatMap((id, slot) => (id ? [slot] : []));
    for (let swap = 0; swap < full.length / 12; swap++) {
      const a = full[Math.floor(random() * full.length)] ?? 0;
      const b = full[Math.floor(random() * full.length)] ?? 0;
      [ids[a], ids[b]] = [ids[b] ?? null, ids[a] ?? null];
    }
    ids.forEach((id, cell) => id && spots.set(id, { unitId: unit.id, cell, rank: 0 }));
  }
  palette.forEach(({ id }, cell) => spots.set(id, { unitId: PALETTE_TRAY, cell, rank: 0 }));
  return spots;
}
