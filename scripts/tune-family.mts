/**
 * Makes packages/core/src/colour/familyPrototypes.json from openly available lists of colours that people have named,
 * and prints how well prototypes made without a list name that list.
 *   npx tsx scripts/tune-family.mts           figures only
 *   npx tsx scripts/tune-family.mts --write   figures, then the table from all lists
 */
import { writeFileSync } from 'node:fs';
import { chromaOf, ciede2000, labOf } from '../packages/core/src/colour/lab.ts';
import { scoreFamilies, type Prototype } from '../packages/core/src/colour/familyScore.ts';
import { LISTS, type Named } from './family/lists.mts';
import { train } from './family/train.mts';
import { sized } from './figures/size.mts';

const percent = (share: number): string => (Number.isNaN(share) ? '–' : `${(100 * share).toFixed(1)}%`);
/** Words that change how light or strong a colour is, not what it is. */
const PLAIN =
  /^((very|light|dark|deep|pale|bright|vivid|strong|medium|true|pure|primary|dull|dusty|dirty|rich|soft|faded|hot|neon) )*(red|orange|yellow|green|blue|purple|pink|brown|black|grey|gray|white|teal)$/i;
/** Families with fewer colours in a list say nothing about recall. */
const ENOUGH = 5;

/** Lists of what people asked said, not of what makers call their paints. */
const SURVEYS = ['xkcd', 'mlmc_english', 'mlmc_others'];
const NEAR = 7;
const LEAST_NEAR = 3;

/** Colours that at least three colours of other surveys lie close to, all of the same family: people agree on them. */
function agreed(held: string, rows: readonly Named[]): readonly Named[] {
  const others = SURVEYS.filter((name) => name !== held).flatMap((name) =>
    LISTS[name]!.rows.map((row) => ({ family: row.family, lab: labOf(row.hex) })),
  );
  return rows.filter((row) => {
    const lab = labOf(row.hex);
    const near = others.filter((other) => ciede2000(lab, other.lab) <= NEAR);
    return near.length >= LEAST_NEAR && near.every(({ family }) => family === row.family);
  });
}

function report(label: string, prototypes: readonly Prototype[], rows: readonly Named[]): void {
  const judged = rows.map((row) => {
    const [best] = scoreFamilies(labOf(row.hex), prototypes);
    return { ...row, right: best?.family === row.family, share: best?.share ?? 0 };
  });
  const rate = (some: readonly { right: boolean }[]) => some.filter((r) => r.right).length / some.length;
  const recalls = [...new Set(rows.map((row) => row.family))].map((family) => {
    const own = judged.filter((row) => row.family === family);
    return { family, n: own.length, recall: rate(own) };
  });
  const told = recalls.filter(({ n }) => n >= ENOUGH);
  const mean = told.reduce((sum, { recall }) => sum + recall, 0) / told.length;
  const clear = judged.filter(({ vague }) => !vague);
  const plain = judged.filter(({ name }) => PLAIN.test(name));
  const sure = judged.filter(({ share }) => share >= 0.9);
  console.log(`${label}: ${percent(rate(judged))} of ${rows.length}, ${percent(mean)} over families`);
  console.log('  ' + recalls.map((r) => `${r.family} ${percent(r.recall)}/${r.n}`).join(', '));
  console.log(
    `  without words between families (beige, khaki, cream) ${percent(rate(clear))} of ${clear.length};` +
      ` plainly named ${percent(rate(plain))} of ${plain.length};` +
      ` where the vote is 90% or more ${percent(rate(sure))} of ${sure.length}`,
  );
}

/** True greys, blacks and whites: hardly a hue in them. */
const CALM = 6;
const NEUTRAL = new Set(['black', 'grey', 'white']);

function rightOf(prototypes: readonly Prototype[], rows: readonly Named[]): string {
  const right = rows.filter((row) => scoreFamilies(labOf(row.hex), prototypes)[0]?.family === row.family);
  return `${percent(right.length / rows.length)} of ${rows.length}`;
}

/** Lists that are held out, one after another. */
const HELD = Object.entries(LISTS).slice(-sized(Infinity, 2));
for (const [held, { rows }] of HELD) {
  const others = Object.entries(LISTS).flatMap(([name, list]) => (name === held ? [] : [list]));
  const prototypes = train(others);
  report(`${held} held out`, prototypes, rows);
  if (SURVEYS.includes(held))
    console.log(`  where the surveys agree ${rightOf(prototypes, agreed(held, rows))}`);
}
/** Every list judged by prototypes made without it, all rows together; house names of paints apart. */
function together(): void {
  const held = HELD.filter(([name]) => name !== 'colornames').map(([name, { rows }]) => ({
    rows,
    prototypes: train(Object.entries(LISTS).flatMap(([other, list]) => (other === name ? [] : [list]))),
  }));
  const judged = held.flatMap(({ rows, prototypes }) =>
    rows.map((row) => {
      const lab = labOf(row.hex);
      return {
        ...row,
        calm: chromaOf(lab) < CALM,
        right: scoreFamilies(lab, prototypes)[0]?.family === row.family,
      };
    }),
  );
  const rate = (some: readonly { right: boolean }[]) =>
    `${percent(some.filter(({ right }) => right).length / some.length)}/${some.length}`;
  const families = [...new Set(judged.map(({ family }) => family))].sort();
  console.log(`all lists, each held out: ${rate(judged)}`);
  console.log(
    '  ' + families.map((f) => `${f} ${rate(judged.filter(({ family }) => family === f))}`).join(', '),
  );
  const neutral = judged.filter(({ family }) => NEUTRAL.has(family));
  console.log(
    `  black, grey and white with a chroma below ${CALM}: ${rate(neutral.filter(({ calm }) => calm))}`,
  );
}
together();
const prototypes = train(Object.values(LISTS));
for (const name of ['xkcd', 'mlmc_english', 'nbsIscc']) report(`${name} seen`, prototypes, LISTS[name]!.rows);
if (process.argv.includes('--write')) {
  const rows = prototypes.map((prototype) => `  ${JSON.stringify(prototype)}`).join(',\n');
  writeFileSync('packages/core/src/colour/familyPrototypes.json', `[\n${rows}\n]\n`);
}
