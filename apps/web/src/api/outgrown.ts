import { addressIn, isRefusal, mayLive, signsIn, type RoomNow, type Warning } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { insideOf, type Living } from './contents';
import { sayLeftOver, sayWarning } from '../copy/reasons';

interface Known {
  readonly supplies: readonly SupplyView[];
  readonly units: readonly UnitView[];
}
/** What lives in each unit, with one supply as it is about to be. */
function livingWith(supply: SupplyView, { supplies }: Known): RoomNow['livingIn'] {
  const all = supplies.map((each) => (each.id === supply.id ? supply : each));
  return (unitId) =>
    all.flatMap((each) =>
      each.holdings.flatMap((lot) => (lot.spot?.unitId === unitId ? [{ supply: each, lot }] : [])),
    );
}

/** What it is like in each unit, gone through once. */
function signsOf({ supplies, units }: Known): RoomNow['marksOf'] {
  const inside = new Map<string, Living[]>();
  for (const supply of supplies)
    for (const lot of supply.holdings)
      if (lot.spot) inside.set(lot.spot.unitId, [...(inside.get(lot.spot.unitId) ?? []), { supply, lot }]);
  return signsIn(units, insideOf(inside));
}

const CROWDING: ReadonlySet<Warning['code']> = new Set(['too_thick', 'too_full']);
const NEAR: ReadonlySet<Warning['code']> = new Set(['care', 'bad_company']);

/** What is wrong with where it is, as `unit cell code`, with the sentence about it. */
function wrongs(
  supply: SupplyView,
  { units, supplies }: Known,
  codes: ReadonlySet<Warning['code']>,
  marksOf: RoomNow['marksOf'],
): Map<string, string> {
  const room = { livingIn: livingWith(supply, { supplies, units }), ...(marksOf ? { marksOf } : {}) };
  const nameOf = (id: string): string => supplies.find((each) => each.id === id)?.name ?? 'something';
  return new Map(
    supply.holdings.flatMap((lot): [string, string][] => {
      const unit = units.find(({ id }) => id === lot.spot?.unitId);
      if (!unit || !lot.spot) return [];
      const { cell } = lot.spot;
      const answer = mayLive({ supply, lot }, { unit, cell }, room);
      if (answer === null) return [];
      if (isRefusal(answer))
        return answer.code === 'run_full' || answer.code === 'stack_full'
          ? [[`${unit.id} ${cell} ${answer.code}`, `${addressIn(unit, cell)}: ${sayLeftOver(answer)}.`]]
          : [];
      return answer
        .filter(({ code }) => codes.has(code))
        .map((warning): [string, string] => [
          `${unit.id} ${cell} ${warning.code === 'care' ? warning.rule : warning.code}`,
          `${addressIn(unit, cell)}: ${sayWarning(warning, nameOf)}`,
        ]);
    }),
  );
}

const spotsOf = ({ holdings }: SupplyView): string =>
  JSON.stringify(holdings.map(({ id, spot }) => [id, spot]));

/**
 * What an act made too much for its place, and, where it is another thing now and stands where it stood, what that place does to it, in
 * sentences; what was so before is not said again.
 */
export function sayOutgrown(after: SupplyView | undefined, known: Known): string {
  const before = after && known.supplies.find(({ id }) => id === after.id);
  if (!before) return '';
  const another = JSON.stringify(before.facts) !== JSON.stringify(after.facts) || before.form !== after.form;
  const judged = another && spotsOf(before) === spotsOf(after);
  const codes = judged ? new Set([...CROWDING, ...NEAR]) : CROWDING;
  const marksOf = judged ? signsOf(known) : undefined;
  const already = wrongs(before, known, codes, marksOf);
  return [...wrongs(after, known, codes, marksOf)]
    .flatMap(([key, said]) => (already.has(key) ? [] : ` ${said}`))
    .join('');
}
