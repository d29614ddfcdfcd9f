import { FAMILY_GROUP_INFO, formOf, KIND_DEFINITIONS, makeMatcher, searchText } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import { addressOf } from '../copy/supply';

/** Everything a supply is known by, for searching. */
function textOf(supply: SupplyView, units: readonly UnitView[]): string {
  const address = addressOf(supply, units);
  return searchText([
    supply.name,
    supply.code,
    supply.maker,
    supply.range,
    supply.hex,
    FAMILY_GROUP_INFO[supply.group].name,
    supply.family,
    supply.finish === 'matte' ? null : supply.finish,
    KIND_DEFINITIONS[supply.kind].name,
    KIND_DEFINITIONS[supply.kind].plural,
    formOf(supply.kind, supply.form).name,
    address ?? 'unplaced',
    address?.replace('·', ''),
    supply.stock.state === 'ok' ? null : supply.stock.state,
    supply.note,
  ]);
}

/** Makes a search over the stash; texts are prepared once for many queries. */
export function makeSearch(
  supplies: readonly SupplyView[],
  units: readonly UnitView[],
): (query: string) => SupplyView[] {
  const texts = supplies.map((supply) => ({ supply, text: textOf(supply, units) }));
  return (query) => {
    const matches = makeMatcher(query);
    return texts.filter(({ text }) => matches(text)).map(({ supply }) => supply);
  };
}
