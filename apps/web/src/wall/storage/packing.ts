import { addressIn } from '@red-shelf/core';
import { massIn, type Contents } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { sayMass, type Units } from '../../copy/measure';
import { unitTitle } from '../../copy/supply';
import { many } from '../../copy/words';
import type { PaperSize } from '../../draw/paper';

/** More than this is heavy for one box, mg. */
const HEAVY_MG = 15_000_000;

/** For moving house: place by place how it stands, what is in it in its order, each to tick when packed and when back. */
export async function printPacking(
  stash: Stash,
  contents: ReadonlyMap<string, Contents>,
  { units, paper }: { readonly units: Units; readonly paper: PaperSize },
): Promise<Blob> {
  const { Sheet } = await import('../../draw/printing');
  const sheet = await Sheet.open(paper);
  sheet.title('Packing list and restore sheet');
  sheet.text('Tick the first box when it is packed, the second when it is back in its place.');
  let box = 0;
  for (const unit of stash.wall.units) {
    const slots = contents.get(unit.id) ?? [];
    const things = slots.flatMap((each, at) => (each ? [{ ...each, at }] : []));
    if (things.length === 0) continue;
    const mass = massIn(slots);
    sheet.heading(`Box ${++box}: ${unitTitle(unit)}`, 220);
    sheet.text(`${many(things.length, 'thing')}, about ${sayMass(mass, units)}`);
    if (mass > HEAVY_MG)
      sheet.text('Heavy: pack it in several boxes, lift with your legs, and let somebody help you.');
    sheet.drawings([{ words: 'as it stands', unit, slots }]);
    for (const { supply, lot, at } of things)
      sheet.line({
        ...{ ticks: 2, hex: supply.hex, words: `${supply.name} · ${supply.number}` },
        aside: lot.spot?.cell === null ? `${unit.label} ${at + 1}` : addressIn(unit, at),
      });
  }
  return sheet.save();
}
