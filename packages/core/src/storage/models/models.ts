import type { Size, VisibleEnd } from '../../kinds/definition';
import type { Turn } from '../../fit/turns';
import type { Box, Shared, ModelDefinition } from './definition';
import { grid } from './grid';
import type { GridModel } from './gridSchema';
import { loose } from './loose';
import type { LooseModel } from './looseSchema';
import { run } from './run';
import type { RunModel } from './runSchema';
import { stack } from './stack';
import type { StackModel } from './stackSchema';

export type Model = GridModel | RunModel | StackModel | LooseModel;

const MODELS: { readonly [M in Model as M['model']]: ModelDefinition<M> } = { grid, run, stack, loose };

/** A model's definition, bound to its sizes: what every reader asks, whatever the model. */
export interface Holds {
  readonly shares: boolean;
  readonly openFront: boolean;
  readonly cells: number;
  readonly order: readonly number[];
  readonly address: (label: string, cell: number | null) => string;
  readonly space: (cell: number | null) => Size;
  readonly ways: 'any' | 'as wanted' | readonly Turn[];
  readonly fill: (contents: readonly Size[]) => Shared | null;
  readonly overflows: 'refused' | 'too full';
  readonly outside: (asBuilt?: boolean) => { readonly w: number; readonly h: number };
  readonly boxes: (contents: readonly Size[], asBuilt?: boolean) => readonly Box[];
  readonly hidden: (contents: readonly Size[]) => readonly number[];
  readonly toReach: (contents: readonly Size[], index: number) => readonly number[];
  readonly seen: (end: VisibleEnd) => VisibleEnd;
  readonly behind: readonly Box[];
  readonly fronts: (asBuilt?: boolean) => readonly Box[];
}

function bind<M extends Model>(definition: ModelDefinition<M>, model: M): Holds {
  const { shares, openFront, overflows } = definition;
  return {
    shares,
    openFront,
    overflows,
    ways: definition.ways(model),
    cells: definition.cells(model),
    get order() {
      return definition.order(model);
    },
    address: (label, cell) => definition.address(label, model, cell),
    space: (cell) => definition.space(model, cell),
    fill: (contents) => definition.fill(model, contents),
    outside: (asBuilt) => definition.outside(model, asBuilt),
    boxes: (contents, asBuilt) => definition.boxes(model, contents, asBuilt),
    hidden: (contents) => definition.hidden(model, contents),
    toReach: (contents, index) => definition.toReach(model, contents, index),
    seen: (end) => definition.seen?.(model, end) ?? end,
    get behind() {
      return definition.behind?.(model) ?? [];
    },
    fronts: (asBuilt) => definition.fronts(model, asBuilt),
  };
}

const bound = new WeakMap<Model, Holds>();

/** What a unit's model answers. Kept with the model, which never changes in place. */
export function holdsOf(model: Model): Holds {
  const known = bound.get(model);
  if (known) return known;
  const made = bind(MODELS[model.model] as ModelDefinition<Model>, model);
  bound.set(model, made);
  return made;
}

/** Whether a number is a cell of a model; where there are no cells, only null is. */
export function isSpotOf(model: Model, cell: number | null): boolean {
  const { cells } = holdsOf(model);
  return cells === 0 ? cell === null : cell !== null && Number.isInteger(cell) && cell >= 0 && cell < cells;
}
