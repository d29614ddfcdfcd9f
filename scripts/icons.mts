/**
 * Draws the app's icons: threads of colour standing on a red shelf.
 *   npx tsx scripts/icons.mts
 */
import sharp from 'sharp';
import { at } from './lib.mjs';

const THREADS = ['#c23b42', '#df7f33', '#efcb57', '#4f9a58', '#35979a', '#3f74b8', '#7d5aa6', '#e284a8'];
const HIGH = [0.7, 0.86, 0.62, 0.92, 0.78, 0.66, 0.88, 0.74];

/** The drawing in a square of `size`, with so much of it left free around. */
function drawing(size: number, free: number): string {
  const inside = size * (1 - 2 * free);
  const [left, shelf, lip] = [size * free, size * (1 - free) - inside * 0.1, inside * 0.08];
  const step = inside / THREADS.length;
  const threads = THREADS.map((hex, i) => {
    const high = (HIGH[i] ?? 1) * inside * 0.86;
    return `<rect x="${left + i * step + step * 0.08}" y="${shelf - high}" width="${step * 0.84}" height="${high}" rx="${step * 0.12}" fill="${hex}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}"><rect width="${size}" height="${size}" fill="#f4f4f2"/>${threads.join('')}<rect x="${left}" y="${shelf}" width="${inside}" height="${lip}" fill="#a3231f"/></svg>`;
}

for (const [name, size, free] of [
  ['icon-192', 192, 0.1],
  ['icon-512', 512, 0.1],
  ['icon-maskable-512', 512, 0.22],
] as const)
  await sharp(Buffer.from(drawing(size, free)))
    .png({ compressionLevel: 9 })
    .toFile(at(`apps/web/public/${name}.png`));
