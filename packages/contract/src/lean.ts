import { groupOf } from '@red-shelf/core';
import type { HoldingView, SupplyView } from './supply';

/** What most supplies say, and so need not be sent. */
const USUAL = {
  maker: '',
  range: '',
  code: '',
  finish: 'matte',
  familyOverride: null,
  familyReason: '',
  note: '',
  facts: {},
} as const;
const USUAL_STOCK = { parts: {}, state: 'ok', uses: 0, used: 0, lastUsedAt: null } as const;
const USUAL_LOT = { version: 1, as: 'whole', sizeUm: null, spot: null, left: 0 } as const;

const isSame = (a: unknown, b: unknown): boolean =>
  a === b ||
  (typeof a === 'object' &&
    a !== null &&
    typeof b === 'object' &&
    b !== null &&
    Object.keys(a).length === 0 &&
    Object.keys(b).length === 0);

/** A thing without what is usual of it. */
function unusual<T extends object>(thing: T, usual: Readonly<Record<string, unknown>>): Partial<T> {
  return Object.fromEntries(
    Object.entries(thing).filter(([key, value]) => !(key in usual && isSame(value, usual[key]))),
  ) as Partial<T>;
}

/** A supply as lists send it: without what is usual, and without what its main lot says already. */
export type LeanSupply = Pick<SupplyView, Always> &
  Partial<Omit<SupplyView, Always | 'stock' | 'holdings'>> & {
    readonly stock: Partial<SupplyView['stock']>;
    readonly holdings: readonly LeanLot[];
  };
type Always = 'id' | 'version' | 'number' | 'kind' | 'form' | 'name' | 'hex' | 'family' | 'createdAt';
type LeanLot = Pick<HoldingView, 'id' | 'items'> & Partial<HoldingView>;

/** Lists are long: what is usual is left out of them on the wire (`fullSupply` puts it back). */
export function leanSupply({ stock, holdings, updatedAt, ...view }: SupplyView): LeanSupply {
  const [main] = holdings;
  const { items, left, ...rest } = stock;
  return {
    ...unusual(view, { ...USUAL, group: groupOf(view.family) }),
    ...(updatedAt === view.createdAt ? {} : { updatedAt }),
    stock: {
      ...unusual(rest, USUAL_STOCK),
      ...(items === main?.items ? {} : { items }),
      ...(left === main?.left ? {} : { left }),
    },
    holdings: holdings.map((lot) => ({
      ...unusual({ ...lot, spot: null }, USUAL_LOT),
      ...(lot.spot ? { spot: lot.spot } : {}),
    })),
  } as LeanSupply;
}

const fullLot = (lot: LeanLot): HoldingView => ({
  id: lot.id,
  version: lot.version ?? USUAL_LOT.version,
  as: lot.as ?? USUAL_LOT.as,
  sizeUm: lot.sizeUm ?? null,
  spot: lot.spot ?? null,
  items: lot.items,
  left: lot.left ?? 0,
});

/** The supply a list's row stands for. Written out field by field: ten thousand of them are made before the first screen. */
export function fullSupply(row: LeanSupply): SupplyView {
  const lots = row.holdings.map(fullLot);
  const [main] = lots;
  const { stock } = row;
  return {
    id: row.id,
    version: row.version,
    number: row.number,
    kind: row.kind,
    form: row.form,
    name: row.name,
    maker: row.maker ?? '',
    range: row.range ?? '',
    code: row.code ?? '',
    hex: row.hex,
    finish: row.finish ?? USUAL.finish,
    familyOverride: row.familyOverride ?? null,
    familyReason: row.familyReason ?? '',
    note: row.note ?? '',
    facts: row.facts ?? {},
    family: row.family,
    group: row.group ?? groupOf(row.family),
    stock: {
      items: stock.items ?? main?.items ?? 0,
      left: stock.left ?? main?.left ?? 0,
      parts: stock.parts ?? {},
      state: stock.state ?? USUAL_STOCK.state,
      uses: stock.uses ?? 0,
      used: stock.used ?? 0,
      lastUsedAt: stock.lastUsedAt ?? null,
    },
    holdings: lots,
    createdAt: row.createdAt,
    updatedAt: row.updatedAt ?? row.createdAt,
  };
}
