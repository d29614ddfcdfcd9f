import type { Kind, VisibleEnd } from '../kinds/definition';
import { formOf, KIND_DEFINITIONS } from '../kinds/registry';
import type { PlaceSign } from './care';
import { cellAt } from './models/grid';
import type { Model } from './models/models';
import { holdsOf } from './models/models';
import { findTemplate, type UnitTemplate } from './templates';
import type { UnitFacts, UnitRules } from './unitFacts';

/** The room, furniture in it, what things are in, and the hand: everything that is out on the bench. */
export const UNIT_SORTS = ['room', 'piece', 'unit', 'hand'] as const;
export type UnitSort = (typeof UNIT_SORTS)[number];

/** A node of the room: where things can be. */
export interface Unit {
  readonly id: string;
  readonly version: number;
  /** The unit it stands in; null for the room. */
  readonly parentId: string | null;
  readonly sort: UnitSort;
  /** Letters printed before every address in it. */
  readonly label: string;
  readonly name: string;
  /** How it holds things; null where it only holds units, and for the hand. */
  readonly model: Model | null;
  readonly rules: UnitRules;
  readonly facts: UnitFacts;
}

/** There is one room and one hand; their ids never change. */
export const ROOM_ID = 'room';
export const HAND_ID = 'hand';

/** Places a unit has: its cells, or 1 where things lie loose. */
export const placesIn = ({ model }: Pick<Unit, 'model'>): number =>
  model ? Math.max(1, holdsOf(model).cells) : 0;

/** Cells that are filled, at most as many as the limit allows; null where there are no cells to count. */
export function roomIn({ model, rules }: Pick<Unit, 'model' | 'rules'>): number | null {
  const limit = rules.cap ?? Infinity;
  if (!model || holdsOf(model).cells === 0) return rules.cap ?? null;
  return Math.min(limit, holdsOf(model).order.length);
}

/** What of a unit says its addresses. */
export type Addressed = Pick<Unit, 'label' | 'model'> & { readonly facts?: Pick<UnitFacts, 'spotNames'> };

/** The address of a spot, as printed: `B2·04`, or the person's own `B·Reds`, or the letter alone where there are no cells. */
export function addressIn({ label, model, facts }: Addressed, cell: number | null): string {
  if (!model) return label;
  const own = cell === null ? undefined : ownNameOf({ model, facts }, cell);
  return own === undefined ? holdsOf(model).address(label, cell) : `${label}·${own}`;
}

/** The person's own name for a spot, kept by its row and column, so that it stays when the unit gets another size. */
const ownNameOf = (
  { model, facts }: Pick<Addressed, 'model' | 'facts'>,
  cell: number,
): string | undefined => {
  if (!facts?.spotNames || model?.model !== 'grid') return undefined;
  const { row, column, layer } = cellAt(model, cell);
  if (layer > 0) return undefined;
  return facts.spotNames.find((each) => each.row === row && each.column === column)?.name;
};

/** Whether a spot is left as it is when things are arranged: it was said of it, or of the whole unit. */
export function staysAt({ model, facts }: Pick<Unit, 'model' | 'facts'>, cell: number | null): boolean {
  if (facts.stays) return true;
  if (!facts.spotsStay || model?.model !== 'grid' || cell === null) return false;
  const { row, column } = cellAt(model, cell);
  return facts.spotsStay.some((each) => each.row === row && each.column === column);
}

/** The facts of a unit once a spot of it is to stay as it is, or is not any more. */
export function withSpotStaying(
  { model, facts }: Pick<Unit, 'model' | 'facts'>,
  cell: number,
  stays: boolean,
): UnitFacts {
  if (model?.model !== 'grid') return facts;
  const { row, column } = cellAt(model, cell);
  const { spotsStay = [], ...rest } = facts;
  const others = spotsStay.filter((each) => each.row !== row || each.column !== column);
  const next = stays ? [...others, { row, column }] : others;
  return next.length > 0 ? { ...rest, spotsStay: next } : rest;
}

