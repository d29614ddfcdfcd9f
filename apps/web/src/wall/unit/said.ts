import {
  evenGrid,
  FILLINGS,
  holdsOf,
  KINDS,
  MOST_COLUMNS,
  MOST_LAYERS,
  MOST_ROWS,
  modelSchema,
  parseSize,
  unitRulesSchema,
  type GridModel,
  type Kind,
  type Model,
  type Size,
  type UnitRules,
} from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { readMeasure, sayLength, type Units } from '../../copy/measure';

type RunModel = Extract<Model, { model: 'run' }>;
/** How things are held, as it is chosen; the model each stands for. */
const MODEL_OF = { cells: 'grid', run: 'run', stack: 'stack', loose: 'loose' } as const;
export type How = keyof typeof MODEL_OF;
const howOf = (model: Model | null): How =>
  (Object.keys(MODEL_OF) as How[]).find((how) => MODEL_OF[how] === model?.model) ?? 'cells';

/** A unit as it is typed: sizes as a crafter says them. */
export interface UnitSaid {
  readonly name: string;
  readonly label: string;
  readonly how: How;
  readonly rows: string;
  /** One height for all rows, or one for each. */
  readonly rowHeight: string;
  readonly columns: string;
  readonly columnWidth: string;
  readonly depth: string;
  readonly layers: string;
  readonly wall: string;
  readonly front: string;
  readonly filling: GridModel['filling'];
  readonly skip: string;
  readonly width: string;
  readonly height: string;
  readonly inner: string;
  readonly fill: string;
  /** How things share a length. */
  readonly way: RunModel['how'];
  readonly lip: string;
  readonly finger: string;
  readonly rod: string;
  readonly kinds: readonly Kind[];
  readonly cap: string;
}
export type UnitField = keyof UnitSaid;
export type UnitErrors = Partial<Record<UnitField, string>>;

interface Reading {
  readonly errors: UnitErrors;
  /** Null while its sizes cannot be read. */
  readonly model: Model | null;
  readonly rules: UnitRules | null;
}

/** Between the heights of several rows people write semicolons, plus signs, or a comma and a space. */
const BETWEEN = /\s*(?:[;+]|,\s)\s*/;

const USUAL_BOX = { widthUm: 300_000, heightUm: 100_000, depthUm: 350_000 };
const USUAL_CELL = { widthUm: 100_000, heightUm: 25_000, depthUm: 100_000 };

const USUAL_FILL_PERCENT = 70;
const USUAL_ROD_UM = 12_000;
const USUAL_RUN = { how: 'stand', lipUm: 0 } as Pick<RunModel, 'how' | 'lipUm' | 'rodUm'>;

/** The inside of what has no cells. */
function insideOf(model: Model | null): Size {
  if (!model || model.model === 'grid') return USUAL_BOX;
  return holdsOf(model).space(null);
}

const lengths = (list: readonly number[], units: Units): string => {
  const [first = 0] = list;
  return list.every((each) => each === first)
    ? sayLength(first, units)
    : list.map((each) => sayLength(each, units)).join('; ');
};

/** A unit's sizes and rules as they would be typed; what its way of holding things does not ask starts as usual. */
export function saidOf(unit: Pick<UnitView, 'name' | 'label' | 'model' | 'rules'>, units: Units): UnitSaid {
  const { model, rules } = unit;
  const grid = model?.model === 'grid' ? model : evenGrid(4, 4, USUAL_CELL, { wallUm: 3000 });
  const box = insideOf(model);
  const run = model?.model === 'run' ? model : USUAL_RUN;
  return {
    name: unit.name,
    label: unit.label,
    how: howOf(model),
    rows: String(grid.rowsUm.length),
    rowHeight: lengths(grid.rowsUm, units),
    columns: String(grid.columnsUm.length),
    columnWidth: lengths(grid.columnsUm, units),
    depth: sayLength(grid.depthUm, units),
    layers: String(grid.layers ?? 1),
    wall: sayLength(grid.wallUm, units),
    front: sayLength(grid.frontUm, units),
    filling: grid.filling,
    skip: grid.skipColumns.join(', '),
    width: sayLength(box.widthUm, units),
    height: sayLength(box.heightUm, units),
    inner: sayLength(box.depthUm, units),
    fill: String(model?.model === 'loose' ? model.fillPercent : USUAL_FILL_PERCENT),
    way: run.how,
    lip: sayLength(run.lipUm, units),
    finger: sayLength(model?.model === 'run' || model?.model === 'stack' ? model.fingerUm : 0, units),
    rod: sayLength(run.rodUm ?? USUAL_ROD_UM, units),
    kinds: rules.kinds,
    cap: rules.cap === undefined ? '' : String(rules.cap),
  };
}

/** Reads a unit as it was typed, part by part, and says field by field what is wrong. */
export function readUnit(said: UnitSaid, units: Units): Reading {
  const reader = new Reader(units);
  const model = reader.model(said);
  const rules = reader.rules(said);
  if (said.name.trim() === '') reader.errors.name = 'Give the unit a name.';
  if (!/^[A-Za-z]{0,2}$/.test(said.label.trim()))
    reader.errors.label = 'The letter is one or two letters from A to Z.';
  return { errors: reader.errors, model, rules };
}

