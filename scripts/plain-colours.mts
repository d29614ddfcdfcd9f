/**
 * Plain words for colours ("brown", "sky blue", "burgundy") and the colour people mean by each: the middle of what the named
 * lists say, surveys of people counting most and screens' own names not at all. A word that names a family keeps it. Prints how
 * many words there are and which of them had to give way; `--write` remakes the table.
 *   npx tsx scripts/plain-colours.mts [--write]
 */
import { writeFileSync } from 'node:fs';
import { lists } from 'color-name-lists';
import { ciede2000, labOf } from '../packages/core/src/colour/lab.ts';
import { familyOf } from '../packages/core/src/colour/family.ts';
import { fold } from '../packages/core/src/text/fold.ts';
import { ENGLISH } from './family/words.mts';

const FILE = 'packages/core/src/colour/plainColours.json';
/** How much a list's word counts. */
const WEIGHTS: Readonly<Record<string, number>> = {
  mlmc_english: 3,
  xkcd: 3,
  wikipedia: 1,
  ntc: 0.5,
  nbsIscc: 0.5,
  ridgway: 0.3,
  werner: 0.3,
  ral: 0.3,
  sanzoWadaI: 0.3,
  thesaurus: 0.5,
};
/** So much must speak for one word, and for two together; what names a family is taken in any case. */
const ENOUGH = [3, 3.5] as const;
/** Words that say nothing of a colour, or nothing one would say aloud. */
const LEFT_OUT = /poo|shit|vomit|puke|snot|booger|barf|baby shit|poop|bruise|\d|\(|'|\//;

interface Said {
  readonly hex: string;
  readonly weight: number;
}
const saidOf = new Map<string, Said[]>();
const byKey = lists as unknown as Readonly<Record<string, readonly { name: string; hex: string }[]>>;
for (const [key, weight] of Object.entries(WEIGHTS))
  for (const { name, hex } of byKey[key] ?? []) {
    const word = fold(name).replace(/-/g, ' ');
    saidOf.set(word, [...(saidOf.get(word) ?? []), { hex, weight }]);
  }

const familyWords = new Map(ENGLISH);
/** The family a word keeps: its last word's, if that names one. */
const kept = (word: string): string | undefined => familyWords.get(word.split(' ').at(-1) ?? '');
const familyIn = (hex: string): string => familyOf(hex).family;

/** Of some colours the one that all the others are least far from, weighed. */
function middle(said: readonly Said[]): string {
  const far = (hex: string): number =>
    said.reduce((sum, each) => sum + each.weight * ciede2000(labOf(hex), labOf(each.hex)), 0);
  return [...said].sort((p, q) => far(p.hex) - far(q.hex))[0]!.hex;
}

const table: Record<string, string> = {};
const gaveWay: string[] = [];
for (const [word, said] of [...saidOf].sort(([p], [q]) => (p < q ? -1 : 1))) {
  const weight = said.reduce((sum, each) => sum + each.weight, 0);
  const count = word.split(' ').length;
  if ((weight < (ENOUGH[count - 1] ?? Infinity) && !familyWords.has(word)) || LEFT_OUT.test(word)) continue;
  const family = kept(word);
  const own = family === undefined ? said : said.filter(({ hex }) => familyIn(hex) === family);
  if (own.length === 0) {
    gaveWay.push(word);
    continue;
  }
  if (own.length < said.length && familyIn(middle(said)) !== family) gaveWay.push(`${word} (kept)`);
  table[word] = middle(own).toLowerCase();
}
// Both ways to write it are one word.
if (table.grey) table.gray = table.grey;
for (const [word, family] of ENGLISH)
  if (!table[word] || familyIn(table[word]) !== family)
    console.log(
      `no colour for “${word}”: ${saidOf
        .get(word)
        ?.map(({ hex }) => `${hex} ${familyIn(hex)}`)
        .join(', ')}`,
    );
console.log(
  `${Object.keys(table).length} words; ${gaveWay.length} gave way to their family: ${gaveWay.join(', ')}`,
);
for (const word of [
  'red',
  'brown',
  'chocolate',
  'green',
  'sky blue',
  'burgundy',
  'cream',
  'navy',
  'teal',
  'gold',
])
  console.log(`${word}: ${table[word]} ${table[word] ? familyIn(table[word]!) : ''}`);
if (process.argv.includes('--write')) writeFileSync(FILE, `${JSON.stringify(table, null, 0)}\n`);
