/**
 * Attacks a server of its own on loopback, with everything that once stopped, froze or broke one, and prints a line for
 * each: the longest wait of a health request meanwhile, the most memory held, answers that are the server's own fault.
 * Ends with 1 where a limit was passed. Needs the server built (npm run demo builds it).
 *   npx tsx scripts/attack.mts [how many requests] [how many supplies in the largest document] [only those named so] [seed]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BOMBS } from '../apps/server/src/test/bombs.ts';
import { startServer } from '../apps/server/src/test/startServer.ts';
import {
  besideIt,
  brokenDownloads,
  leftPreviews,
  noHandles,
  otherSpellings,
  takenAway,
} from './attack/broken.mts';
import { BACKUPS, DOCUMENTS, edgeDocuments, LISTS } from './attack/documents.mts';
import { requestsOf, type Asked } from './attack/requests.mts';
import { watching } from './attack/watch.mts';
import { bigRoom } from './big/room.mts';

const [REQUESTS, LARGEST] = [20_000, 100_000].map((usual, i) => Number(process.argv[i + 2] ?? usual));
const ONLY = process.argv[4] ?? '';
const SEED = Number(process.argv[5] ?? 11);
const MOST_WAIT_MS = 500;
const MOST_HELD = 1024 ** 3;

const folder = mkdtempSync(join(tmpdir(), 'red-shelf-attack-'));
const db = join(folder, 'stash.db');
const { process: server, url } = await startServer(['apps/server/dist/main.js'], {
  cwd: process.cwd(),
  db,
});
let over = false;
server.once('exit', (code, signal) => over || console.log(`  the server ended with ${code ?? signal}`));
const watch = watching({ url, pid: server.pid! });
const agent = new Agent({ keepAlive: true, maxSockets: 16 });
interface Answer {
  readonly status: number;
  readonly text: string;
}
function send(
  method: string,
  path: string,
  body?: Buffer | string,
  headers: Readonly<Record<string, string>> = {},
): Promise<Answer> {
  return new Promise((resolve) => {
    const type = body === undefined ? {} : { 'Content-Type': 'application/json' };
    try {
      const asked = request(url + path, { method, agent, headers: { ...type, ...headers } }, (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('error', () => resolve({ status: 0, text: '' }));
        response.on('end', () =>
          resolve({ status: response.statusCode ?? 0, text: Buffer.concat(parts).toString() }),
        );
      });
      asked.on('error', (error) => resolve({ status: 0, text: error.message }));
      asked.end(body);
    } catch {
      // What Node itself does not send cannot hurt.
      resolve({ status: -1, text: '' });
    }
  });
}

let failed = 0;
/** `all`: what every answer has to be, where that is known. */
async function attack(what: string, work: () => Promise<readonly Answer[]>, all?: number): Promise<void> {
  if (!what.includes(ONLY)) return;
  await watch.since();
  const since = performance.now();
  const answers = await work();
  const took = (performance.now() - since) / 1000;
  const { wait, held, most, heldInAll } = await watch.since();
  const own = answers.filter(({ status }) => status >= 500 || status === 0 || status !== (all ?? status));
  const bad = wait > MOST_WAIT_MS || heldInAll > MOST_HELD || own.length > 0;
  if (bad) failed++;
  const counts = new Map<number, number>();
  for (const { status } of answers) counts.set(status, (counts.get(status) ?? 0) + 1);
  const said = [...counts]
    .sort(([a], [b]) => a - b)
    .map(([status, n]) => (answers.length === 1 ? status : `${status}×${n}`));
  const mb = (bytes: number) => `${Math.round(bytes / 1024 ** 2)} MB`;
  console.log(
    `${bad ? 'FAILED ' : ''}${what}: health waited ${wait.toFixed(0)} ms at most, ${mb(held)} held (${mb(most)} by the largest process, ${mb(heldInAll)} with all it started), answered ${said.join(' ')} in ${took.toFixed(1)} s`,
  );
  for (const { status, text } of own.slice(0, 3)) console.log(`  ${status} ${text.slice(0, 200)}`);
}
const post = (path: string, body: Buffer | string) => send('POST', path, body);
const bytes = { 'Content-Type': 'application/octet-stream' };

