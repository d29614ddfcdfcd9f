import { PALETTE_TRAY } from './units';
import type { GroupBody, StashDocument } from '@red-shelf/contract';

type Supply = StashDocument['supplies'][number];
type Entry = StashDocument['records'][number];

const DAY = 86_400_000;
/** Pads of the palette, by name. */
export const PALETTE: readonly string[] = ['Heron Mill', 'Shell Bank', 'Thrift Lane'];
const WHOLE = { note: '', matches: [], dissolvedOn: null, home: null } as const;

/** A kit, a collection, a palette with a tray of its own, a range and a storage need of the demo stash; `at` is ms since 1970. Names are invented. */
export function demoRecords(supplies: readonly Supply[], now: number): Entry[] {
  const day = (ago: number): string => new Date(now - ago * DAY).toISOString().slice(0, 10);
  const at = new Date(now - 200 * DAY).toISOString();
  const id = (name: string, form: string): string =>
    supplies.find((each) => each.name === name && each.form === form)?.id ?? '';
  const kit: GroupBody = {
    ...WHOLE,
    sort: 'group',
    what: 'kit',
    name: 'River birthday set',
    source: 'Plimmet Lane',
    acquiredOn: day(420),
    members: [
      { supplyId: id('River birthday fronts', 'made'), amount: 6 },
      { supplyId: id('Quiet White', 'sheet-letter'), amount: 6 },
      { supplyId: id('Weir Gate', 'sheet-12'), amount: 2 },
    ],
    matches: [],
  };
  const collection: GroupBody = {
    ...WHOLE,
    sort: 'group',
    what: 'collection',
    name: 'Orchard Walk',
    source: 'a market stall',
    acquiredOn: day(230),
    members: [{ supplyId: id('Orchard Walk', 'pad-6'), amount: 18 }],
    matches: [id('Moss Latch', 'sheet-12'), id('Rust Mill', 'sheet-12')],
  };
  const pads = supplies.filter(({ form, range }) => form === 'full-pad' && range === 'Towpath');
  const body = {
    sort: 'range' as const,
    maker: 'Hollin & Quay',
    name: 'Towpath',
    kind: 'ink' as const,
    form: 'full-pad',
    finish: 'matte' as const,
    entries: [
      ...pads.map(({ name, code, hex }) => ({ name, code, hex })),
      { name: 'Tollgate Plum', code: '447', hex: '#6b3a5c' },
      { name: 'Osier Green', code: '448', hex: '#8a9a4a' },
      { name: 'Sluice Blue', code: '449', hex: '#3c6c8c' },
    ],
  };
  const palette: GroupBody = {
    ...WHOLE,
    sort: 'group',
    what: 'palette',
    name: 'Regatta',
    source: '',
    acquiredOn: null,
    members: PALETTE.map((name) => ({ supplyId: id(name, 'full-pad'), amount: 1 })),
    home: PALETTE_TRAY,
    matches: [],
  };
  const need = {
    sort: 'need' as const,
    what: 'divider' as const,
    where: 'Card file',
    widthUm: 140_000,
    heightUm: 140_000,
    count: 4,
  };
  return [kit, collection, body, palette, need].map((each, i) => ({
    id: `demo-record-${i}`,
    version: 1,
    createdAt: at,
    updatedAt: at,
    removedAt: null,
    body: each,
  }));
}
