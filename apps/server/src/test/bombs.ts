import { crc32, deflateSync } from 'node:zlib';

/** Pictures that are made to harm whoever reads them, by what they do. */

const chunk = (type: string, data: Buffer): Buffer => {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc32(body));
  return Buffer.concat([length, body, sum]);
};
const header = (width: number, height: number): Buffer => {
  const data = Buffer.from([0, 0, 0, 0, 0, 0, 0, 0, 8, 2, 0, 0, 0]);
  data.writeUInt32BE(width, 0);
  data.writeUInt32BE(height, 4);
  return chunk('IHDR', data);
};
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const END = chunk('IEND', Buffer.alloc(0));
const png = (...chunks: readonly Buffer[]): Buffer => Buffer.concat([PNG, ...chunks, END]);
const zeros = (bytes: number): Buffer => chunk('IDAT', deflateSync(Buffer.alloc(bytes), { level: 9 }));

export const BOMBS: readonly (readonly [what: string, bytes: Buffer])[] = [
  ['16 bytes of an icon', Buffer.from('69636e73000000106963303700000000', 'hex')],
  ['44 bytes of a camera’s own format', Buffer.from(`0000001c${'66747970'}6d696631`.padEnd(88, '0'), 'hex')],
  ['two headers, the second one huge', png(header(10, 10), header(50_000, 50_000), zeros(400))],
  ['one pixel wide, fifty million high', png(header(1, 50_000_000), zeros(1000))],
  ['more pixels than any phone takes', png(header(10_000, 10_000), zeros(1000))],
  ['a small picture whose data inflates to much more', png(header(64, 64), zeros(64 * 1024 * 1024))],
  [
    'a text chunk that inflates',
    png(
      header(8, 8),
      chunk(
        'zTXt',
        Buffer.concat([Buffer.from('a\0\0', 'latin1'), deflateSync(Buffer.alloc(32 * 1024 * 1024))]),
      ),
      zeros(8 * 25),
    ),
  ],
  ['half a JPEG', Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]), Buffer.alloc(3000, 7)])],
  ['an empty WebP', Buffer.from('RIFF\0\0\0\0WEBPVP8 ', 'latin1')],
];
