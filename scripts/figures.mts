/**
 * Runs every script that prints a figure and writes docs/figures.md: the figure, its goal, what it is today, the command, the day.
 *   npm run figures              the full figures, one after another (an hour or so; leave the machine alone meanwhile)
 *   npm run figures -- gaps      only scripts whose name has that in it; the rest of the table stays
 *   npm run figures -- --small   only that each script still runs and prints what it should; writes nothing
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { at, ROOT } from './lib.mjs';
import { BY_HAND, MEASURED, type Measured } from './figures/list.mts';
import { pace } from './figures/pace.mts';

const FILE = at('docs/figures.md');
const MOST_MS = { full: 40 * 60_000, small: 60_000 };
const small = process.argv.includes('--small');
const only = process.argv.slice(2).find((each) => !each.startsWith('--')) ?? '';

interface Row {
  readonly name: string;
  readonly cells: string;
}
const commandOf = ({ script }: Measured, args: readonly string[]): string =>
  ['npx tsx', `scripts/${script}`, ...args].join(' ');

/** Scripts that run now, each a group of its own with all that it started. */
const running = new Set<number>();
function endGroup(pid: number): void {
  try {
    process.kill(-pid, 'SIGKILL');
  } catch {
    // There is nobody left.
  }
}
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    running.forEach(endGroup);
    process.exit(1);
  });

/** What a script prints, or why it ended before its time. */
async function printed(
  measured: Measured,
): Promise<{ readonly text: string; readonly failed: string | null }> {
  const args = [at('scripts', measured.script), ...(small ? measured.small : measured.full)];
  const child = spawn(process.execPath, ['--import', 'tsx', ...args], {
    cwd: ROOT,
    env: { ...process.env, FIGURES: small ? 'small' : 'full' },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const said = { text: '', wrong: '' };
  child.stdout.on('data', (some: Buffer) => (said.text += some.toString()));
  child.stderr.on('data', (some: Buffer) => (said.wrong += some.toString()));
  // A script that fails may leave a server or a browser behind, which would be waited for without end.
  const endAll = (): void => endGroup(child.pid!);
  running.add(child.pid!);
  const tooLong = setTimeout(endAll, small ? MOST_MS.small : MOST_MS.full);
  const closed = once(child, 'close');
  const [code, signal] = (await once(child, 'exit')) as [number | null, string | null];
  clearTimeout(tooLong);
  endAll();
  running.delete(child.pid!);
  await closed;
  return {
    text: said.text,
    failed: code === 0 ? null : `ended with ${signal ?? code}: ${said.wrong.slice(-600)}`,
  };
}

let [passed, failed] = [0, 0];
const rows: Row[] = [];
async function measure(measured: Measured): Promise<void> {
  const day = `${new Date().toISOString().slice(0, 10)}${small ? '' : `, ${pace()} ms`}`;
  const begun = performance.now();
  const { text, failed: why } = await printed(measured);
  const took = ((performance.now() - begun) / 1000).toFixed(0);
  const command = commandOf(measured, small ? measured.small : measured.full);
  const missing = measured.figures.filter(
    ({ prints, onlyFull }) => !prints.test(text) && !(small && onlyFull),
  );
  if (why === null && missing.length === 0) {
    passed++;
    console.log(`${command}: runs (${took} s)`);
  } else {
    failed++;
    console.log(`${command}: ${why ?? `does not print ${missing.map(({ name }) => name).join(', ')}`}`);
  }
  for (const { name, goal, prints } of measured.figures) {
    const found = prints.exec(text)?.[1];
    if (found === undefined) continue;
    rows.push({ name, cells: `| ${name} | ${goal} | ${found.trim()} | \`${command}\` | ${day} |` });
    if (!small) console.log(`  ${name}: ${found.trim()}`);
  }
}

const chosen = MEASURED.filter(({ script }) => script.includes(only));
// In its smallest form a script is run once, however many figures it prints, and two at a time: nothing is measured.
const todo = small
  ? chosen.filter(({ script }, i) => chosen.findIndex((each) => each.script === script) === i)
  : [...chosen];
const worker = async (): Promise<void> => {
  for (let next = todo.shift(); next; next = todo.shift()) await measure(next);
};
await Promise.all(Array.from({ length: small ? 2 : 1 }, worker));
if (!small) writeTable();
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** Writes the table; rows that were not measured now, or not printed, stay as they were. */
function writeTable(): void {
  const before = existsSync(FILE) ? readFileSync(FILE, 'utf8').split('\n') : [];
  const known = new Map(
    before.flatMap((line) => {
      const name = /^\| ([^|]+) \|/.exec(line)?.[1];
      return name && name !== 'figure' && !name.startsWith('---') ? [[name, line] as const] : [];
    }),
  );
  for (const { name, cells } of rows) known.set(name, cells);
  const order = MEASURED.flatMap(({ figures }) => figures.map(({ name }) => name));
  writeFileSync(
    FILE,
    `# Figures

What the app is claimed to do in time and size, as measured on two cores. \`npm run figures\` measures all of it again; the tests run
each script in its smallest form, so that none breaks unseen. Beside the day stands how long the machine took for a fixed sum just
before: figures are compared where that is alike. By hand besides: ${BY_HAND.map((each) => `\`npx tsx scripts/${each}\``).join(', ')}.

| figure | goal | today | command | measured on |
| --- | --- | --- | --- | --- |
${order.flatMap((name) => known.get(name) ?? []).join('\n')}
`,
  );
}
