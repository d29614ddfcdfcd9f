/** The thread that watches: asks for health again and again, and reads what memory is held. Plain JavaScript, as threads want it. */
import { readdirSync, readFileSync } from 'node:fs';
import { request } from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

const EVERY_MS = 40;
const PAGE = 4096;

const statOf = (pid) => {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const rest = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return { parent: Number(rest[1]), bytes: Number(rest[21]) * PAGE };
  } catch {
    return { parent: 0, bytes: 0 };
  }
};

/** Bytes a process holds, the largest of it and its children, and all of them. */
function heldBy(pid) {
  const others = readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map((name) => statOf(Number(name)));
  const own = statOf(pid).bytes;
  const children = others.filter(({ parent }) => parent === pid).map(({ bytes }) => bytes);
  return {
    own,
    most: Math.max(own, ...children),
    all: children.reduce((sum, bytes) => sum + bytes, own),
  };
}

const { url, pid } = workerData;
const nothing = () => ({ wait: 0, held: 0, most: 0, heldInAll: 0 });
let seen = nothing();

function askHealth() {
  const since = performance.now();
  const done = () => {
    seen.wait = Math.max(seen.wait, performance.now() - since);
    setTimeout(askHealth, EVERY_MS);
  };
  request(`${url}/api/health`, (response) => response.resume().on('end', done))
    .on('error', done)
    .end();
}
askHealth();
setInterval(() => {
  const { own, most, all } = heldBy(pid);
  seen.held = Math.max(seen.held, own);
  seen.most = Math.max(seen.most, most);
  seen.heldInAll = Math.max(seen.heldInAll, all);
}, 50);
parentPort.on('message', () => {
  parentPort.postMessage(seen);
  seen = nothing();
});
