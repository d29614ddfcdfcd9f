import { evenGrid, KINDS, ROOM_ID } from '../../packages/core/src/index.ts';
import { DOCUMENT_VERSION, rootUnits, type StashDocument } from '../../packages/contract/src/index.ts';
import { randomStream } from '../../apps/server/src/demo/random.ts';

const AT = '2026-01-01T00:00:00.000Z';
const MOVED = '2026-01-02T00:00:00.000Z';
const [ROWS, COLUMNS, ON_A_PIECE] = [10, 5, 5];
const MM = 1000;
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** A room of so many pad racks of 50 slots, five on each board, every slot filled. */
export function bigWall(racks: number): StashDocument {
  const random = randomStream(7);
  const hex = (): string =>
    `#${Math.floor(random() * 0x1000000)
      .toString(16)
      .padStart(6, '0')}`;
  const boards = Array.from({ length: Math.ceil(racks / ON_A_PIECE) }, (_, i) => ({
    id: `board-${i}`,
    version: 1,
    parentId: ROOM_ID,
    sort: 'piece' as const,
    position: i,
    label: '',
    name: `Board ${i + 1}`,
    model: null,
    rules: { kinds: [...KINDS] },
    facts: { outsideUm: { widthUm: 600 * MM, heightUm: 1500 * MM, depthUm: 200 * MM } },
    removedAt: null,
  }));
  const units = Array.from({ length: racks }, (_, i) => ({
    id: `rack-${i}`,
    version: 1,
    parentId: `board-${Math.floor(i / ON_A_PIECE)}`,
    sort: 'unit' as const,
    position: i,
    label: `${LETTERS[Math.floor(i / 26) - 1] ?? ''}${LETTERS[i % 26] ?? ''}`,
    name: 'Pad rack',
    model: evenGrid(
      ROWS,
      COLUMNS,
      { widthUm: 102 * MM, heightUm: 22 * MM, depthUm: 70 * MM },
      { wallUm: 4 * MM },
    ),
    rules: { kinds: ['ink' as const] },
    facts: { template: 'pad-rack' },
    removedAt: null,
  }));
  const cells = units.flatMap((unit) =>
    Array.from({ length: ROWS * COLUMNS }, (_, cell) => ({ unitId: unit.id, cell, rank: 0 })),
  );
  const supplies = cells.map((_, i): StashDocument['supplies'][number] => ({
    id: `pad-${i}`,
    version: 1,
    kind: 'ink',
    form: 'full-pad',
    name: `Pad ${i}`,
    maker: 'Osselwick',
    range: '',
    code: String(1000 + i),
    hex: hex(),
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    number: i + 1,
    facts: {},
    createdAt: AT,
    updatedAt: AT,
    removedAt: null,
  }));
  const event = (i: number, more: object) => ({ supplyId: `pad-${i}`, recordedAt: AT, at: AT, ...more });
  return {
    format: 'red-shelf',
    formatVersion: DOCUMENT_VERSION,
    exportedAt: AT,
    units: [...rootUnits('Big wall'), ...boards, ...units],
    supplies,
    holdings: cells.map((spot, i) => ({
      id: `pad-${i}-whole`,
      version: 1,
      supplyId: `pad-${i}`,
      as: 'whole' as const,
      sizeUm: null,
      spot,
    })),
    events: [
      ...cells.map((_, i) =>
        event(i, {
          id: `count-${i}`,
          act: 'count',
          of: 'whole',
          items: 1,
          left: 60,
          postings: [{ holdingId: `pad-${i}-whole`, items: 1, left: 60, how: 'to' }],
          shifts: [],
        }),
      ),
      ...cells.map((spot, i) =>
        event(i, {
          id: `move-${i}`,
          at: MOVED,
          recordedAt: MOVED,
          act: 'move',
          postings: [],
          shifts: [{ holdingId: `pad-${i}-whole`, from: null, to: spot }],
        }),
      ),
    ] as StashDocument['events'],
    records: [],
  };
}
