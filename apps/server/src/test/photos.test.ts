import { existsSync, readdirSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import sharp from 'sharp';
import { photoProcesses } from '../jobs/photoProcesses';
import { BOMBS } from './bombs';
import { makeWorld, type World } from './world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
afterAll(() => world.close());

const send = (bytes: Buffer) =>
  world.http.post('/api/photos').set('Content-Type', 'application/octet-stream').send(bytes);
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 4, background: { r: 76, g: 154, b: 82, alpha: 1 } } });

/** Those of which the harmful part is never read. */
const HARMLESS: ReadonlySet<string> = new Set([
  'a small picture whose data inflates to much more',
  'a text chunk that inflates',
]);

test.each(BOMBS)(
  '%s is refused with a sentence, or does no harm, and takes little memory',
  async (what, bytes) => {
    const before = process.memoryUsage().rss;
    const since = Date.now();
    const { status, body } = await send(bytes);
    expect(status).toBe(HARMLESS.has(what) ? 200 : 422);
    if (status === 422) expect(body.title).toMatch(/picture/);
    expect(process.memoryUsage().rss - before).toBeLessThan(400e6);
    expect(Date.now() - since).toBeLessThan(10_000);
  },
);

test.each(['jpeg', 'png', 'webp'] as const)('a %s is kept as a JPEG of a bounded size', async (type) => {
  const { body } = await send(await picture(2400, 1200).toFormat(type).toBuffer()).expect(200);
  expect(body).toMatchObject({ width: 1600, height: 800 });
  const full = await world.http.get(`/api/photos/${body.id}`).expect(200);
  expect((await sharp(full.body as Buffer).metadata()).format).toBe('jpeg');
});

describe('the processes that read pictures', () => {
  let folder: string;
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'photo-process-'));
  });
  afterAll(() => rm(folder, { recursive: true, force: true }));
  const script = async (name: string, body: string): Promise<URL> => {
    const path = join(folder, `${name}.mjs`);
    await writeFile(
      path,
      `process.on('message', (bytes) => { ${body} }); process.on('disconnect', () => process.exit());`,
    );
    return pathToFileURL(path);
  };
  const MISCHIEF = `const what = String(Buffer.from(bytes));
    if (what === 'hang') for (;;);
    if (what === 'die') process.exit(1);
    if (what === 'eat') { globalThis.kept = []; setInterval(() => globalThis.kept.push(Buffer.alloc(40e6, 1)), 10); return; }
    process.send({ full: bytes, thumb: bytes, width: 1, height: 1 });`;

  test('one that hangs, dies or eats memory is ended; another picture does not wait for it, and the next one is read', async () => {
    const prepare = photoProcesses(await script('mischief', MISCHIEF), { mostMs: 1500, mostBytes: 300e6 });
    const since = Date.now();
    const bad = prepare(Buffer.from('hang'));
    expect(await prepare(Buffer.from('good'))).toMatchObject({ width: 1 });
    expect(Date.now() - since).toBeLessThan(1400);
    expect(await bad).toBe('unreadable');
    for (const what of ['die', 'eat']) expect(await prepare(Buffer.from(what))).toBe('unreadable');
    const many = await Promise.all(Array.from({ length: 6 }, (_, i) => prepare(Buffer.from(`good ${i}`))));
    expect(many.map((each) => typeof each)).toEqual(Array(6).fill('object'));
  });
});

test('what is kept is on disk whole, and a folder that takes nothing leaves nothing behind', async () => {
  const { body } = await send(await picture(30, 30).png().toBuffer()).expect(200);
  const names = readdirSync(join(world.folder, 'photos')).filter((name) =>
    name.startsWith(body.id as string),
  );
  expect(names.sort()).toEqual([`${body.id}.jpg`, `${body.id}.small.jpg`]);
  expect(readdirSync(join(world.folder, 'photos')).some((name) => name.endsWith('.part'))).toBe(false);
  expect(existsSync(join(world.folder, 'photos', `${body.id}.jpg`))).toBe(true);
});
