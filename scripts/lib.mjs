/** What the commands share: run a step, install, build once per state of the sources. Plain Node, nothing installed. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const at = (...parts) => join(ROOT, ...parts);

export const QUIET_EXPO = { CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' };

/** Runs a command to its end; a failure ends the whole script with a sentence. */
export function run(command, args, { env = {}, quiet = false, why, cwd = ROOT } = {}) {
  const result = spawnSync(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    maxBuffer: 64 * 1024 * 1024,
  });
  if (result.status === 0) return;
  if (quiet) process.stderr.write(`${result.stdout ?? ''}${result.stderr ?? ''}`);
  console.error(`${why ?? [command, ...args].join(' ')} failed.`);
  process.exit(1);
}

const digest = (texts) => {
  const hash = createHash('sha256');
  for (const text of texts) hash.update(text).update('\0');
  return hash.digest('hex');
};

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((p, q) =>
    p.name < q.name ? -1 : 1,
  )) {
    if (['node_modules', 'dist', '.expo'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

/** Does a piece of work unless it was done for exactly these inputs before. */
function once(stampFile, inputs, needed, work) {
  const state = digest(inputs);
  const done =
    needed.every((path) => existsSync(path)) &&
    existsSync(stampFile) &&
    readFileSync(stampFile, 'utf8') === state;
  if (done) return;
  work();
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, state);
}

/** Installs what package-lock.json names, once. */
export function install() {
  const lock = readFileSync(at('package-lock.json'));
  once(at('node_modules/.red-shelf-installed'), [lock], [at('node_modules/expo')], () => {
    console.log('Installing packages (a minute or two, once)…');
    run('npm', ['ci', '--no-audit', '--no-fund'], { env: { ...QUIET_EXPO }, quiet: true, why: 'npm ci' });
  });
}

const sources = (...folders) =>
  folders.flatMap((folder) =>
    [...filesBelow(at(folder))].map((path) => `${path.slice(ROOT.length)}\n${readFileSync(path, 'utf8')}`),
  );

/** Builds server and web app where their sources have changed. */
export function build() {
  const shared = [
    readFileSync(at('package-lock.json'), 'utf8'),
    ...sources('packages/core', 'packages/contract'),
  ];
  const server = at('apps/server/dist');
  once(
    join(server, '.stamp'),
    [...shared, ...sources('apps/server'), readFileSync(at('scripts/build-server.mjs'), 'utf8')],
    [join(server, 'main.js'), join(server, 'seed.js')],
    () => {
      run('node', [at('scripts/build-server.mjs')], { quiet: true, why: 'Building the server' });
    },
  );
  const web = at('apps/web/dist');
  once(
    join(web, '.stamp'),
    [
      ...shared,
      ...sources('apps/web'),
      readFileSync(at('scripts/build-worker.mjs'), 'utf8'),
      readFileSync(at('scripts/pack.mjs'), 'utf8'),
      readFileSync(at('scripts/fonts.mjs'), 'utf8'),
    ],
    [join(web, 'index.html'), join(web, 'sw.js')],
    () => {
      console.log('Building the web app (a minute or two after a change)…');
      // By itself it would leave a core idle where there are two.
      const workers = String(availableParallelism());
      run('npx', ['expo', 'export', '-p', 'web', '--max-workers', workers], {
        env: QUIET_EXPO,
        quiet: true,
        why: 'Building the web app',
        cwd: at('apps/web'),
      });
      run('node', [at('scripts/build-worker.mjs')], { quiet: true, why: 'Building the service worker' });
    },
  );
}
