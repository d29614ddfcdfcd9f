import type { ArrangePreview, UnitView } from '@red-shelf/contract';
import type { Stash } from '../api/queries';
import { sayLeftOver } from '../copy/reasons';
import { unitTitle } from '../copy/supply';
import { many } from '../copy/words';
import type { PaperSize } from '../draw/paper';
import type { Step } from './plan/step';
import { sayRuns } from './runs';
import { contentsOf } from './Sides';
import { sayVerdict } from './verdict';

/** Now and planned side by side, place by place, with the verdict and where runs go on. */
export async function printSides(plan: ArrangePreview, stash: Stash, paper: PaperSize): Promise<Blob> {
  const { Sheet } = await import('../draw/printing');
  const sheet = await Sheet.open(paper);
  sheet.title('Now and planned');
  const { head, body } = sayVerdict(plan);
  sheet.text(head);
  sheet.text(body);
  for (const line of sayRuns(plan, stash.wall.units)) sheet.text(line);
  for (const unit of stash.wall.units) {
    const slotsOf = (side: ArrangePreview['before']) =>
      side.units.find(({ unitId }) => unitId === unit.id)?.slots;
    const [before, after] = [slotsOf(plan.before), slotsOf(plan.after)];
    if (!before || !after) continue;
    sheet.heading(unitTitle(unit), 220);
    sheet.drawings([
      { words: 'now', unit, slots: contentsOf(before, stash) },
      { words: 'planned', unit, slots: contentsOf(after, stash) },
    ]);
  }
  if (plan.leftOver.length > 0) sheet.heading(`Left over: ${plan.leftOver.length}`, 30);
  for (const { supplyId, reason } of plan.leftOver) {
    const supply = stash.byId.get(supplyId);
    if (supply) sheet.line({ hex: supply.hex, words: `${supply.name}: ${sayLeftOver(reason)}` });
  }
  return sheet.save();
}

/** The lifts that are left, in the order one walks, each to tick. */
export async function printLifts(
  title: string,
  steps: readonly Step[],
  nameOf: (spot: Step['from']) => string,
  units: readonly UnitView[],
  paper: PaperSize,
): Promise<Blob> {
  const { Sheet } = await import('../draw/printing');
  const sheet = await Sheet.open(paper);
  sheet.title(title);
  sheet.text(`${many(steps.length, 'lift')}. Each goes into a place that is empty by then, in this order.`);
  let way = '';
  const titleOf = (spot: Step['from']): string => {
    const unit = units.find(({ id }) => id === spot?.unitId);
    return unit ? unitTitle(unit) : nameOf(spot);
  };
  for (const { thing, from, to } of steps) {
    const next = `${titleOf(from)} to ${titleOf(to)}`;
    if (next !== way) sheet.heading(next, 30);
    way = next;
    sheet.line({
      ...{ ticks: 1, hex: thing.supply.hex, words: thing.supply.name },
      aside: `${nameOf(from)}  >  ${nameOf(to)}`,
    });
  }
  return sheet.save();
}
