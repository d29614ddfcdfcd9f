/** Documents and lists made to harm whoever reads them. */
import { Readable } from 'node:stream';
import { deflateRawSync } from 'node:zlib';
import yazl from 'yazl';
import type { StashDocument } from '../../packages/contract/src/index.ts';
import { bigRoom } from '../big/room.mts';

const head = (formatVersion: number) => ({
  format: 'red-shelf',
  formatVersion,
  exportedAt: '2026-01-01T00:00:00.000Z',
  roomName: 'x',
});
const of = (formatVersion: number, lists: Readonly<Record<string, string>>): Buffer =>
  Buffer.from(
    `${JSON.stringify(head(formatVersion)).slice(0, -1)},${Object.entries(lists)
      .map(([name, text]) => `"${name}":${text}`)
      .join(',')}}`,
  );
const empties = (n: number): string => `[${'{},'.repeat(n - 1)}{}]`;
const none = { units: '[]', supplies: '[]', placements: '[]', records: '[]' };

export const DOCUMENTS: readonly (readonly [what: string, bytes: () => Buffer])[] = [
  ['two million empty ledger lines', () => of(2, { ...none, ledger: empties(2_000_000) })],
  [
    'two million empty events',
    () => of(4, { units: '[]', supplies: '[]', holdings: '[]', records: '[]', events: empties(2_000_000) }),
  ],
  ['twenty million brackets', () => Buffer.alloc(20_000_000, '[')],
  ['five million objects in one another', () => Buffer.from('{"a":'.repeat(5_000_000))],
  ['sixty megabytes of one text', () => of(4, { ...none, name: `"${'x'.repeat(60_000_000)}"` })],
  ['no JSON at all', () => Buffer.alloc(8_000_000, 'nonsense ')],
];

const EDGES = [Number.MAX_SAFE_INTEGER, -Number.MAX_SAFE_INTEGER, 2 ** 53, 2 ** 63, 1e308, -1, 0.5];

/** A small good document with one number in it at the edge of what numbers are, for every number in it. */
export function* edgeDocuments(): Generator<readonly [what: string, document: StashDocument]> {
  const small = bigRoom(2);
  const paths: (readonly (string | number)[])[] = [];
  const walk = (value: unknown, path: readonly (string | number)[]): void => {
    if (typeof value === 'number') paths.push(path);
    else if (value && typeof value === 'object')
      for (const [key, each] of Object.entries(value)) walk(each, [...path, key]);
  };
  walk(small, []);
  for (const path of paths)
    for (const edge of EDGES) {
      const document = structuredClone(small);
      const last = path.at(-1)!;
      const owner = path.slice(0, -1).reduce((at: never, key) => at[key as never], document as never);
      (owner as Record<string, number>)[last] = edge;
      yield [`${path.join('.')} = ${edge}`, document];
    }
}

export const LISTS: readonly (readonly [what: string, bytes: () => Buffer])[] = [
  ['98 KB of blank lines', () => Buffer.from(`name,colour\nFern,#444444${'\n'.repeat(98_000)}`)],
  ['a colour of 98 KB', () => Buffer.from(`name,colour\nFern,"rgb(${'1'.repeat(98_000)}"\n`)],
  ['8 MB of commas', () => Buffer.alloc(8_000_000, ',')],
  ['8 MB of open quotes', () => Buffer.from(`name,colour\n${'"a\n'.repeat(2_600_000)}`)],
  ['8 MB of quotes', () => Buffer.alloc(8_000_000, '"')],
  [
    '20,000 rows',
    () =>
      Buffer.from(
        `name,colour\n${Array.from({ length: 20_000 }, (_, i) => `Thing ${i},#${(i * 37).toString(16).padStart(6, '0')}`).join('\n')}`,
      ),
  ],
];

const zipped = async (fill: (zip: yazl.ZipFile) => void): Promise<Buffer> => {
  const zip = new yazl.ZipFile();
  fill(zip);
  zip.end();
  const parts: Buffer[] = [];
  for await (const part of zip.outputStream as Readable) parts.push(part as Buffer);
  return Buffer.concat(parts);
};

/** Backups that are none: a gigabyte in a few kilobytes, ways out of the folder, half a file, nothing inside. */
export const BACKUPS: readonly (readonly [what: string, bytes: () => Promise<Buffer>])[] = [
  [
    'a document of a gigabyte in a small zip',
    async () => {
      const zip = await zipped((each) => each.addBuffer(Buffer.alloc(200_000_000), 'stash.json'));
      return zip;
    },
  ],
  [
    'a zip that says its document is small',
    async () => {
      const zip = await zipped((each) => each.addBuffer(Buffer.alloc(50_000_000), 'stash.json'));
      // The size it claims, in the directory at the end.
      const at = zip.indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
      zip.writeUInt32LE(10, at + 24);
      return zip;
    },
  ],
  [
    'pictures that would lie elsewhere',
    () =>
      zipped((each) => {
        each.addBuffer(Buffer.from('x'), 'photos/a.jpg');
        each.addBuffer(deflateRawSync(Buffer.from('x')), 'photos/b.jpg');
        each.addBuffer(Buffer.from('{}'), 'stash.json');
      }),
  ],
  [
    'half a zip',
    async () => (await zipped((each) => each.addBuffer(Buffer.alloc(9000, 7), 'stash.json'))).subarray(0, 90),
  ],
  [
    'sixty pictures that inflate to 29 MB each, and an empty document',
    () => {
      const picture = Buffer.alloc(29_000_000);
      picture.set([0xff, 0xd8, 0xff]);
      return zipped((each) => {
        for (let i = 0; i < 60; i++) each.addBuffer(picture, `photos/${i.toString(16).padStart(8, '0')}.jpg`);
        each.addBuffer(Buffer.from('{}'), 'stash.json');
      });
    },
  ],
  ['a zip without a document', () => zipped((each) => each.addBuffer(Buffer.from('x'), 'notes.txt'))],
];
