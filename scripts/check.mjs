/** `npm run check`: format, lint and dependency direction, types, circles, unused code, unit tests. */
import { install, run } from './lib.mjs';

install();
const steps = [
  ['Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ['Lint and dependency direction', 'npx', ['eslint', '.']],
  ...['packages/core', 'packages/contract', 'apps/server', 'apps/web', 'apps/web/sw', 'e2e'].map(
    (project) => [`Types: ${project}`, 'npx', ['tsc', '-p', project]],
  ),
  ['Circles', 'node', ['scripts/circles.mjs']],
  ['Unused code', 'npx', ['knip']],
  ['Unit tests', 'npx', ['jest', '--silent']],
];
for (const [name, command, args] of steps) {
  console.log(`— ${name}`);
  run(command, args, { why: name });
}
console.log('All checks pass.');