/** The spot an address means among units, the first one where several are said; null where there is none such. */
export function spotCalled(
  address: string,
  units: readonly (Addressed & Pick<Unit, 'id'>)[],
): { readonly unitId: string; readonly cell: number | null } | null {
  const [first = ''] = address.split(/[,;]/).map((each) => each.trim().toUpperCase());
  for (const unit of units) {
    if (unit.label === '' || !first.startsWith(unit.label) || !unit.model) continue;
    const { cells } = holdsOf(unit.model);
    if (cells === 0 && first === unit.label) return { unitId: unit.id, cell: null };
    for (let cell = 0; cell < cells; cell++)
      if (addressIn(unit, cell).toUpperCase() === first) return { unitId: unit.id, cell };
  }
  return null;
}

/** What an open slot looks like: as its template says, else as what it is made for. */
export function endOf({ facts, rules }: Pick<Unit, 'facts' | 'rules'>): VisibleEnd {
  const template = facts.template === undefined ? undefined : findTemplate(facts.template);
  if (template) return template.end;
  const kind: Kind = rules.kinds[0] ?? 'companion';
  return formOf(kind, KIND_DEFINITIONS[kind].defaultForm).end;
}

/** Whether it stands in the room and takes things. */
export const isOnWall = ({ facts: { standing = 'active' } }: Pick<Unit, 'facts'>): boolean =>
  standing === 'active' || standing === 'worn';

/** A unit and everything it stands in, the outermost first; stops where a parent is not known. */
export function pathTo<U extends Pick<Unit, 'id' | 'parentId'>>(
  unit: U,
  byId: ReadonlyMap<string, U>,
): readonly U[] {
  const path: U[] = [unit];
  const seen = new Set([unit.id]);
  for (let at = byId.get(unit.parentId ?? ''); at && !seen.has(at.id); at = byId.get(at.parentId ?? '')) {
    path.unshift(at);
    seen.add(at.id);
  }
  return path;
}

/** The shoulder of a smaller person; what is lifted down from above it is lifted with stretched arms. */
const SHOULDER_UM = 1_300_000;

/** How high its foot is above the floor, as measured, µm; what nobody measured counts as standing on what it stands in. */
const footUm = <U extends Pick<Unit, 'id' | 'parentId' | 'facts'>>(
  unit: U,
  byId: ReadonlyMap<string, U>,
): number => pathTo(unit, byId).reduce((sum, { facts }) => sum + (facts.pose?.upUm ?? 0), 0);

/** From here on furniture that nothing holds can be pulled over. */
const TALL_UM = 1_000_000;
/** Whether something is tall and, as was said, fixed to nothing; where nobody said so it is not held against it. */
export const isTallAndFree = ({ outsideUm, fixedTo }: UnitFacts): boolean =>
  fixedTo === 'nothing' && (outsideUm?.heightUm ?? 0) >= TALL_UM;

/** What it is like in a unit: its own marks, those of everything it stands in, being high or
 * free to fall where that was measured, and being a heap. */
export const marksIn = <U extends Pick<Unit, 'id' | 'parentId' | 'model' | 'facts'>>(
  unit: U,
  byId: ReadonlyMap<string, U>,
): ReadonlySet<PlaceSign> =>
  new Set([
    ...pathTo(unit, byId).flatMap(({ facts }) => [
      ...(facts.marks ?? []),
      ...(isTallAndFree(facts) ? (['loose'] as const) : []),
    ]),
    ...(unit.model?.model === 'loose' ? (['heap'] as const) : []),
    ...(footUm(unit, byId) >= SHOULDER_UM ? (['high'] as const) : []),
  ]);

/** A unit just as its template says, not put up yet. */
export const unitFromTemplate = ({ id, name, holds, model, facts }: UnitTemplate): Unit => ({
  id: 'new',
  version: 1,
  parentId: ROOM_ID,
  sort: 'unit',
  label: '',
  name,
  model,
  rules: { kinds: [...holds] },
  facts: { template: id, ...facts },
});
