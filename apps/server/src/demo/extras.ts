import { NO_COLOUR, type Facts, type Kind } from '@red-shelf/core';
import { DemoLedger, type Supply } from './ledger';
import { CUPBOARD, ODDS_DRAWER, SCRAP_POCKET } from './units';

const DAY = 86_400_000;

interface Odd {
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  /** Left out where it has none. */
  readonly hex?: string;
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
    left: 1,
    facts: { attributes: { theme: 'river', number: '17' } },
  },
  {
    kind: 'companion',
    form: 'die',
    name: 'Heron outline',
    left: 1,
    facts: { attributes: { theme: 'river', number: '17' } },
  },
  {
    kind: 'companion',
    form: 'stamp',
    name: 'Otter pair',
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
  // Let go in the spring: its history stays, it asks for nothing any more.
  {
    kind: 'companion',
    form: 'punch',
    name: 'Scallop punch',
    left: 1,
    facts: { status: 'gone' },
  },
];

/** The odds and ends with their ledgers; `now` is ms since 1970. Many of them lie in one drawer. */
export function demoExtras(now: number): DemoLedger[] {
  const ago = (days: number): string => new Date(now - days * DAY).toISOString();
  const at = ago(200);
  return ODDS.map(({ kind, form, name, hex, left, facts = {} }, i): DemoLedger => {
    const id = `demo-odd-${String(i).padStart(3, '0')}`;
    const supply: Supply = {
      id,
      version: 1,
      kind,
      form,
      name,
      maker: 'Plimmet Lane',
      range: '',
      code: '',
      hex: hex ?? NO_COLOUR,
      finish: 'matte',
      familyOverride: hex ? null : 'none',
      familyReason: '',
      note: '',
      number: 0,
      facts,
      createdAt: at,
      updatedAt: at,
      removedAt: null,
    };
    let next = 0;
    const ledger = new DemoLedger(supply, () => `demo-odd-count-${String(i).padStart(3, '0')}-${next++}`);
    ledger.act(at, { act: 'count', items: left === 0 ? 0 : 1, left });
    live(ledger, ago, i);
    return ledger;
  });
}

const IN_DRAWER: ReadonlySet<string> = new Set(['foam', 'stamp', 'die', 'gems', 'made']);

/** What happened to single odds and ends since. */
function live(ledger: DemoLedger, ago: (days: number) => string, i: number): void {
  const { name, form, facts } = ledger.supply;
  if (facts.status === 'gone') {
    ledger.act(ago(60), { act: 'discard', amount: 1 });
    return;
  }
  if (IN_DRAWER.has(form)) ledger.place(ago(150), 'whole', { unitId: ODDS_DRAWER, cell: null, rank: i });
  if (name === 'Quiet White') {
    // In three places: sheets at hand, packs in the cupboard, scraps in the pocket.
    ledger.act(ago(120), { act: 'buy', of: 'pack', amount: 2, price: { minor: 640, currency: 'EUR' } });
    ledger.act(ago(90), {
      act: 'cut',
      amount: 2,
      items: 3,
      left: 4,
      baseSize: { widthUm: 105_000, heightUm: 148_000 },
      scrapSize: { widthUm: 110_000, heightUm: 60_000 },
    });
    ledger.place(ago(80), 'pack', { unitId: CUPBOARD, cell: null, rank: 0 });
    ledger.place(ago(80), 'scrap', { unitId: SCRAP_POCKET, cell: null, rank: 0 });
  }
  if (name === 'Orchard Walk') {
    // Sheets leave the pad one at a time: it wants to be broken up.
    for (const days of [70, 44, 31, 12]) ledger.act(ago(days), { act: 'use', amount: 1 });
    ledger.place(ago(75), 'whole', { unitId: CUPBOARD, cell: null, rank: 1 });
  }
}
