/** What a client that hangs up, or a person with a file manager, does to a server: each answers what came of it, as a status. */
import { spawnSync } from 'node:child_process';
import { existsSync, linkSync, readdirSync, rmSync, symlinkSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { fileRoutes, routes } from '../../packages/contract/src/index.ts';
import { askAndLeave } from './leave.mts';

interface Seen {
  readonly status: number;
  readonly text: string;
}
const as = (good: boolean, text: string): Seen => ({ status: good ? 200 : 0, text });
const asks = async (url: string, path: string): Promise<Seen> => {
  const answer = await fetch(url + path).catch(() => null);
  return { status: answer?.status ?? 0, text: (await answer?.text().catch(() => '')) ?? '' };
};
const isAlive = async (url: string): Promise<Seen> => ({
  ...(await asks(url, '/api/health')),
  text: 'health',
});

/** Every streaming route, hung up on after so many milliseconds. */
export async function brokenDownloads(url: string): Promise<Seen[]> {
  const streaming = [fileRoutes.backup, fileRoutes.exportJson, fileRoutes.exportCsv, routes.listSupplies];
  const { port } = new URL(url);
  const hangUp = (path: string, afterMs: number) =>
    new Promise<void>((done) => {
      const socket = connect(Number(port), '127.0.0.1', () => {
        socket.write(`GET ${path} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\n\r\n`);
        setTimeout(() => done(void socket.destroy()), afterMs);
      });
      socket.on('error', () => done());
    });
  for (const afterMs of [0, 1, 2, 5, 10, 20, 50, 100, 200])
    await Promise.all(streaming.map(({ path }) => hangUp(path, afterMs)));
  return [await isAlive(url)];
}

/** Previews of a list whose clients have left: the next export does not wait for them. */
export async function leftPreviews(url: string): Promise<Seen[]> {
  const rows = Array.from(
    { length: 5000 },
    (_, i) => `Thing ${i},#${(i * 37).toString(16).padStart(6, '0')}`,
  );
  const upload = await fetch(`${url}/api/imports`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: `name,colour\n${rows.join('\n')}`,
  });
  const { id, mapping } = (await upload.json()) as { id: string; mapping: object };
  const asked = { mapping, defaults: { kind: 'ink' } };
  const leave = () => askAndLeave(`${url}/api/imports/${id}/preview`, asked, 200);
  await Promise.all(Array.from({ length: 8 }, leave));
  const begun = performance.now();
  const written = await asks(url, '/api/export.csv');
  const took = performance.now() - begun;
  return [as(written.status === 200 && took < 5000, `an export after them took ${took.toFixed(0)} ms`)];
}

/** Capitals and slashes at the end of every route with an id: none of them is the route. */
export async function otherSpellings(url: string): Promise<Seen[]> {
  const guarded = Object.values(routes).filter(({ path }) => path.includes(':id'));
  const seen: Seen[] = [];
  for (const { method, path } of guarded)
    for (const way of [path.replace('/api/', '/API/'), path.toUpperCase(), `${path}/`]) {
      const answer = await fetch(url + way.replace(/:id/i, 'nobody'), { method });
      const isPage = (answer.headers.get('Content-Type') ?? '').includes('html');
      seen.push(
        as(answer.status >= 400 || (method === 'GET' && isPage), `${method} ${way}: ${answer.status}`),
      );
    }
  return seen;
}

/** A second server, and a seeding, over every kind of link to a stash that is open. */
export function besideIt(db: string, folder: string): Seen[] {
  const [soft, hard] = [join(folder, 'soft.db'), join(folder, 'hard.db')];
  symlinkSync(db, soft);
  linkSync(db, hard);
  const seen = [db, soft, hard].flatMap((file) =>
    [['main.js'], ['seed.js'], ['seed.js', '--fresh']].map(([program = '', ...more]) => {
      const env = { ...process.env, RED_SHELF_DB: file, PORT: '0' };
      const second = spawnSync(process.execPath, [`apps/server/dist/${program}`, ...more], {
        env,
        timeout: 20_000,
      });
      return as(
        second.status === 1 && existsSync(db),
        `${program} ${more.join(' ')} over ${file}: ${second.status}`,
      );
    }),
  );
  for (const link of [soft, hard]) rmSync(link);
  return seen;
}

/** No file handle left, then some again; nothing where the system has no program that sets the limit. */
export async function noHandles(url: string, pid: number): Promise<Seen[]> {
  const limit = (handles: string) =>
    spawnSync('prlimit', [`--pid=${pid}`, `--nofile=${handles}:`]).status === 0;
  await isAlive(url);
  if (!limit(String(readdirSync(`/proc/${pid}/fd`).length + 1))) return [];
  const during = await asks(url, '/api/backup.zip');
  limit('1024');
  return [
    as([200, 503, 0].includes(during.status), `while there were none: ${during.status}`),
    await asks(url, '/api/export.csv'),
  ];
}

/** The file taken away: what is asked after that is refused and nothing is made anew. The last thing that is done to a server. */
export async function takenAway(url: string, db: string): Promise<Seen[]> {
  rmSync(db);
  const added = await fetch(`${url}/api/supplies`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      kind: 'ink',
      form: 'full-pad',
      name: 'Lost',
      hex: '#4c9a52',
      count: { items: 1, left: 60 },
    }),
  });
  const { code } = (await added.json()) as { code?: string };
  const exported = await asks(url, '/api/export.json');
  return [
    as(added.status === 503 && code === 'stash_gone', `a new thing: ${added.status}`),
    as(exported.status === 503, `an export: ${exported.status}`),
    as(!existsSync(db), 'no new file'),
  ];
}
