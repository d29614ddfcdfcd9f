/** Sharing with a phone in the house. Long, since every door is tried from inside, from outside, and by a device that was shut out. */
import { readFileSync, statSync, readdirSync } from 'node:fs';
import { request } from 'node:https';
import { connect } from 'node:net';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { routes, type ShareView } from '@red-shelf/contract';
import pino from 'pino';
import { localDoor, makeInside } from '../app';
import { systemPorts } from '../services/ports';
import { chosenAddresses, houseAddresses } from '../share/addresses';
import { authorityIn, certificateFor } from '../share/authority';
import { shareDoor } from '../share/door';
import { Sharing } from '../share/sharing';
import { INK, makeWorld, type World } from './world';

const PHRASE = 'green paper lamp';
const HERE = '127.0.0.2';
const log = pino({ level: 'silent' });

interface Answer {
  readonly status: number;
  readonly body: { code?: string; title?: string } & Partial<ShareView>;
  readonly headers: Record<string, string | string[] | undefined>;
}
interface Asking {
  readonly method?: string;
  readonly body?: unknown;
  readonly cookie?: string;
  /** The address it comes from. */
  readonly from?: string;
  readonly headers?: Record<string, string>;
}

let world: World;
let local: Server;
let sharing: Sharing;
let port = 0;
let ca = '';
/** Starts, as the program does: loopback first, and the door of the house once it was asked for. */
async function begin(): Promise<void> {
  const db = join(world.folder, 'stash.db');
  sharing = new Sharing(db, chosenAddresses(HERE, {}), systemPorts);
  const inside = makeInside({ store: world.store, ports: systemPorts }, log);
  local = localDoor(inside, log, sharing).listen(port, '127.0.0.1');
  await new Promise((ready) => local.once('listening', ready));
  port = (local.address() as AddressInfo).port;
  await sharing.begin(port, shareDoor(sharing, inside, log));
  ca = new X509Certificate(sharing.certificate()).toString();
}
async function end(): Promise<void> {
  await sharing.close();
  await new Promise((ended) => local.close(ended));
}
beforeAll(async () => {
  world = await makeWorld();
  await begin();
});
afterAll(async () => {
  await end();
  world.close();
});

