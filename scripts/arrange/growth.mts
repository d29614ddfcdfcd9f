import { colornames } from 'color-name-list';
import { familyOf } from '../../packages/core/src/colour/family.ts';
import type { Family } from '../../packages/core/src/colour/families.ts';
import { insertOne } from '../../packages/core/src/arrange/insertOne.ts';
import type { ColouredItem } from '../../packages/core/src/arrange/order.ts';
import { rainbowOrder } from '../../packages/core/src/arrange/rainbow.ts';
import { numbersFrom } from '../../packages/core/src/arrange/smooth/numbers.ts';
import { spreadRoom } from '../../packages/core/src/arrange/spreadRoom.ts';

const FROM = 0.6;
const TO = 0.95;

const hexesOf = new Map<Family, string[]>();
for (const { hex } of colornames) {
  const { family } = familyOf(hex.toLowerCase());
  const hexes = hexesOf.get(family);
  if (hexes) hexes.push(hex.toLowerCase());
  else hexesOf.set(family, [hex.toLowerCase()]);
}

/**
 * Fills spots from 60% to 95% by purchases one after another, some families bought far more than others (the k-th a k-th as often), and
 * answers how many things moved over for each and how many purchases moved nothing.
 */
export function grown(
  spots: number,
  seed: number,
  tolerance: number,
): { moved: number; still: number; bought: number } {
  const number = numbersFrom(seed);
  const share = (): number => number() / 2 ** 32;
  const families = [...hexesOf.keys()].sort().sort(() => share() - 0.5);
  const rates = Object.fromEntries(families.map((family, i) => [family, 1 / (i + 1)]));
  const all = Object.values(rates).reduce((sum, rate) => sum + rate, 0);
  let count = 0;
  const buy = (): ColouredItem => {
    let left = share() * all;
    const family = families.find((each) => (left -= rates[each] ?? 0) <= 0) ?? families[0]!;
    const hexes = hexesOf.get(family)!;
    return { id: String(count++), hex: hexes[number() % hexes.length]! };
  };
  const begun = Array.from({ length: Math.round(spots * FROM) }, buy);
  const run = spreadRoom(rainbowOrder(begun), spots, rates);
  let [moved, still, bought] = [0, 0, 0];
  while (count < Math.round(spots * TO)) {
    const item = buy();
    const { spot, shifts } = insertOne(run, item, { tolerance, rates });
    for (const { from, to } of shifts) [run[from], run[to]] = [run[to]!, run[from]!];
    run[spot] = item;
    moved += shifts.length;
    bought++;
    if (shifts.length === 0) still++;
  }
  return { moved, still, bought };
}
