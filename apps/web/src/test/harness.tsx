import type { Problem, SupplyView, UnitView } from '@red-shelf/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { SayProvider } from '../frame/Say';

export const supply = (more: Partial<SupplyView> = {}): SupplyView => ({
  id: 's1',
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
  stock: { items: 1, left: 30, parts: {}, state: 'ok', uses: 3, lastUsedAt: null },
  place: { unitId: 'u1', slot: 4 },
  createdAt: '2026-05-01T10:00:00.000Z',
  updatedAt: '2026-05-01T10:00:00.000Z',
  ...more,
});

export const unit = (more: Partial<UnitView> = {}): UnitView => ({
  id: 'u1',
  version: 1,
  letter: 'B',
  name: 'Pad rack',
  template: 'pad-rack',
  rows: 2,
  columns: 3,
  slot: { widthMm: 102, heightMm: 22, depthMm: 70 },
  wallMm: 4,
  frontMm: 0,
  holds: ['ink'],
  end: 'bar',
  facts: {},
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
}
type Answer = object | ((sent: Sent) => object);

/** A refusal as the server would send it. */
export class Refused {
  constructor(readonly problem: Partial<Problem> & { title: string; status: number; code: string }) {}
}

/** A server that answers what it is told, keyed by `METHOD /path`, and remembers what it was sent. */
export function fakeServer(answers: Record<string, Answer>): Sent[] {
  const sent: Sent[] = [];
  global.fetch = jest.fn((path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body;
    const request = { method, path, body };
    if (method !== 'GET') sent.push(request);
    const known = answers[`${method} ${path}`];
    if (known === undefined) return Promise.reject(new TypeError(`nothing at ${method} ${path}`));
    const answer = typeof known === 'function' ? (known as (sent: Sent) => object)(request) : known;
    const refused = answer instanceof Refused;
    const content = refused ? { type: 'about:blank', ...answer.problem } : answer;
    return Promise.resolve({
      ok: !refused,
      status: refused ? answer.problem.status : 200,
      json: () => Promise.resolve(content),
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
        <SayProvider>{screen}</SayProvider>
      </PaperProvider>
    </QueryClientProvider>,
  );
}