/** Asks over TLS, trusting this authority alone, from an address of its own. */
function ask(path: string, { method = 'GET', body, cookie, from = '127.0.0.1', headers }: Asking = {}) {
  return new Promise<Answer>((resolve, reject) => {
    const sent = request(
      {
        host: HERE,
        port,
        path,
        method,
        ca,
        localAddress: from,
        agent: false,
        ...(headers?.Host ? { checkServerIdentity: () => undefined } : {}),
        headers: {
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
          ...(cookie ? { Cookie: cookie } : {}),
          ...headers,
        },
      },
      (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => {
          const read = /json/.test(response.headers['content-type'] ?? '') ? JSON.parse(text) : {};
          resolve({
            status: response.statusCode ?? 0,
            body: read as Answer['body'],
            headers: response.headers,
          });
        });
      },
    );
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}
const enter = (passphrase: string, more: Asking = {}) =>
  ask(routes.enter.path, { method: 'POST', body: { passphrase, name: 'Kitchen phone' }, ...more });
async function letIn(from?: string): Promise<{ cookie: string; id: string }> {
  const { status, headers, body } = await enter(PHRASE, from ? { from } : {});
  expect(status).toBe(200);
  return { cookie: String(headers['set-cookie']?.[0]).split(';')[0] ?? '', id: String(body.asking) };
}
/** What the computer that holds the stash asks. */
async function here(path: string, method = 'GET', body?: unknown): Promise<Response> {
  const json = { 'Content-Type': 'application/json' };
  return fetch(`http://127.0.0.1:${port}${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: json }),
  });
}
const isOpen = (address: string): Promise<boolean> =>
  new Promise((resolve) => {
    const socket = connect({ host: address, port }, () => resolve(true));
    socket.on('error', () => resolve(false));
    socket.on('connect', () => socket.destroy());
  });

test('nothing is reachable before a passphrase of ten characters is set, and then at once', async () => {
  expect(await isOpen(HERE)).toBe(false);
  expect(await (await here('/api/share')).json()).toMatchObject({ state: 'passphrase', devices: [] });
  const short = await here(routes.setPassphrase.path, 'PUT', { passphrase: '  nine char ' });
  expect(short.status).toBe(422);
  expect(((await short.json()) as { title: string }).title).toMatch(/at least 10 characters/);
  expect(await isOpen(HERE)).toBe(false);
  const set = await here(routes.setPassphrase.path, 'PUT', { passphrase: PHRASE });
  expect(await set.json()).toMatchObject({ state: 'on', addresses: [`https://${HERE}:${port}`] });
  expect((await ask('/api/share')).status).toBe(200);
});

test('another device is not let in without, is let in with, and is shut out when it is revoked', async () => {
  for (const path of ['/api/supplies', '/api/wall', '/api/export.json', '/api/backup.zip', '/api/health'])
    expect(await ask(path)).toMatchObject({ status: 401, body: { code: 'signed_out' } });
  expect(await ask('/api/units', { method: 'POST', body: {} })).toMatchObject({ status: 401 });
  expect(await enter('green paper lamps')).toMatchObject({ status: 403, body: { code: 'wrong_passphrase' } });
  const { cookie, id } = await letIn();
  expect((await ask('/api/supplies', { cookie })).status).toBe(200);
  const shut = await here(`/api/share/devices/${id}`, 'DELETE');
  expect(((await shut.json()) as ShareView).devices).toEqual([]);
  expect(await ask('/api/supplies', { cookie })).toMatchObject({ status: 401 });
});

test('what a device carries no script reads, no other site sends, and no plain line shows', async () => {
  const { headers } = await enter(PHRASE);
  const [cookie] = headers['set-cookie'] ?? [];
  expect(cookie).toMatch(/^__Host-red-shelf-/);
  for (const word of ['HttpOnly', 'Secure', 'SameSite=Strict', 'Path=/'])
    expect(cookie?.split('; ')).toContain(word);
  expect(cookie).not.toMatch(/Domain/);
});

test('it is asked once a device: what was let in is let in after a new start, what was shut out is not', async () => {
  const stays = await letIn();
  const leaves = await letIn();
  await here(`/api/share/devices/${leaves.id}`, 'DELETE');
  await end();
  await begin();
  expect((await ask('/api/wall', { cookie: stays.cookie })).status).toBe(200);
  expect((await ask('/api/wall', { cookie: leaves.cookie })).status).toBe(401);
});

test('devices are listed and named on the computer; a device sees, names and leaves by itself alone', async () => {
  const one = await letIn();
  const two = await letIn();
  const all = (await (await here('/api/share')).json()) as ShareView;
  expect(all.devices.map(({ id }) => id)).toEqual(expect.arrayContaining([one.id, two.id]));
  expect((await ask('/api/share', { cookie: one.cookie })).body.devices?.map(({ id }) => id)).toEqual([
    one.id,
  ]);
  expect((await ask('/api/share')).body.devices).toEqual([]);
  const path = (id: string) => `/api/share/devices/${id}`;
  const name = { method: 'PUT', body: { name: 'Blue phone' }, cookie: one.cookie };
  expect(await ask(path(two.id), name)).toMatchObject({ status: 403, body: { code: 'not_here' } });
  expect((await ask(path(one.id), name)).body.devices?.[0]?.name).toBe('Blue phone');
  const leave = { method: 'DELETE', cookie: one.cookie };
  expect((await ask(path(two.id), leave)).status).toBe(403);
  expect((await ask(path(one.id), leave)).status).toBe(200);
  expect((await ask('/api/wall', { cookie: one.cookie })).status).toBe(401);
  expect((await ask('/api/wall', { cookie: two.cookie })).status).toBe(200);
});

test('the passphrase is set on the computer only; another one shuts everybody out', async () => {
  const { cookie } = await letIn();
  const body = { passphrase: 'another one by far' };
  const set = { method: 'PUT', body, cookie };
  expect(await ask(routes.setPassphrase.path, set)).toMatchObject({
    status: 403,
    body: { code: 'not_here' },
  });
  await here(routes.setPassphrase.path, 'PUT', body);
  expect((await ask('/api/wall', { cookie })).status).toBe(401);
  expect((await enter(PHRASE)).status).toBe(403);
  await here(routes.setPassphrase.path, 'PUT', { passphrase: PHRASE });
});

test('requests of other sites, and under other names, are refused', async () => {
  const { cookie } = await letIn();
  const refusedFor = async (headers: Record<string, string>, code: string, method = 'GET') =>
    expect(await ask('/api/wall', { cookie, headers, method })).toMatchObject({
      status: 403,
      body: { code },
    });
  await refusedFor({ Host: `stash.example:${port}` }, 'foreign_host');
  await refusedFor({ Host: `127.0.0.1:${port}` }, 'foreign_host');
  await refusedFor({ Host: HERE }, 'foreign_host');
  await refusedFor({ Origin: 'https://evil.example' }, 'foreign_origin');
  await refusedFor({ Origin: `http://${HERE}:${port}` }, 'foreign_origin', 'POST');
  await refusedFor({ Origin: `https://${HERE}:${port + 1}` }, 'foreign_origin', 'POST');
  await refusedFor({ Origin: 'null' }, 'foreign_origin', 'POST');
  await refusedFor({ 'Sec-Fetch-Site': 'cross-site' }, 'foreign_origin');
  await refusedFor({ 'Sec-Fetch-Site': 'same-site', 'Sec-Fetch-Dest': 'image' }, 'foreign_origin');
  const own = { Origin: `https://${HERE}:${port}`, 'Sec-Fetch-Site': 'same-origin' };
  expect((await ask('/api/wall', { cookie, headers: own })).status).toBe(200);
  // Loopback knows none of this, and still answers to nobody else.
  const strange = await here('/api/wall');
  expect(strange.status).toBe(200);
});

test('after ten wrong tries an address waits, whatever it says; others do not', async () => {
  const from = '127.0.0.7';
  for (let i = 0; i < 10; i++) expect((await enter(`wrong guess ${i}`, { from })).status).toBe(403);
  const waits = await enter(PHRASE, { from });
  expect(waits).toMatchObject({ status: 429, body: { code: 'too_many_tries' } });
  expect(Number(waits.headers['retry-after'])).toBeGreaterThan(60);
  await letIn('127.0.0.8');
});

test('plain HTTP is answered by nobody but loopback', async () => {
  const answered = await fetch(`http://${HERE}:${port}/api/share`).then(
    () => true,
    () => false,
  );
  expect(answered).toBe(false);
});

test('what opens the door is readable by the person alone, and holds neither passphrase nor what a device carries', async () => {
  const { cookie } = await letIn('127.0.0.40');
  const folder = join(world.folder, 'share');
  for (const name of readdirSync(folder)) {
    expect(statSync(join(folder, name)).mode & 0o077).toBe(0);
    const text = readFileSync(join(folder, name), 'utf8');
    expect(text).not.toContain(PHRASE);
    expect(text).not.toContain(cookie.split('=')[1]);
  }
});

test('the authority vouches for addresses of a house, and for nothing else', async () => {
  const authority = await authorityIn(join(world.folder, 'share'));
  expect(new X509Certificate(sharing.certificate()).fingerprint256).toBe(sharing.view().fingerprint);
  const { cert } = await certificateFor(authority, ['192.168.1.20']);
  const made = new X509Certificate(cert);
  expect(made.checkIP('192.168.1.20')).toBe('192.168.1.20');
  expect(made.checkIP('192.168.1.21')).toBeUndefined();
  expect(made.verify(new X509Certificate(ca).publicKey)).toBe(true);
});

test('only addresses of the house are shared', () => {
  const of = (address: string, internal = false) => ({ address, internal, family: 'IPv4' }) as never;
  expect(
    houseAddresses({
      lo: [of('127.0.0.1', true)],
      wifi: [of('192.168.1.20')],
      cable: [of('203.0.113.4'), of('10.0.0.7')],
    }),
  ).toEqual(['192.168.1.20', '10.0.0.7']);
  expect(chosenAddresses('house', {})).toMatchObject({
    ok: false,
    because: expect.stringMatching(/no house network/) as string,
  });
  expect(chosenAddresses('203.0.113.4', {})).toMatchObject({
    ok: false,
    because: expect.stringMatching(/from outside/) as string,
  });
  expect(chosenAddresses('0.0.0.0', {})).toMatchObject({
    ok: false,
    because: expect.stringMatching(/from outside/) as string,
  });
  expect(chosenAddresses('attic', {})).toMatchObject({
    ok: false,
    because: expect.stringMatching(/no address/) as string,
  });
});

test('many tries at once are no way around; who guesses shuts out neither others nor who is in', async () => {
  const { cookie } = await letIn('127.0.0.9');
  const tries = Array.from({ length: 20 }, () => enter('', { from: '127.0.0.10' }));
  const seen = (await Promise.all(tries)).map(({ status }) => status);
  expect(seen.filter((status) => status === 429)).toHaveLength(10);
  for (let host = 20; host < 32; host++)
    await Promise.all(Array.from({ length: 10 }, () => enter('', { from: `127.0.0.${host}` })));
  await letIn('127.0.0.99');
  // Who is in already gives the passphrase again even where others guessed.
  expect((await enter(PHRASE, { cookie, from: '127.0.0.10' })).status).toBe(200);
  expect((await ask('/api/wall', { cookie, from: '127.0.0.10' })).status).toBe(200);
});

test('a device cannot shut out or name another, whatever way the address is written', async () => {
  const [a, b] = [await letIn('127.0.0.61'), await letIn('127.0.0.62')];
  const ways = (path: string): string[] => [
    path,
    path.toUpperCase().replace(b.id.toUpperCase(), b.id),
    `${path}/`,
    path.replace('/api/', '/API/'),
    path.replace('/api/', '/%61pi/'),
    path.replace('/api/', '//api/'),
    path.replace('/api/share', '/api/./share'),
  ];
  for (const path of ways(routes.shutOut.path.replace(':id', b.id)))
    expect(
      (await ask(path, { method: routes.shutOut.method, cookie: a.cookie })).status,
    ).toBeGreaterThanOrEqual(403);
  for (const path of ways(routes.nameDevice.path.replace(':id', b.id))) {
    const body = { name: 'Mine now' };
    const { status } = await ask(path, { method: routes.nameDevice.method, body, cookie: a.cookie });
    expect(status).toBeGreaterThanOrEqual(403);
  }
  for (const path of ways(routes.setPassphrase.path)) {
    const set = { method: 'PUT', body: { passphrase: 'quite another one' }, cookie: a.cookie };
    expect((await ask(path, set)).status).toBeGreaterThanOrEqual(403);
  }
  expect(await ask('/api/share', { cookie: b.cookie })).toMatchObject({
    body: { asking: b.id, devices: [{ name: 'Kitchen phone' }] },
  });
});

test('what a device had not said to the end when it was shut out is not written', async () => {
  const { cookie, id } = await letIn('127.0.0.63');
  const text = JSON.stringify({ ...INK, name: 'Said too late' });
  const broken = new Promise<void>((resolve, reject) => {
    const headers = { Cookie: cookie, 'Content-Type': 'application/json', 'Content-Length': text.length };
    const sent = request({
      host: HERE,
      port,
      path: '/api/supplies',
      method: 'POST',
      ca,
      agent: false,
      headers,
    });
    sent.on('response', ({ statusCode }) => reject(new Error(`answered ${statusCode}`)));
    sent.on('error', () => resolve());
    sent.write(text.slice(0, 20));
    setTimeout(() => {
      void here(routes.shutOut.path.replace(':id', id), 'DELETE').then(() => sent.end(text.slice(20)));
    }, 100);
  });
  await broken;
  expect(JSON.stringify(await (await here('/api/supplies')).json())).not.toContain('Said too late');
});

test('lines that say nothing leave room for others', async () => {
  const idle = Array.from({ length: 300 }, () => connect({ host: HERE, port, localAddress: '127.0.0.70' }));
  for (const socket of idle) socket.on('error', () => undefined);
  await new Promise((go) => setTimeout(go, 300));
  await letIn('127.0.0.71');
  for (const socket of idle) socket.destroy();
});
