/**
 * Runs every script that prints a figure and writes docs/figures.md: the figure, its goal, what it is today, the command, the day.
 *   npm run figures              the full figures, one after another (an hour or so; leave the machine alone meanwhile)
 *   npm run figures -- gaps      only scripts whose name has that in it; the rest of the table stays
 *   npm run figures -- --small   only that each script still runs and prints what it should; writes nothing
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { at, ROOT } from './lib.mjs';
import { BY_HAND, MEASURED, type Measured } from './figures/list.mts';

const FILE = at('docs/figures.md');
const MOST_MS = { full: 20 * 60_000, small: 60_000 };
const small = process.argv.includes('--small');
const only = process.argv.slice(2).find((each) => !each.startsWith('--')) ?? '';

interface Row {
  readonly name: string;
  readonly cells: string;
}
const commandOf = ({ script }: Measured, args: readonly string[]): string =>
  ['npx tsx', `scripts/${script}`, ...args].join(' ');

/** What a script prints, or why it printed nothing. */
function printed(measured: Measured): { readonly text: string; readonly failed: string | null } {
  const args = small ? measured.small : measured.full;
  const { status, signal, stdout, stderr } = spawnSync(
    'npx',
    ['tsx', at('scripts', measured.script), ...args],
    {
      cwd: ROOT,
      env: { ...process.env, FIGURES: small ? 'small' : 'full' },
      timeout: small ? MOST_MS.small : MOST_MS.full,
      encoding: 'utf8',
      killSignal: 'SIGKILL',
    },
  );
  return {
    text: stdout,
    failed: status === 0 ? null : `ended with ${status ?? signal}: ${stderr.slice(-600)}`,
  };
}

let [passed, failed] = [0, 0];
/** In its smallest form a script is run once, however many figures it prints. */
const ran = new Set<string>();
const rows: Row[] = [];
for (const measured of MEASURED) {
  if (!measured.script.includes(only) || (small && ran.has(measured.script))) continue;
  ran.add(measured.script);
  const begun = performance.now();
  const { text, failed: why } = printed(measured);
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
  const day = new Date().toISOString().slice(0, 10);
  for (const { name, goal, prints } of measured.figures) {
    const found = prints.exec(text)?.[1] ?? 'not printed';
    rows.push({ name, cells: `| ${name} | ${goal} | ${found.trim()} | \`${command}\` | ${day} |` });
    if (!small) console.log(`  ${name}: ${found.trim()}`);
  }
}
if (!small) writeTable();
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** Writes the table; rows that were not measured now stay as they were. */
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
each script in its smallest form, so that none breaks unseen. By hand besides: ${BY_HAND.map((each) => `\`npx tsx scripts/${each}\``).join(', ')}.

| figure | goal | today | command | measured on |
| --- | --- | --- | --- | --- |
${order.flatMap((name) => known.get(name) ?? []).join('\n')}
`,
  );
}
