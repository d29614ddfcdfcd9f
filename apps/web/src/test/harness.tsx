import { evenGrid } from '@red-shelf/core';
import type { HoldingView, LedgerView, Problem, SupplyView, UnitView } from '@red-shelf/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { configure, fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import type { Living } from '../api/contents';
import { Outgoing } from '../frame/Outgoing';
import { SayProvider } from '../ui/Say';

// A busy machine is slow, not wrong.
configure({ asyncUtilTimeout: 8000 });

type Stock = SupplyView['stock'];
/** A supply to show; `place` is where its one lot is, or null. */
export interface SupplyMore extends Partial<Omit<SupplyView, 'stock'>> {
  readonly place?: { readonly unitId: string; readonly slot: number | null } | null;
  readonly stock?: Omit<Stock, 'used'> & Partial<Pick<Stock, 'used'>>;
}

const STOCK = { items: 1, left: 30, parts: {}, state: 'ok', uses: 3, used: 3, lastUsedAt: null } as const;

export const supply = ({
  place = { unitId: 'u1', slot: 4 },
  stock = STOCK,
  ...more
}: SupplyMore = {}): SupplyView => {
  const id = more.id ?? 's1';
  const main: HoldingView = {
    id: `${id}-lot`,
    version: 2,
    as: 'whole',
    sizeUm: null,
    spot: place && { unitId: place.unitId, cell: place.slot, rank: 0 },
    items: stock.items,
    left: stock.left,
  };
  return {
    id,
    version: 3,
    number: 42,
    facts: {},
    kind: 'ink',
    form: 'full-pad',
    name: 'Marsh Lantern',
    maker: 'Hollin & Quay',
    range: 'Towpath',
    code: '418',
    hex: '#4c9a52',
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    family: 'green',
    group: 'green',
    stock: { used: stock.uses, ...stock },
    holdings: [main],
    createdAt: '2026-05-01T10:00:00.000Z',
    updatedAt: '2026-05-01T10:00:00.000Z',
    ...more,
  };
};

/** What lives in a cell: a supply by its one lot. */
export const living = (of: SupplyView | null): Living | null => {
  const lot = of?.holdings[0];
  return of && lot ? { supply: of, lot } : null;
};

/** A line of a supply's history. */
export const entry = (happened: object): LedgerView =>
  ({
    id: 'e',
    supplyId: 's1',
    at: '2026-05-01T10:00:00.000Z',
    recordedAt: '2026-05-01T10:00:00.000Z',
    shifts: [],
    ...happened,
  }) as unknown as LedgerView;

const CELL = { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 };

export const unit = (more: Partial<UnitView> = {}): UnitView => ({
  id: 'u1',
  version: 1,
  parentId: 'room',
  sort: 'unit',
  label: 'B',
  name: 'Pad rack',
  model: evenGrid(2, 3, CELL, { wallUm: 4000 }),
  rules: { kinds: ['ink'] },
  facts: { template: 'pad-rack' },
  ...more,
});

export const change = (more: object = {}) => ({
  id: 'c1',
  kind: 'act',
  name: 'Marsh Lantern',
  count: 1,
  ...more,
});

/** A record as the server lists it. */
export const record = (id: string, body: object) => ({
  id,
  version: 2,
  createdAt: '2026-01-01T00:00:00.000Z',
  updatedAt: '2026-01-01T00:00:00.000Z',
  body,
});

export const press = (name: string | RegExp): boolean =>
  fireEvent.click(screen.getByRole('button', { name }));
export const type = (label: string, text: string): boolean =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  /** What the client named it. */
  readonly command?: string | undefined;
}
type Answer = object | ((sent: Sent) => object);

/** A refusal as the server would send it. */
export class Refused {
  constructor(readonly problem: Partial<Problem> & { title: string; status: number; code: string }) {}
}

/** A server that answers what it is told, keyed by `METHOD /path`, and remembers what it was sent. */
export function fakeServer(answers: Record<string, Answer>): Sent[] {
  const sent: Sent[] = [];
  // As a browser does: what goes wrong on the way rejects.
  global.fetch = jest.fn(async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body;
    const command = (init.headers as Record<string, string> | undefined)?.['Command-Id'];
    const request = { method, path, body, command };
    if (method !== 'GET') sent.push(request);
    const known =
      answers[`${method} ${path}`] ?? answers[`${method} ${path.replace(/[0-9a-f-]{36}/, ':id')}`];
    if (known === undefined) return Promise.reject(new TypeError(`nothing at ${method} ${path}`));
    const answer = typeof known === 'function' ? (known as (sent: Sent) => object)(request) : known;
    const refused = answer instanceof Refused;
    const content = refused ? { type: 'about:blank', ...answer.problem } : answer;
    return Promise.resolve({
      ok: !refused,
      status: refused ? answer.problem.status : 200,
      json: () => Promise.resolve(content),
      text: () => Promise.resolve(JSON.stringify(content)),
    } as Response);
  }) as unknown as typeof fetch;
  return sent;
}

/** Renders a screen inside everything it expects around it. */
export function show(screen: ReactElement) {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, gcTime: 0 }, mutations: { retry: false, gcTime: 0 } },
  });
  return render(
    <QueryClientProvider client={client}>
      <PaperProvider settings={{ icon: () => null }}>
        <SayProvider>
          <Outgoing />
          {screen}
        </SayProvider>
      </PaperProvider>
    </QueryClientProvider>,
  );
}

/** A wall as screens are given it: without pieces, what stands in it is all there is. */
export const wallOf = (units: readonly UnitView[] = [unit()], roomName = 'Room') => ({
  roomName,
  units: [...units],
  all: units,
});
