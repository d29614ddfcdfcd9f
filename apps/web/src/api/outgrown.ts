import { addressIn, isRefusal, mayLive, type Warning } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { sayLeftOver, sayWarning } from '../copy/reasons';

interface Known {
  readonly supplies: readonly SupplyView[];
  readonly units: readonly UnitView[];
}

/** What is too much for its place, as `unit cell code`, with the sentence about it. */
function crowded(supply: SupplyView, { supplies, units }: Known): Map<string, string> {
  const all = supplies.map((each) => (each.id === supply.id ? supply : each));
  const livingIn = (unitId: string) =>
    all.flatMap((each) =>
      each.holdings.flatMap((lot) => (lot.spot?.unitId === unitId ? [{ supply: each, lot }] : [])),
    );
  const isCrowding = ({ code }: Warning): boolean => code === 'too_thick' || code === 'too_full';
  return new Map(
    supply.holdings.flatMap((lot): [string, string][] => {
      const unit = units.find(({ id }) => id === lot.spot?.unitId);
      if (!unit || !lot.spot) return [];
      const { cell } = lot.spot;
      const answer = mayLive({ supply, lot }, { unit, cell }, { livingIn });
      if (answer === null) return [];
      if (isRefusal(answer))
        return answer.code === 'run_full' || answer.code === 'stack_full'
          ? [[`${unit.id} ${cell} ${answer.code}`, `${addressIn(unit, cell)}: ${sayLeftOver(answer)}.`]]
          : [];
      return answer
        .filter(isCrowding)
        .map((warning): [string, string] => [
          `${unit.id} ${cell} ${warning.code}`,
          `${addressIn(unit, cell)}: ${sayWarning(warning, () => 'something')}`,
        ]);
    }),
  );
}

/** What an act made too much for its place, in sentences; what was too much before is not said again. */
export function sayOutgrown(after: SupplyView | undefined, known: Known): string {
  const before = after && known.supplies.find(({ id }) => id === after.id);
  if (!before) return '';
  const already = crowded(before, known);
  return [...crowded(after, known)].flatMap(([key, said]) => (already.has(key) ? [] : ` ${said}`)).join('');
}
