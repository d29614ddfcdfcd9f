import { problem, routes } from '@red-shelf/contract';
import fc from 'fast-check';
import { INK, makeWorld, type World } from './world';

let world: World;
beforeAll(async () => {
  world = await makeWorld();
});
afterAll(() => world.close());

/** Bodies that are wrong in every way, or nearly right. */
const body = fc.oneof(
  fc.object({ maxDepth: 3 }),
  fc.array(fc.anything({ maxDepth: 1 })),
  fc.record({
    ...Object.fromEntries(
      Object.entries(INK).map(([key, value]) => [
        key,
        fc.oneof(fc.constant(value), fc.jsonValue({ maxDepth: 1 })),
      ]),
    ),
    version: fc.oneof(fc.constant(1), fc.jsonValue({ maxDepth: 1 })),
    act: fc.oneof(fc.constantFrom('use', 'buy', 'count', 'refill', 'discard', 'undo'), fc.string()),
    amount: fc.oneof(fc.integer(), fc.double(), fc.string()),
    kinds: fc.array(fc.oneof(fc.constant('ink'), fc.string())),
    unitIds: fc.array(fc.string()),
    mapping: fc.dictionary(fc.constantFrom('name', 'colour', 'x'), fc.oneof(fc.integer(), fc.string())),
    defaults: fc.record({ kind: fc.oneof(fc.constant('ink'), fc.string()) }),
    place: fc.oneof(fc.constant(null), fc.record({ unitId: fc.string(), cell: fc.integer() })),
  }),
);
const id = fc
  .oneof(fc.constantFrom('nobody', "x' OR 1=1 --", '../../etc'), fc.string({ minLength: 1, maxLength: 80 }))
  .map(encodeURIComponent);
const route = fc.constantFrom(...Object.values(routes));

test('no route answers garbage with a 500, and every refusal is a problem with a sentence', async () => {
  await fc.assert(
    fc.asyncProperty(route, id, body, async ({ method, path }, someId, content) => {
      const url = path.replace(':id', someId);
      const request = {
        GET: world.http.get(url),
        POST: world.http.post(url),
        PUT: world.http.put(url),
        DELETE: world.http.delete(url),
      }[method];
      const { status, body: answer } = await (method === 'GET' || method === 'DELETE'
        ? request
        : request.send(JSON.stringify(content)).type('json'));
      expect(status).toBeLessThan(500);
      if (status >= 400) {
        expect(problem.safeParse(answer).success).toBe(true);
        expect((answer as { title: string }).title.length).toBeGreaterThan(8);
      }
    }),
    { numRuns: 400 },
  );
}, 120_000);

test('no file, however it is made, breaks the reading of lists or documents', async () => {
  const noise = fc.oneof(
    fc.uint8Array({ maxLength: 400 }).map((bytes) => Buffer.from(bytes)),
    fc
      .array(
        fc.constantFrom('Name', 'Colour', ',', ';', '\n', '"', '#333', 'é', '\t', '\r\n', '=1', '\u0000'),
        { maxLength: 60 },
      )
      .map((parts) => Buffer.from(parts.join(''))),
  );
  await fc.assert(
    fc.asyncProperty(noise, async (content) => {
      const list = await world.http
        .post('/api/imports')
        .set('Content-Type', 'application/octet-stream')
        .send(content);
      expect([200, 422]).toContain(list.status);
      if (list.status === 200) {
        const choices = { mapping: { name: 0, colour: 1 }, defaults: { kind: 'ink' } };
        expect((await world.http.post(`/api/imports/${list.body.id}/preview`).send(choices)).status).toBe(
          200,
        );
      }
      const document = await world.http
        .post('/api/restore')
        .set('Content-Type', 'application/json')
        .send(content.toString('latin1'));
      expect([400, 422]).toContain(document.status);
    }),
    { numRuns: 150 },
  );
}, 120_000);
