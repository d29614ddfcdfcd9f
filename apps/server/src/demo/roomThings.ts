import type { Facts, Kind } from '@red-shelf/core';
import { DemoLedger, type Supply } from './ledger';
import { BEAD_BOX, MM, PAPER_DRAWER, PEG_ROD, SILL_GUTTER, UPPER_TRAY } from './places';

const DAY = 86_400_000;

interface Thing {
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  readonly hex: string;
  readonly left: number;
  readonly facts?: Facts;
}

const spool = (name: string, hex: string): Thing => ({
  kind: 'ribbon',
  form: 'spool',
  name,
  hex,
  left: 9 * 1000 * MM,
  facts: { attributes: { spoolOuter: 92 * MM, bore: 22 * MM, width: 25_400, material: 'grosgrain' } },
});
const wound = (name: string, hex: string): Thing => ({
  kind: 'ribbon',
  form: 'card-wound',
  name,
  hex,
  left: 3 * 1000 * MM,
});
const sheets = (name: string, hex: string, left: number): Thing => ({
  kind: 'cardstock',
  form: 'sheet-letter',
  name,
  hex,
  left,
  facts: { attributes: { paper: 'plain' } },
});
const bits = (form: string, name: string, hex: string): Thing => ({
  kind: 'companion',
  form,
  name,
  hex,
  left: 80,
});

/** What lives in the places that came with the furniture, in turn. Names are invented. */
const LIVING: readonly (readonly [string, readonly Thing[]])[] = [
  [PEG_ROD, [spool('Chandlery', '#2f5d8c'), spool('Sluice Gate', '#3f7d5a'), spool('Oak Tannin', '#6b4a30')]],
  // Sun falls on these: they fade there.
  [SILL_GUTTER, [wound('Sail Red', '#b23a34'), wound('Pollen', '#e3b62f'), wound('Skylark', '#7fb4dd')]],
  [
    PAPER_DRAWER,
    [
      sheets('Kelp Board', '#53624a', 14),
      sheets('Shell Board', '#ead9c8', 22),
      sheets('Dusk Board', '#6d6a8c', 9),
    ],
  ],
  [BEAD_BOX, [bits('buttons', 'Quay buttons', '#c9a36a'), bits('beads', 'Rush beads', '#6f8f4e')]],
  [UPPER_TRAY, [bits('gems', 'Weir gems', '#9fd0d6'), bits('beads', 'Otter beads', '#7a4a2f')]],
];
/** Bought since, and longer than any place there is. */
const TOO_LONG: Thing = {
  kind: 'companion',
  form: 'tool',
  name: 'Long trimmer',
  hex: '#8a8d90',
  left: 1,
  facts: { size: { widthUm: 640 * MM, heightUm: 90 * MM, depthUm: 260 * MM } },
};

/** These things with their ledgers; `now` is ms since 1970. */
export function roomThings(now: number): DemoLedger[] {
  const ago = (days: number): string => new Date(now - days * DAY).toISOString();
  const all = [
    ...LIVING.flatMap(([unitId, things]) => things.map((thing, rank) => ({ thing, unitId, rank }))),
    { thing: TOO_LONG, unitId: null, rank: 0 },
  ];
  return all.map(({ thing, unitId, rank }, i) => {
    const { facts = {}, left, ...said } = thing;
    const at = ago(120);
    const key = String(i).padStart(3, '0');
    const supply: Supply = {
      ...said,
      id: `demo-room-${key}`,
      version: 1,
      maker: 'Plimmet Lane',
      range: '',
      code: '',
      finish: 'matte',
      familyOverride: null,
      familyReason: '',
      note: '',
      number: 0,
      facts,
      createdAt: at,
      updatedAt: at,
      removedAt: null,
    };
    let next = 0;
    const ledger = new DemoLedger(supply, () => `demo-room-count-${key}-${next++}`);
    ledger.act(at, { act: 'count', items: 1, left });
    if (unitId)
      ledger.place(ago(110), 'whole', {
        unitId,
        ...(unitId === BEAD_BOX ? { cell: rank, rank: 0 } : { cell: null, rank }),
      });
    return ledger;
  });
}
