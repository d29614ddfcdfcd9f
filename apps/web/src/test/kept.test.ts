import './indexedDb';
import { leanSupply, type RecordView } from '@red-shelf/contract';
import { StashKeeper } from '../api/keptStash';
import { readContents } from '../api/contents';
import { schemas } from '../api/later';
import { Overlay } from '../api/overlay';
import { record, supply, unit, wallOf } from './harness';

beforeAll(() => schemas());

const wall = { roomName: 'Room', units: [unit()] };
const [fern, moss] = [supply({ id: 's1', name: 'Fern' }), supply({ id: 's2', name: 'Moss', place: null })];
const stash = { supplies: [fern, moss], order: 'x', seq: 4, wall, records: [] };
const textOf = (supplies: (typeof fern)[]): string => JSON.stringify({ supplies: supplies.map(leanSupply) });

test('the stash is kept whole once, then only what changed; what another shape left is not read', async () => {
  const keeper = new StashKeeper();
  expect(await keeper.read()).toBeNull();
  await keeper.keepWhole(stash, { text: textOf([fern, moss]), supplies: [fern, moss] });
  expect(await new StashKeeper().read()).toEqual(stash);
  // What changed between the list's coming and its writing is kept too.
  const quick = { ...stash, supplies: [{ ...fern, name: 'Tall Fern' }, moss] };
  await keeper.keepWhole(quick, { text: textOf([fern, moss]), supplies: [fern, moss] });
  expect(await new StashKeeper().read()).toEqual(quick);
  const ivy = supply({ id: 's3', name: 'Ivy' });
  const later = { ...stash, supplies: [{ ...moss, name: 'Deep Moss' }, ivy], seq: 9 };
  await keeper.keep(later);
  expect(await new StashKeeper().read()).toEqual(later);
  await keeper.forget();
  expect(await new StashKeeper().read()).toBeNull();
});

const at = '2026-05-31T10:00:00.000Z';
const use = (id: string) =>
  ({ route: 'actOnSupply', of: 's1', body: { act: 'use', amount: 2 }, id, at }) as const;

test('what waits lies over what the server said, one command on another, and leaves it as it was', () => {
  const base = { supplies: [fern, moss], units: [unit()], records: [] as RecordView[] };
  const overlay = new Overlay(base);
  expect(overlay.lay(use('c1'))?.change).toMatchObject({ id: 'c1', kind: 'act', name: 'Fern' });
  overlay.lay(use('c2'));
  expect(overlay.shown().byId.get('s1')?.stock).toMatchObject({ left: fern.stock.left - 4, used: 7 });
  expect(overlay.shown().inOrder).toBe(true);
  const lot = moss.holdings[0]!;
  const place = { unitId: 'u1', cell: 0 };
  overlay.lay({ route: 'placeHolding', of: lot.id, body: { version: lot.version, place }, id: 'c3', at });
  expect(overlay.shown().byId.get('s2')?.holdings[0]?.spot).toEqual({ ...place, rank: 0 });
  overlay.lay({ route: 'removeSupply', of: 's1', body: { version: fern.version }, id: 'c4', at });
  expect(overlay.shown().supplies.map(({ id }) => id)).toEqual(['s2']);
  expect(base.supplies).toEqual([fern, moss]);
});

test('a change of one supply leaves the other units’ contents the lists they were', () => {
  const units = [unit({ id: 'u1' }), unit({ id: 'u2', label: 'C' })];
  const other = supply({ id: 's3', place: { unitId: 'u2', slot: 0 } });
  const at = (supplies: (typeof fern)[]) =>
    readContents({ supplies, all: supplies, byId: new Map(), wall: wallOf(units) });
  const [before, after] = [at([fern, other]), at([{ ...fern, name: 'Deep Fern' }, other])];
  expect(after.get('u2')).toBe(before.get('u2'));
  expect(after.get('u1')).not.toBe(before.get('u1'));
});

test('what only the server can tell is not foretold', () => {
  const base = {
    supplies: [fern],
    units: [unit()],
    records: [record('r1', { sort: 'need' })] as RecordView[],
  };
  const overlay = new Overlay(base);
  const no = (
    route: 'editSupply' | 'applyArrange' | 'editRecord' | 'placeHolding',
    of: string,
    body: object,
  ) => overlay.lay({ route, of, body, id: 'c1', at });
  expect(no('applyArrange', '', {})).toBeNull();
  expect(no('editSupply', 's1', { ...fern, version: 1 })).toBeNull();
  expect(no('editSupply', 's1', { ...fern, name: '' })).toBeNull();
  expect(no('placeHolding', 'no such lot', { version: 1, place: null })).toBeNull();
  expect(overlay.shown().supplies).toBe(base.supplies);
});
