/**
 * Measures the cut planner: small tasks against every way there is, sheets of the literature against their published best,
 * and forty panels from sixty scraps and sheets of two sizes by the clock.
 *   npx tsx scripts/cuts.mts [small tasks]
 */
import { planCuts } from '../packages/core/src/index.ts';
import { CM, everyWay, figuresOf } from '../packages/core/src/bench/cut/everyWay.ts';
import { numbersFrom } from '../packages/core/src/arrange/smooth/numbers.ts';
import { OLIVEIRA_FERREIRA, WANG } from '../packages/core/src/bench/cut/published.ts';
import { sized } from './figures/size.mts';

const SMALL = Number(process.argv[2] ?? 200);
const SEED = 11;
const random = numbersFrom(SEED);
const upTo = (n: number): number => 1 + (random() % n);
let [same, proven] = [0, 0];
for (let i = 0; i < SMALL; i++) {
  const kerf = random() % 2;
  const trimmer = random() % 3 === 0 ? 5 : Infinity;
  const panels = Array.from({ length: upTo(3) }, (_, k) => ({
    ...{ id: `p${k}`, widthUm: upTo(5) * CM, heightUm: upTo(5) * CM, count: upTo(2), mayTurn: upTo(3) > 1 },
  }));
  const stock = [0, 1, 2].map((k) => ({
    ...{ id: `s${k}`, widthUm: upTo(7) * CM, heightUm: upTo(7) * CM, count: 1, scrap: k < 2 },
  }));
  const plan = planCuts(panels, stock, { kerfUm: kerf * CM, trimmerUm: trimmer * CM });
  const [mine, best] = [figuresOf(plan, panels, stock), everyWay(panels, stock, kerf, trimmer)];
  same += mine.every((n, k) => Math.abs(n - (best[k] ?? NaN)) < 1e-6) ? 1 : 0;
  proven += plan.provenBest ? 1 : 0;
}
console.log(
  `small tasks like the best of every way: ${same} of ${SMALL}, said to be proven: ${proven} (seed ${SEED})`,
);

for (const { name, panels, best } of [WANG, OLIVEIRA_FERREIRA]) {
  const begun = performance.now();
  const plan = planCuts(
    panels.map(([w, h, count], i) => ({
      ...{ id: `p${i}`, widthUm: w * CM, heightUm: h * CM, count, mayTurn: false },
    })),
    [{ id: 's', widthUm: 70 * CM, heightUm: 40 * CM, count: 1, scrap: false }],
  );
  const area = plan.used
    .flatMap((sheet) => sheet.panels)
    .reduce((sum, { widthUm, heightUm }) => sum + (widthUm / CM) * (heightUm / CM), 0);
  console.log(
    `${name}: area ${area} of a published best of ${best}, ${(performance.now() - begun).toFixed(0)} ms`,
  );
}

const took: number[] = [];
for (let seed = 1; seed <= sized(7, 1); seed++) {
  const next = numbersFrom(seed);
  const mm = (from: number, to: number): number => 1000 * (from + (next() % (to - from)));
  const panels = Array.from({ length: 40 }, (_, i) => ({
    ...{ id: `p${i}`, widthUm: mm(40, 140), heightUm: mm(40, 140), count: 1 },
  }));
  const stock = [
    ...Array.from({ length: 60 }, (_, i) => ({
      ...{ id: `s${i}`, widthUm: mm(50, 200), heightUm: mm(50, 200), count: 1, scrap: true },
    })),
    { id: 'letter', widthUm: 215_900, heightUm: 279_400, count: 30, scrap: false },
    { id: 'twelve', widthUm: 304_800, heightUm: 304_800, count: 30, scrap: false },
  ];
  const begun = performance.now();
  const { newSheets, cuts, used, unmade, provenBest } = planCuts(panels, stock, { trimmerUm: 330_000 });
  took.push(performance.now() - begun);
  console.log(
    `40 panels, seed ${seed}: ${newSheets} new sheets, ${used.length - newSheets} scraps, ${cuts} cuts, ${unmade.length} unmade, proven best: ${provenBest}`,
  );
}
console.log(
  `median ${took.sort((a, b) => a - b)[took.length >> 1]?.toFixed(0)} ms, longest ${Math.max(...took).toFixed(0)} ms`,
);
