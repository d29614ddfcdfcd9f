import { gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { makeWorld, type World } from './world';

let world: World;
let photo: string;
beforeAll(async () => {
  world = await makeWorld();
  const bytes = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#333' } })
    .png()
    .toBuffer();
  const kept = await world.http
    .post('/api/photos')
    .set('Content-Type', 'application/octet-stream')
    .send(bytes)
    .expect(200);
  photo = `/api/photos/${kept.body.id}`;
});
afterAll(() => world.close());

test.each([
  [
    'a header that asks for another state',
    () => world.http.get('/api/supplies').set('If-Match', '"no such"'),
  ],
  ['a header that asks for nothing that is', () => world.http.get('/api/supplies').set('If-None-Match', '*')],
  ['an impossible range of the list', () => world.http.get('/api/supplies').set('Range', 'bytes=9999999-')],
  ['an impossible range of a file', () => world.http.get('/api/export.json').set('Range', 'bytes=9-1')],
  ['a photo as it is not', () => world.http.get(photo).set('If-Match', '"other"')],
  ['a range behind the end of a photo', () => world.http.get(photo).set('Range', 'bytes=99999999-')],
  ['an object where a text is due', () => world.http.post('/api/colour-names').send({ query: { a: 1 } })],
  ['a list where an object is due', () => world.http.post('/api/supplies').send([1, 2])],
  [
    'half a character',
    () =>
      world.http
        .post('/api/supplies')
        .send('{"kind":"ink","form":"full-pad","name":"\\ud83d","hex":"#333"}')
        .set('Content-Type', 'application/json'),
  ],
  [
    'a broken gzip',
    () =>
      world.http
        .post('/api/supplies')
        .set('Content-Encoding', 'gzip')
        .set('Content-Type', 'application/json')
        .send(gzipSync('{}').subarray(0, 12) as never),
  ],
  [
    'a deflate that is none',
    () =>
      world.http
        .post('/api/restore')
        .set('Content-Encoding', 'deflate')
        .set('Content-Type', 'application/json')
        .send('hello'),
  ],
  ['an id with a null', () => world.http.get('/api/supplies/%00')],
  ['an id of half a character', () => world.http.get('/api/supplies/%ed%a0%80')],
  ['a number no number is', () => world.http.get('/api/since/1e400')],
  [
    'two records of one id',
    async () => {
      const document = (await world.http.get('/api/export.json')).body as { records: object[] };
      const at = '2026-05-31T10:00:00.000Z';
      const record = {
        id: 'r',
        version: 1,
        createdAt: at,
        updatedAt: at,
        removedAt: null,
        body: { sort: 'group', what: 'kit', name: 'A' },
      };
      return world.http.post('/api/restore').send({ ...document, records: [record, record] });
    },
  ],
] as const)('%s is answered with a sentence', async (_, ask) => {
  const { status, body, text } = await ask();
  expect({ status, text: String(text).slice(0, 300) }).not.toMatchObject({ status: 500 });
  if (status >= 400) expect(body.title).toMatch(/^[A-Z“].*[.)]$|^Invalid input: expected/s);
  if (/gzip|deflate/.test(_)) expect(body.title).toMatch(/compressed/);
});
