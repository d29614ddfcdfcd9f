import type { CutPlan, CuttingStock, WantedPanel } from './types';

/** A centimetre, µm: sizes here are whole ones. */
export const CM = 10_000;

/** What decides between two plans, the first first. */
export type Figures = readonly [unmade: number, sheets: number, cuts: number, lost: number];
const isLess = (a: Figures, b: Figures): boolean => {
  const i = a.findIndex((n, k) => Math.abs(n - (b[k] ?? 0)) > 1e-9);
  return i >= 0 && (a[i] ?? 0) < (b[i] ?? 0);
};
const use = (w: number, h: number): number => (w > 0 && h > 0 ? ((w * h) / 100) ** 2 : 0);

/** The best of all: every cut at every whole cm, every set in every sheet. Sizes in cm. */
export function everyWay(
  panels: readonly WantedPanel[],
  stock: readonly CuttingStock[],
  kerf: number,
  trimmer: number,
): Figures {
  const each = panels.flatMap((one) => new Array<WantedPanel>(one.count).fill(one));
  const area = (set: number): number =>
    each.reduce((sum, one, i) => sum + (set & (1 << i) ? (one.widthUm / CM) * (one.heightUm / CM) : 0), 0);
  const known = new Map<string, readonly [number, number] | null>();
  const best = (w: number, h: number, set: number): readonly [number, number] | null => {
    if (set === 0) return [0, -use(w, h)];
    if (w <= 0 || h <= 0 || area(set) > w * h) return null;
    const key = `${w} ${h} ${set}`;
    const found = known.get(key);
    if (found !== undefined) return found;
    let least: readonly [number, number] | null = null;
    const i = Math.log2(set);
    const one = Number.isInteger(i) ? each[i] : undefined;
    if (one) {
      const [pw, ph] = [one.widthUm / CM, one.heightUm / CM];
      if ((pw === w && ph === h) || (one.mayTurn && pw === h && ph === w)) least = [0, 0];
    }
    for (let part = set; !least || part >= 0; part = part === 0 ? -1 : (part - 1) & set) {
      if (part < 0) break;
      for (const down of [true, false]) {
        if ((down ? h : w) > trimmer) continue;
        for (let at = 1; at < (down ? w : h); at++) {
          const a = down ? best(at, h, part) : best(w, at, part);
          const b = a && (down ? best(w - at - kerf, h, set - part) : best(w, h - at - kerf, set - part));
          if (!b) continue;
          const all = [1 + a[0] + b[0], a[1] + b[1]] as const;
          if (!least || all[0] < least[0] || (all[0] === least[0] && all[1] < least[1] - 1e-9)) least = all;
        }
      }
      if (part === 0) break;
    }
    known.set(key, least);
    return least;
  };
  let top: Figures = [Infinity, 0, 0, 0];
  const sheets = stock.flatMap((one) => new Array<CuttingStock>(one.count).fill(one));
  const fill = (nr: number, left: number, [, news, cuts, lost]: Figures): void => {
    const here: Figures = [area(left), news, cuts, lost];
    if (isLess(here, top)) top = here;
    const one = sheets[nr];
    if (!one) return;
    const [w, h] = [one.widthUm / CM, one.heightUm / CM];
    fill(nr + 1, left, here);
    for (let set = left; set > 0; set = (set - 1) & left) {
      const way = best(w, h, set);
      if (way)
        fill(nr + 1, left & ~set, [0, news + (one.scrap ? 0 : 1), cuts + way[0], lost + way[1] + use(w, h)]);
    }
  };
  fill(0, (1 << each.length) - 1, [0, 0, 0, 0]);
  return top;
}

/** The same figures of a plan. */
export const figuresOf = (
  plan: CutPlan,
  panels: readonly WantedPanel[],
  stock: readonly CuttingStock[],
): Figures => {
  const cm2 = ({ widthUm, heightUm }: { widthUm: number; heightUm: number }) =>
    (widthUm / CM) * (heightUm / CM);
  const unmade = plan.unmade.reduce((sum, { id, count }) => {
    const one = panels.find((each) => each.id === id);
    return sum + (one ? count * cm2(one) : 0);
  }, 0);
  const lost = plan.used.reduce((sum, { stockId, remains }) => {
    const of = stock.find(({ id }) => id === stockId);
    const over = remains.reduce((all, part) => all + use(part.widthUm / CM, part.heightUm / CM), 0);
    return sum + (of ? use(of.widthUm / CM, of.heightUm / CM) : 0) - over;
  }, 0);
  return [unmade, plan.newSheets, plan.cuts, lost];
};
