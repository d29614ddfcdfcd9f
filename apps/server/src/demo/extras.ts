import type { Facts, Kind } from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';
import { unitRecordFrom } from '../services/wall';

type Supply = StashDocument['supplies'][number];
type Entry = StashDocument['ledger'][number];

const DAY = 86_400_000;

interface Odd {
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  readonly hex: string;
  readonly left: number;
  readonly facts?: Facts;
}

/** Odds and ends beside the piles: partners, letters, made pieces, a purpose asleep. Names are invented. */
const ODDS: readonly Odd[] = [
  { kind: 'ink', form: 'refill', name: 'Marsh Lantern', hex: '#4c9a52', left: 9 },
  { kind: 'ink', form: 'refill', name: 'Ember Latch', hex: '#b5433c', left: 0 },
  { kind: 'companion', form: 'foam', name: 'Marsh Lantern', hex: '#4c9a52', left: 1 },
  {
    kind: 'sticker',
    form: 'sheet',
    name: 'Lantern Capitals',
    hex: '#2f3a46',
    left: 1,
    facts: {
      attributes: {
        style: 'alphabet',
        letters: 'A1 B3 C2 D4 E1 F2 G2 H3 I2 K1 L4 M2 N3 O0 P2 R3 S4 T3 U1 Y2',
      },
    },
  },
  {
    kind: 'companion',
    form: 'stamp',
    name: 'Heron in reeds',
    hex: '#8a8d90',
    left: 1,
    facts: { attributes: { theme: 'river', number: '17' } },
  },
  {
    kind: 'companion',
    form: 'die',
    name: 'Heron outline',
    hex: '#9a9da0',
    left: 1,
    facts: { attributes: { theme: 'river', number: '17' } },
  },
  {
    kind: 'companion',
    form: 'stamp',
    name: 'Otter pair',
    hex: '#8a8d90',
    left: 1,
    facts: { attributes: { theme: 'river', number: '18' }, tags: ['autumn'] },
  },
  {
    kind: 'companion',
    form: 'made',
    name: 'River birthday fronts',
    hex: '#5d8f9e',
    left: 6,
    facts: { attributes: { theme: 'birthday' }, tags: ['river'] },
  },
  {
    kind: 'companion',
    form: 'gems',
    name: 'Fair-day gems',
    hex: '#d8b84a',
    left: 140,
    facts: { dormant: { purpose: 'the school fair', wakeOn: '2026-05-01' } },
  },
  {
    kind: 'cardstock',
    form: 'sheet-letter',
    name: 'Quiet White',
    hex: '#f6f4ee',
    left: 42,
    facts: {
      attributes: {
        paper: 'plain',
        surface: 'smooth',
        weight: { cgsm: 29_700, basis: 'cover' },
        goodFor: 'alcohol marker, stamping',
      },
    },
  },
  {
    kind: 'cardstock',
    form: 'pad-6',
    name: 'Orchard Walk',
    hex: '#b9a27a',
    left: 18,
    facts: { attributes: { paper: 'patterned', theme: 'orchard' }, otherHexes: ['#6f8f4e', '#c46a4a'] },
  },
];

/** The odds and ends as documents hold them, with their opening counts; `at` is ms since 1970. */
export function demoExtras(now: number): { supplies: Supply[]; ledger: Entry[] } {
  const at = new Date(now - 200 * DAY).toISOString();
  const supplies = ODDS.map(({ kind, form, name, hex, facts = {} }, i): Supply => ({
    id: `demo-odd-${String(i).padStart(3, '0')}`,
    version: 1,
    kind,
    form,
    name,
    maker: 'Plimmet Lane',
    range: '',
    code: '',
    hex,
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    number: 0,
    facts,
    createdAt: at,
    updatedAt: at,
    removedAt: null,
  }));
  const ledger = supplies.map(({ id }, i): Entry => ({
    id: `demo-odd-count-${String(i).padStart(3, '0')}`,
    supplyId: id,
    at,
    act: 'count',
    amount: null,
    items: ODDS[i]?.left === 0 ? 0 : 1,
    left: ODDS[i]?.left ?? 0,
    part: null,
    undoes: null,
  }));
  return { supplies, ledger };
}

/** A rack that is spare and kept in the loft. */
export const spareUnit = (position: number): StashDocument['units'][number] => ({
  ...unitRecordFrom('demo-spare-unit', 'F', position, {
    template: 'pad-rack',
    name: 'Narrow pad rack',
    rows: 8,
    columns: 3,
  }),
  facts: { standing: 'spare', keptAt: 'the loft' },
});
