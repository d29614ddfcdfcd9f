/** Fails on a circle of imports, or on an import that points upward between packages. */
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import ts from 'typescript';
import { at, ROOT } from './lib.mjs';

const FLOORS = { 'packages/core': 0, 'packages/contract': 1, 'apps/server': 2, 'apps/web': 2 };
const PACKAGES = {
  '@red-shelf/core': 'packages/core/src/index.ts',
  '@red-shelf/contract': 'packages/contract/src/index.ts',
};
const floorOf = (file) => Object.keys(FLOORS).find((folder) => relative(ROOT, file).startsWith(`${folder}/`));

function* sourcesBelow(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (['node_modules', 'dist', '.expo'].includes(name)) continue;
    if (statSync(path).isDirectory()) yield* sourcesBelow(path);
    else if (/\.tsx?$/.test(name)) yield path;
  }
}

function importsOf(file) {
  const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    if (PACKAGES[fileName]) return [at(PACKAGES[fileName])];
    if (!fileName.startsWith('.')) return [];
    const base = resolve(dirname(file), fileName);
    return [base, `${base}.ts`, `${base}.tsx`, join(base, 'index.ts')]
      .filter((path) => existsSync(path) && statSync(path).isFile())
      .slice(0, 1);
  });
}

const files = Object.keys(FLOORS).flatMap((folder) => [...sourcesBelow(at(folder))]);
const graph = new Map(files.map((file) => [file, importsOf(file)]));
const faults = [];
for (const [file, targets] of graph)
  for (const target of targets) {
    const [from, to] = [floorOf(file), floorOf(target)];
    if (from !== to && FLOORS[to] >= FLOORS[from])
      faults.push(`${relative(ROOT, file)} imports upward: ${relative(ROOT, target)}`);
  }
const state = new Map();
const visit = (file, trail) => {
  if (state.get(file) === 'done') return;
  if (state.get(file) === 'open') {
    faults.push(
      `circle: ${[...trail.slice(trail.indexOf(file)), file].map((path) => relative(ROOT, path)).join(' → ')}`,
    );
    return;
  }
  state.set(file, 'open');
  for (const target of graph.get(file) ?? []) visit(target, [...trail, file]);
  state.set(file, 'done');
};
for (const file of files) visit(file, []);
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exit(1);
}
console.log(`${files.length} files, no circle, no upward import.`);
