/** A database such as browsers have, for tests; what it keeps is plain data, so that copying it as JSON is enough. */
globalThis.structuredClone ??= <T>(value: T): T =>
  value === undefined ? value : (JSON.parse(JSON.stringify(value)) as T);
import 'fake-indexeddb/auto';
