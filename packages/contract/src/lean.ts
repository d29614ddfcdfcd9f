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
export interface LeanSupply extends Omit<Partial<SupplyView>, 'stock' | 'holdings'> {
  readonly stock: Partial<SupplyView['stock']>;
  readonly holdings: readonly Partial<HoldingView>[];
}

/** Lists are long: what is usual is left out of them on the wire (`fullSupply` puts it back). */
export function leanSupply({ stock, holdings, updatedAt, ...view }: SupplyView): LeanSupply {
  const [main] = holdings;
  const { items, left, ...rest } = stock;
  return {
    ...unusual(view, { ...USUAL, group: view.family }),
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
  };
}

/** The supply a list's row stands for. */
export function fullSupply({ stock, holdings, ...lean }: LeanSupply): SupplyView {
  const lots = holdings.map((lot) => ({ ...USUAL_LOT, ...lot }) as HoldingView);
  const [main] = lots;
  const counted = { items: main?.items ?? 0, left: main?.left ?? 0 };
  return {
    ...USUAL,
    group: lean.family,
    updatedAt: lean.createdAt,
    ...lean,
    stock: { ...USUAL_STOCK, ...counted, ...stock },
    holdings: lots,
  } as SupplyView;
}
