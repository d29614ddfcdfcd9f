/** What the page asked for before the app was there (public/ahead.js), by path. */
const askedAhead = (): Map<string, Promise<Response>> | undefined =>
  (globalThis as { askedAhead?: Map<string, Promise<Response>> }).askedAhead;

/** Asks a path, or takes the answer that is on its way already; each of those is taken once. */
export function fetchOrTake(path: string): Promise<Response> {
  const answer = askedAhead()?.get(path);
  askedAhead()?.delete(path);
  return answer ?? fetch(path);
}
