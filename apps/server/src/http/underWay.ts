import type { RequestHandler } from 'express';

/** What goes wrong behind an answer shows a moment after it, ms. */
const LATELY_MS = 2000;

const underWay = new Set<string>();
let lastAsked = 0;

/**
 * Remembers what is being answered, and what was a moment ago, so that a log can name it. (An async context would know exactly, and
 * takes a third of what the server can do.)
 */
export const noteUnderWay: RequestHandler = ({ method, path }, response, next) => {
  const route = `${method} ${path}`;
  underWay.add(route);
  lastAsked = performance.now();
  response.once('close', () => setTimeout(() => underWay.delete(route), LATELY_MS).unref());
  next();
};

/** Requests that are answered now, or were a moment ago. */
export const routesUnderWay = (): string[] => [...underWay];

/** Waits until nobody has asked anything for so long, ms. */
export async function untilQuiet(ms: number): Promise<void> {
  for (let left = ms; left > 0; left = ms - (performance.now() - lastAsked))
    await new Promise((go) => setTimeout(go, left).unref());
}