/** The field that a part of the model is typed in. */
const FIELD_OF: Readonly<Record<string, UnitField>> = {
  columnsUm: 'columnWidth',
  rowsUm: 'rowHeight',
  depthUm: 'depth',
  layers: 'layers',
  wallUm: 'wall',
  frontUm: 'front',
  skipColumns: 'skip',
  widthUm: 'width',
  heightUm: 'height',
  fillPercent: 'fill',
  lengthUm: 'width',
  lipUm: 'lip',
  fingerUm: 'finger',
  rodUm: 'rod',
};

class Reader {
  readonly errors: UnitErrors = {};
  constructor(private readonly units: Units) {}

  model(said: UnitSaid): Model | null {
    const given = this[said.how](said);
    if (Object.keys(this.errors).length > 0) return null;
    const checked = modelSchema.safeParse(given);
    if (checked.success) return checked.data;
    for (const { path, message } of checked.error.issues) {
      const part = String(path[0]);
      // The depth of a cell and of an inside are typed in two fields.
      const field = part === 'depthUm' && said.how !== 'cells' ? 'inner' : FIELD_OF[part];
      this.errors[field ?? 'name'] ??= message;
    }
    return null;
  }

  rules({ kinds, cap }: UnitSaid): UnitRules | null {
    const checked = unitRulesSchema.safeParse({
      kinds: KINDS.filter((kind) => kinds.includes(kind)),
      ...(cap.trim() === '' ? {} : { cap: Number(cap) }),
    });
    if (checked.success) return checked.data;
    for (const { path, message } of checked.error.issues)
      if (path[0] === 'kinds') this.errors.kinds ??= message;
      else this.errors.cap ??= /^\d+$/.test(cap.trim()) ? message : 'A limit is a whole number such as 40.';
    return null;
  }

  private length(text: string, field: UnitField): number {
    const read = readMeasure(text, 'length', this.units);
    if (read.ok && typeof read.value === 'number') return read.value;
    this.errors[field] = read.ok ? 'Give a length.' : read.message;
    return 0;
  }

  private whole(text: string, field: UnitField, most: number, what: string): number {
    const n = /^\d{1,4}$/.test(text.trim()) ? Number(text) : NaN;
    if (n >= 1 && n <= most) return n;
    this.errors[field] = `${what} are counted from 1 to ${most}.`;
    return 1;
  }

  /** One length for all, or one for each of `count`. */
  private several(text: string, count: number, field: UnitField, what: string): number[] {
    const parts = text.trim().split(BETWEEN);
    if (parts.length === 1) return Array<number>(count).fill(this.length(text, field));
    if (parts.length !== count) {
      this.errors[field] =
        `There are ${count} ${what}, and ${parts.length} sizes. Give one for all, or one for each.`;
      return [];
    }
    const read = parseSize(parts.join(' × '), parts.length, this.units === 'inches' ? 'in' : 'mm');
    if (read.ok) return [...read.um];
    this.errors[field] = `“${read.given.slice(0, 40)}” cannot be read; write lengths such as 22; 22; 40 mm.`;
    return [];
  }

  private columnsToSkip(text: string, columns: number): number[] {
    const skipped = text
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (skipped.some((column) => !Number.isInteger(column) || column < 1 || column > columns))
      this.errors.skip = `Columns are numbered 1 to ${columns}; write the ones to skip like 3, 7.`;
    else if (new Set(skipped).size >= columns) this.errors.skip = 'At least one column must be left to fill.';
    return skipped;
  }

  private cells(said: UnitSaid): Model {
    const rows = this.whole(said.rows, 'rows', MOST_ROWS, 'Rows');
    const columns = this.whole(said.columns, 'columns', MOST_COLUMNS, 'Columns');
    const layers = this.whole(said.layers, 'layers', MOST_LAYERS, 'Spots behind one another');
    return {
      model: 'grid',
      ...(layers > 1 ? { layers } : {}),
      rowsUm: this.several(said.rowHeight, rows, 'rowHeight', 'rows'),
      columnsUm: this.several(said.columnWidth, columns, 'columnWidth', 'columns'),
      depthUm: this.length(said.depth, 'depth'),
      wallUm: this.length(said.wall, 'wall'),
      frontUm: this.length(said.front, 'front'),
      filling: FILLINGS.find((filling) => filling === said.filling) ?? 'rows',
      skipColumns: this.columnsToSkip(said.skip, columns),
    };
  }

  private inside(said: UnitSaid): Size {
    return {
      widthUm: this.length(said.width, 'width'),
      heightUm: this.length(said.height, 'height'),
      depthUm: this.length(said.inner, 'inner'),
    };
  }

  private run(said: UnitSaid): Model {
    const { widthUm: lengthUm, heightUm, depthUm } = this.inside(said);
    return {
      model: 'run',
      how: said.way,
      lengthUm,
      heightUm,
      depthUm,
      lipUm: this.length(said.lip, 'lip'),
      fingerUm: this.length(said.finger, 'finger'),
      ...(said.way === 'rod' ? { rodUm: this.length(said.rod, 'rod') } : {}),
    };
  }

  private stack(said: UnitSaid): Model {
    return { model: 'stack', ...this.inside(said), fingerUm: this.length(said.finger, 'finger') };
  }

  private loose(said: UnitSaid): Model {
    return {
      model: 'loose',
      ...this.inside(said),
      fillPercent: this.whole(said.fill, 'fill', 100, 'Percent'),
    };
  }
}
