/** Requests of every route, nearly right or wrong in every way, from a seed. */
import { routes } from '../../packages/contract/src/index.ts';
import fc from 'fast-check';

const WORDS = [
  '',
  ' ',
  'Fern',
  'x'.repeat(5000),
  '\u0000',
  '\ud800',
  '=HYPERLINK("x")',
  '../..',
  '🎏',
  "x' OR 1=1 --",
  '#4c9a52',
  'teal',
  'ink',
  'full-pad',
  'room',
  'hand',
  'whole',
  'preferences',
];
const NUMBERS = [0, 1, -1, 1.5, 1e9, 1e15, Number.MAX_SAFE_INTEGER, 2 ** 63, -(2 ** 53), 1e308];
const leaf = fc.oneof(
  fc.constantFrom<unknown>(null, true, false, ...WORDS, ...NUMBERS),
  fc.string({ maxLength: 30 }),
  fc.integer(),
);
const value = fc.oneof(
  { depthSize: 'small', withCrossShrink: true },
  { weight: 5, arbitrary: leaf },
  { weight: 2, arbitrary: fc.array(leaf, { maxLength: 4 }) },
  {
    weight: 2,
    arbitrary: fc.dictionary(
      fc.constantFrom('id', 'version', 'unitId', 'cell', 'supplyId', 'attributes', 'model', 'x'),
      leaf,
      { maxKeys: 4 },
    ),
  },
);
const KEYS = [
  'kind',
  'form',
  'name',
  'maker',
  'range',
  'code',
  'hex',
  'finish',
  'familyOverride',
  'note',
  'facts',
  'version',
  'count',
  'parts',
  'supplies',
  'set',
  'act',
  'amount',
  'of',
  'lotId',
  'heldFor',
  'items',
  'left',
  'place',
  'body',
  'keep',
  'other',
  'verdict',
  'sessionId',
  'model',
  'rules',
  'label',
  'parentId',
  'template',
  'after',
  'unitIds',
  'kinds',
  'recipes',
  'scheme',
  'token',
  'mapping',
  'defaults',
  'leaveOutRefused',
  'query',
  'names',
  'sizeUm',
  'sort',
  'entries',
];
const INK = {
  kind: 'ink',
  form: 'full-pad',
  name: 'Fern Gate',
  hex: '#4c9a52',
  count: { items: 1, left: 60 },
  version: 1,
};
const body = fc.oneof(
  { weight: 4, arbitrary: fc.dictionary(fc.constantFrom(...KEYS), value, { maxKeys: 8 }) },
  {
    weight: 3,
    arbitrary: fc
      .dictionary(fc.constantFrom(...KEYS), value, { maxKeys: 2 })
      .map((some) => ({ ...INK, ...some })),
  },
  { weight: 1, arbitrary: value },
  { weight: 1, arbitrary: fc.anything({ maxDepth: 3 }) },
);
const header = fc.oneof(
  { weight: 6, arbitrary: fc.constant({}) },
  {
    weight: 1,
    arbitrary: fc.constantFrom<Record<string, string>>(
      { 'Command-Id': 'x' },
      { 'Command-Id': 'abcdefgh-1234' },
      { 'Command-At': 'yesterday' },
      { 'If-None-Match': '*' },
      { 'If-Match': '"x"' },
      { Range: 'bytes=9-1' },
      { 'Content-Encoding': 'gzip' },
      { 'Content-Type': 'text/plain' },
      { Accept: 'x' },
    ),
  },
);
const FILES = ['/api/imports', '/api/restore', '/api/photos', '/api/ranges/read'].map((path) => ({
  method: 'POST' as const,
  path,
}));
const READS = [
  '/api/export.csv',
  '/api/restoring',
  '/api/photos/:id',
  '/api/photos/:id/small',
  '/',
  '/stash',
  '/nothing.js',
  '/api/none',
].map((path) => ({ method: 'GET' as const, path }));
const every = [...Object.values(routes).map(({ method, path }) => ({ method, path })), ...FILES, ...READS];

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: string | undefined;
  readonly headers: Readonly<Record<string, string>>;
}

/** So many requests; `ids` are things that are there. */
export function requestsOf(count: number, seed: number, ids: readonly string[]): Asked[] {
  const id = fc.oneof(
    { weight: 3, arbitrary: fc.constantFrom(...ids) },
    { weight: 1, arbitrary: fc.constantFrom('nobody', '../..', '%', '0', '-1', 'x'.repeat(300)) },
  );
  const asked = fc
    // Files are read by a process of their own, which takes its time.
    .record({
      route: fc.oneof(
        { weight: 40, arbitrary: fc.constantFrom(...every) },
        { weight: 1, arbitrary: fc.constantFrom(...FILES) },
      ),
      id,
      body,
      headers: header,
    })
    .map(({ route: { method, path }, id: of, body: content, headers }): Asked => ({
      method,
      path: path.replace(':id', of === '%' ? '%' : encodeURIComponent(of)),
      body: method === 'POST' || method === 'PUT' ? JSON.stringify(content) : undefined,
      headers,
    }));
  return fc.sample(asked, { numRuns: count, seed });
}
