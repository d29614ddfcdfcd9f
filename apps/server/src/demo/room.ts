import { findTemplate, formOf, placeInGrid, type PlaceItem } from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';
import { unitRecordFrom } from '../services/wall';
import { unitToView } from '../services/views';
import { demoColours } from './colours';
import { demoRecords } from './groups';
import { demoExtras, spareUnit } from './extras';
import { demoFacts } from './facts';
import { historyOf } from './history';
import { PILES } from './piles';
import { randomStream, type Random } from './random';

type Supply = StashDocument['supplies'][number];

const SEED = 20_260_401;
const DAY = 86_400_000;
const UNITS = [
  { template: 'pad-rack', name: 'Pad rack', rows: 12, columns: 5 },
  { template: 'marker-tray', name: 'Marker tray', rows: 4, columns: 21 },
  { template: 'card-file', name: 'Card file', rows: 1, columns: 44 },
  { template: 'ribbon-pegs', name: 'Ribbon pegs', rows: 4, columns: 8 },
  { template: 'sticker-album', name: 'Sticker album', rows: 5, columns: 5 },
] as const;

/** The demo room: made from a seed, so the same day always gives the same room. `now` is ms since 1970, UTC. */
export function demoRoom(now: number): StashDocument {
  const random = randomStream(SEED);
  let next = 0;
  const newId = (): string => `demo-${String(next++).padStart(6, '0')}`;
  const units = UNITS.map((unit, i) => unitRecordFrom(newId(), 'ABCDE'[i] ?? 'Z', i, unit));
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
  const extras = demoExtras(now);
  const ledger = supplies
    .flatMap((supply) => historyOf(supply, now, random, newId))
    .concat(extras.ledger)
    .sort((p, q) => (p.at < q.at ? -1 : p.at > q.at ? 1 : p.id < q.id ? -1 : 1));
  return {
    format: 'red-shelf',
    formatVersion: 2,
    exportedAt: new Date(now).toISOString(),
    roomName: 'Boathouse wall',
    units: [...units, spareUnit(units.length)],
    supplies: [...supplies, ...extras.supplies],
    placements: lived(supplies, units, random),
    ledger,
    records: demoRecords([...supplies, ...extras.supplies], now),
  };
}

/** In rainbow order once, then lived in: some put back in the wrong slot, some bought since and nowhere yet. */
function lived(
  supplies: readonly Supply[],
  units: readonly StashDocument['units'][number][],
  random: Random,
): StashDocument['placements'] {
  const settled = supplies.filter((_, i) => i % 19 !== 7);
  const items = settled.map((supply): PlaceItem => ({
    ...supply,
    envelope: formOf(supply.kind, supply.form).envelope,
  }));
  const room = units.map((unit) => ({
    ...unitToView(unit),
    holds: [...(findTemplate(unit.template)?.holds ?? [])],
  }));
  const { units: filled } = placeInGrid(items, room);
  return filled.flatMap(({ unit, slots }) => {
    const ids = slots.map((item) => item?.id ?? null);
    const full = ids.flatMap((id, slot) => (id ? [slot] : []));
    for (let swap = 0; swap < full.length / 12; swap++) {
      const a = full[Math.floor(random() * full.length)] ?? 0;
      const b = full[Math.floor(random() * full.length)] ?? 0;
      [ids[a], ids[b]] = [ids[b] ?? null, ids[a] ?? null];
    }
    return ids.flatMap((supplyId, slot) => (supplyId ? [{ supplyId, unitId: unit.id, slot }] : []));
  });
}
