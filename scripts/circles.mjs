/**
 * Fails on a circle of imports between files or between folders, on an import that points upward between packages, and on
 * a feature of the web app that imports another feature: features share parts, and meet in the routes.
 */
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

/** Folders of the web app that any feature may import. All others are features. */
const PARTS = ['api', 'colour', 'copy', 'draw', 'form', 'judge', 'row', 'theme', 'ui'];
const isTest = (file) => /\.test\.tsx?$|\/test\//.test(file);
/** The folder of a floor a file is in: core/src/stash. */
const folderOf = (file) => /^(.*?\/src\/[^/]+)\//.exec(relative(ROOT, file))?.[1];
const folders = new Map();
for (const [file, targets] of graph)
  for (const target of targets) {
    const [from, to] = [folderOf(file), folderOf(target)];
    if (!from || !to || from === to || isTest(file) || isTest(target)) continue;
    folders.set(from, (folders.get(from) ?? new Set()).add(to));
    const [feature, other] = [from, to].map((each) => each.replace('apps/web/src/', ''));
    if (
      from.startsWith('apps/web/') &&
      feature !== 'frame' &&
      to.startsWith('apps/web/') &&
      !PARTS.includes(other)
    )
      faults.push(`${relative(ROOT, file)}: a feature imports another: ${relative(ROOT, target)}`);
  }

function circles(edges, nameOf) {
  const state = new Map();
  const visit = (at, trail) => {
    if (state.get(at) === 'done') return;
    if (state.get(at) === 'open') {
      faults.push(`circle: ${[...trail.slice(trail.indexOf(at)), at].map(nameOf).join(' → ')}`);
      return;
    }
    state.set(at, 'open');
    for (const target of edges.get(at) ?? []) visit(target, [...trail, at]);
    state.set(at, 'done');
  };
  for (const at of edges.keys()) visit(at, []);
}
circles(graph, (file) => relative(ROOT, file));
circles(folders, (folder) => folder);
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exit(1);
}
console.log(`${files.length} files, no circle of files or folders, no upward import.`);