try {
  for (const [what, picture] of BOMBS)
    await attack(`picture: ${what}`, async () => [await send('POST', '/api/photos', picture, bytes)]);
  for (const [what, list] of LISTS)
    await attack(`list: ${what}`, async () => {
      const uploaded = await send('POST', '/api/imports', list(), bytes);
      if (uploaded.status !== 200) return [uploaded];
      const { id } = JSON.parse(uploaded.text) as { id: string };
      const choices = JSON.stringify({ mapping: { name: 0, colour: 1 }, defaults: { kind: 'ink' } });
      return [uploaded, await post(`/api/imports/${id}/preview`, choices)];
    });
  for (const [what, document] of DOCUMENTS)
    await attack(`document: ${what}`, async () => [await post('/api/restore', document())]);
  for (const [what, backup] of BACKUPS)
    await attack(`backup: ${what}`, async () => [await post('/api/restore', await backup())]);
  await attack('documents with a number at the edge of numbers', async () => {
    const answers: Answer[] = [];
    let n = 0;
    for (const [, document] of edgeDocuments()) {
      const restored = await post('/api/restore', JSON.stringify(document));
      answers.push(restored);
      // What was let in must be shown, written out, taken in again and taken back.
      if (restored.status === 200 && n++ % 4 === 0) {
        for (const path of ['/api/wall', '/api/supplies', '/api/export.csv'])
          answers.push(await send('GET', path));
        const written = await send('GET', '/api/export.json');
        answers.push(written, await post('/api/restore', written.text));
        const { change } = JSON.parse(answers.at(-1)!.text) as { change: { id: string } };
        answers.push(await post(`/api/changes/${change.id}/undo`, '{}'));
      }
    }
    return answers;
  });
  let large: Answer | undefined;
  await attack(
    `a document of ${LARGEST} supplies`,
    async () => [(large = await post('/api/restore', JSON.stringify(bigRoom(LARGEST))))],
    200,
  );
  await attack(`the list of them`, async () => [{ ...(await send('GET', '/api/supplies')), text: '' }], 200);
  await attack(
    `taking a document of ${LARGEST} supplies back`,
    async () => {
      const { change } = JSON.parse(large?.text ?? '{}') as { change?: { id: string } };
      return [await post(`/api/changes/${change?.id}/undo`, '{}')];
    },
    200,
  );
  await post('/api/restore', JSON.stringify(bigRoom(300)));
  await attack(`${REQUESTS} requests of every route`, async () => {
    const listed = JSON.parse((await send('GET', '/api/supplies')).text) as { supplies: { id: string }[] };
    const asked = requestsOf(REQUESTS, SEED, [
      ...listed.supplies.slice(0, 20).map(({ id }) => id),
      'room',
      'preferences',
    ]);
    const answers: Answer[] = [];
    const next = async (): Promise<void> => {
      for (let one: Asked | undefined = asked.pop(); one; one = asked.pop()) {
        const answer = await send(one.method, one.path, one.body, one.headers);
        answers.push(
          answer.status >= 500
            ? {
                ...answer,
                text: `${one.method} ${one.path} ${one.body?.slice(0, 300)} ${JSON.stringify(one.headers)}: ${answer.text}`,
              }
            : { ...answer, text: '' },
        );
      }
    };
    await Promise.all(Array.from({ length: 8 }, next));
    return answers;
  });
  await attack('downloads broken off, of every streaming route', () => brokenDownloads(url));
  await attack('previews whose clients have left', () => leftPreviews(url));
  await attack('capitals and slashes on every guarded route', () => otherSpellings(url));
  await attack('a second server and a seeding beside it, over links', () =>
    Promise.resolve(besideIt(db, folder)),
  );
  await attack('no file handle left', () => noHandles(url, server.pid!));
  await attack('the file taken away', () => takenAway(url, db));
} finally {
  over = true;
  await watch.end();
  server.kill();
  agent.destroy();
  rmSync(folder, { recursive: true, force: true });
}
console.log(failed === 0 ? 'Nothing was passed.' : `${failed} attacks passed a limit.`);
process.exit(failed === 0 ? 0 : 1);
