import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { colourDifference } from '@red-shelf/core';
import sharp from 'sharp';
import { makeWorld, type World } from './world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
afterAll(() => world.close());

const plain = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } });

/** A JPEG with an Exif block that says "turned a quarter" and where it was taken. */
async function phonePhoto(): Promise<Buffer> {
  const jpeg = await plain(80, 40, '#ff0000').jpeg().toBuffer();
  const tiff = Buffer.from([
    ...[0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 2],
    ...[0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0],
    ...[0x88, 0x25, 0, 4, 0, 0, 0, 1, 0, 0, 0, 38],
    ...[0, 0, 0, 0],
    ...[0, 1, 0, 1, 0, 2, 0, 0, 0, 2, 0x4e, 0, 0, 0, 0, 0, 0, 0],
  ]);
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(2)]);
}
const send = (bytes: Buffer) =>
  world.http.post('/api/photos').set('Content-Type', 'application/octet-stream').send(bytes);

test('a photo is kept upright, with a thumbnail, and without where it was taken', async () => {
  const given = await phonePhoto();
  expect(given.includes('Exif')).toBe(true);
  const { body } = await send(given).expect(200);
  expect(body).toMatchObject({ width: 40, height: 80 });
  expect(readdirSync(join(world.folder, 'photos')).sort()).toEqual([
    `${body.id}.jpg`,
    `${body.id}.small.jpg`,
  ]);
  const full = await world.http.get(`/api/photos/${body.id}`).expect(200);
  expect(full.headers['content-type']).toBe('image/jpeg');
  expect((full.body as Buffer).includes('Exif')).toBe(false);
  const small = await world.http.get(`/api/photos/${body.id}/small`).expect(200);
  const thumb = await sharp(small.body as Buffer).metadata();
  expect(thumb.height).toBeLessThanOrEqual(240);
});

test.each([
  ['nothing', Buffer.alloc(0)],
  ['a text', Buffer.from('GIF of my cat, honest')],
  ['half a photo', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 1, 2, 3])],
])('%s is refused with a sentence', async (_, bytes) => {
  const { status, body } = await send(bytes);
  expect(status).toBe(422);
  expect(body.title).toMatch(/picture|file is empty/);
});

test('a picture of another sort is refused, and photos that are not there are 404', async () => {
  const gif = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
  expect((await send(gif)).body.title).toMatch(/Choose a JPEG, PNG or WebP file/);
  await world.http.get('/api/photos/nobody').expect(404);
  await world.http.get('/api/photos/..%2f..%2fstash').expect(404);
});

test('the colour reader is noisy like a real one, and three readings are better than one', async () => {
  const read = async (): Promise<string> =>
    (await world.http.post('/api/devices/reader').send({ on: '#4c9a52' }).expect(200)).body.hex;
  const readings = await Promise.all(Array.from({ length: 60 }, read));
  const off = readings.map((hex) => colourDifference(hex, '#4c9a52'));
  expect(Math.max(...off)).toBeGreaterThan(0.1);
  expect(off.reduce((sum, d) => sum + d, 0) / off.length).toBeLessThan(2);
  await world.http.post('/api/devices/reader').send({ on: 'green' }).expect(422);
});

test('the scanner reaches owned things and strangers', async () => {
  await world.add({ facts: { barcode: '4006381333931' } });
  const { body } = await world.http.get('/api/devices/scanner').expect(200);
  expect(body.things[0]).toEqual({ label: 'Fern Gate', barcode: '4006381333931' });
  expect(body.things.length).toBeGreaterThan(1);
});

test('colour names are suggested, the closest wording first', async () => {
  const { body } = await world.http.post('/api/colour-names').send({ query: 'forest green' }).expect(200);
  expect(body.names[0].name.toLowerCase()).toBe('forest green');
  const ask = async (query: string) =>
    (await world.http.post('/api/colour-names').send({ query })).body.names;
  expect(await ask(' ')).toEqual([]);
  expect((await ask('unheard of salmon pink'))[0].name).toBe('Salmon Pink');
});

test('colours called just so are found, many at once; other words are no colours', async () => {
  const { body } = await world.http
    .post('/api/colour-names/called')
    .send({ names: ['dusty rose', 'Not A Colour At All', 'Petrol'] })
    .expect(200);
  expect(body.names.map(({ name }: { name: string }) => name)).toEqual(['Dusty Rose', 'Petrol']);
});

test('a range file is read into a checklist or refused', async () => {
  const send = (text: string) =>
    world.http.post('/api/ranges/read').set('Content-Type', 'text/csv').send(text);
  const { body } = await send('name,hex,code\nFern,#4c9a52,1\nBad,none,2\n').expect(200);
  expect(body).toEqual({ name: '', entries: [{ name: 'Fern', code: '1', hex: '#4c9a52' }], leftOut: 1 });
  expect((await send('a,b\n1,2\n').expect(422)).body.title).toMatch(/needs a column/);
});
