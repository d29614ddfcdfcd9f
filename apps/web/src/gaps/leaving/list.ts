import { formOf, printMoney, writeTable } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { sayStock, sayWhat } from '../../copy/supply';
import { many } from '../../copy/words';
import type { PaperSize } from '../../draw/paper';

/** "as new, with its packaging". */
const sayState = ({ facts: { condition, packaging } }: SupplyView): string =>
  [condition ?? 'condition not said', packaging ? 'with its packaging' : ''].filter(Boolean).join(', ');

const sayAsked = ({ facts: { asking, grade } }: SupplyView): string =>
  asking ? printMoney(asking) : grade === 'give away' ? 'to give away' : '';

/** What is asked for all of it, by currency. */
export function sayAskedInAll(supplies: readonly SupplyView[]): string {
  const sums = new Map<string, number>();
  for (const { facts } of supplies)
    if (facts.asking)
      sums.set(facts.asking.currency, (sums.get(facts.asking.currency) ?? 0) + facts.asking.minor);
  return [...sums].map(([currency, minor]) => printMoney({ minor, currency })).join(' and ');
}

/** The list to sell or to give, a line each. */
export const leavingAsText = (supplies: readonly SupplyView[]): string =>
  supplies
    .map((supply) =>
      [`${supply.name}, ${sayWhat(supply)}`, sayStock(supply), sayState(supply), sayAsked(supply)]
        .filter(Boolean)
        .join(' – '),
    )
    .join('\n');

export const leavingAsCsv = (supplies: readonly SupplyView[]): string =>
  writeTable([
    ['Name', 'Maker', 'Range', 'Code', 'Form', 'Left', 'Condition', 'Packaging', 'Asked'],
    ...supplies.map((supply) => [
      ...[supply.name, supply.maker, supply.range, supply.code, formOf(supply.kind, supply.form).name],
      ...[sayStock(supply), supply.facts.condition ?? '', supply.facts.packaging ? 'yes' : ''],
      sayAsked(supply),
    ]),
  ]);

/** The list to print, with squares to tick. */
export async function printLeaving(supplies: readonly SupplyView[], paper: PaperSize): Promise<Blob> {
  const { Sheet } = await import('../../draw/printing');
  const sheet = await Sheet.open(paper);
  sheet.title('To sell or to give away');
  for (const supply of supplies)
    sheet.line({
      ...{ ticks: 1, hex: supply.hex },
      words: `${supply.name}, ${sayWhat(supply)} – ${sayState(supply)}`,
      aside: sayAsked(supply),
    });
  const asked = sayAskedInAll(supplies);
  sheet.text(`${many(supplies.length, 'thing')}${asked ? `, ${asked} asked for them` : ''}.`);
  return sheet.save();
}
