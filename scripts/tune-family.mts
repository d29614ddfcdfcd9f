/**
 * Makes packages/core/src/colour/familyPrototypes.json from openly available lists of colours that people have named,
 * and prints how well prototypes made without a list name that list.
 *   npx tsx scripts/tune-family.mts           figures only
 *   npx tsx scripts/tune-family.mts --write   figures, then the table from all lists
 */
import { writeFileSync } from 'node:fs';
import { colornames } from 'color-name-list';
import { lists } from 'color-name-lists';
import { labOf } from '../packages/core/src/colour/lab.ts';
import { feature, scoreFamilies, type Prototype } from '../packages/core/src/colour/familyScore.ts';

const PER_FAMILY = 24;
const SIZE_WEIGHT = 0.4;
/** The last word of a colour's name, and the family it speaks for. */
const HEAD_WORDS: Record<string, string> = Object.fromEntries(
  Object.entries({
    red: 'red crimson scarlet maroon vermilion burgundy',
    orange: 'orange apricot tangerine',
    yellow: 'yellow mustard gold lemon',
    green: 'green olive lime emerald',
    teal: 'teal turquoise aqua cyan aquamarine',
    blue: 'blue navy azure',
    purple: 'purple violet lavender lilac mauve indigo plum',
    pink: 'pink magenta rose fuchsia',
    brown: 'brown chocolate tan beige sienna umber khaki taupe',
    black: 'black',
    grey: 'grey gray slate',
    white: 'white ivory cream',
  }).flatMap(([family, words]) => words.split(' ').map((word) => [word, family])),
);
interface Named {
  family: string;
  hex: string;
}
interface Point {
  x: number;
  y: number;
  z: number;
}

const named = (list: readonly { name: string; hex: string }[]): Named[] =>
  list.flatMap(({ name, hex }) => {
    const head = name
      .toLowerCase()
      .replace(/\(.*\)/, '')
      .trim()
      .split(/[\s-]+/)
      .at(-1);
    const family = HEAD_WORDS[head ?? ''];
    return family ? [{ family, hex }] : [];
  });
const sources: Record<string, Named[]> = {
  xkcd: named(lists.xkcd),
  mlmc_english: named(lists.mlmc_english),
  nbsIscc: named(lists.nbsIscc),
  ridgway: named(lists.ridgway),
  werner: named(lists.werner),
  colornames: named(colornames),
};

/** A repeatable stream of numbers in [0, 1). */
function randomStream(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296;
}
const squared = (p: Point, q: Point): number => (p.x - q.x) ** 2 + (p.y - q.y) ** 2 + (p.z - q.z) ** 2;

/** k-means with k-means++ starts; answers centres and the share of points each stands for. */
function cluster(points: Point[], random: () => number): (Point & { share: number })[] {
  let centres: Point[] = [points[Math.floor(random() * points.length)]!];
  while (centres.length < Math.min(PER_FAMILY, points.length)) {
    const far = points.map((p) => Math.min(...centres.map((c) => squared(p, c))));
    let at = far.reduce((sum, d) => sum + d, 0) * random();
    const index = far.findIndex((d) => (at -= d) <= 0);
    centres.push(points[index < 0 ? points.length - 1 : index]!);
  }
  let groups: Point[][] = [];
  for (let round = 0; round < 40; round++) {
    groups = centres.map(() => []);
    for (const p of points) {
      const distances = centres.map((c) => squared(p, c));
      groups[distances.indexOf(Math.min(...distances))]!.push(p);
    }
    const mean = (group: Point[], key: keyof Point) =>
      group.reduce((sum, p) => sum + p[key], 0) / group.length;
    centres = centres.map((c, i) => {
      const group = groups[i]!;
      return group.length ? { x: mean(group, 'x'), y: mean(group, 'y'), z: mean(group, 'z') } : c;
    });
  }
  return centres
    .map((c, i) => ({ ...c, share: groups[i]!.length / points.length }))
    .filter((c) => c.share > 0);
}

function train(rows: Named[]): Prototype[] {
  const random = randomStream(7);
  return [...new Set(Object.values(HEAD_WORDS))].flatMap((family) => {
    const points = rows.filter((row) => row.family === family).map((row) => feature(labOf(row.hex)));
    return cluster(points, random).map(({ x, y, z, share }): Prototype => {
      const weight = share * points.length ** SIZE_WEIGHT;
      return [family as Prototype[0], +x.toFixed(1), +y.toFixed(1), +z.toFixed(1), +weight.toFixed(3)];
    });
  });
}

function report(label: string, prototypes: Prototype[], rows: Named[]): void {
  const seen: Record<string, [number, number]> = {};
  for (const { family, hex } of rows) {
    const tally = (seen[family] ??= [0, 0]);
    tally[1]++;
    if (scoreFamilies(labOf(hex), prototypes)[0]?.family === family) tally[0]++;
  }
  const right = Object.values(seen).reduce((sum, [ok]) => sum + ok, 0);
  const recalls = Object.entries(seen).map(([family, [ok, n]]) => ({ family, n, recall: ok / n }));
  const mean = recalls.reduce((sum, { recall }) => sum + recall, 0) / recalls.length;
  console.log(
    `${label}: ${((100 * right) / rows.length).toFixed(1)}% of ${rows.length}, ${(100 * mean).toFixed(1)}% over families`,
  );
  console.log('  ' + recalls.map((r) => `${r.family} ${(100 * r.recall).toFixed(0)}%/${r.n}`).join(', '));
}

for (const held of Object.keys(sources)) {
  const others = Object.entries(sources).filter(([name]) => name !== held);
  report(`${held} held out`, train(others.flatMap(([, rows]) => rows)), sources[held]!);
}
const all = Object.values(sources).flat();
const prototypes = train(all);
report('all, seen', prototypes, all);
if (process.argv.includes('--write')) {
  const rows = prototypes.map((prototype) => `  ${JSON.stringify(prototype)}`).join(',\n');
  writeFileSync('packages/core/src/colour/familyPrototypes.json', `[\n${rows}\n]\n`);
}
