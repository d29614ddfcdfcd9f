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

/** Waits until nobody has asked anything for so long, ms; at the latest until `atMost` have passed. */
export async function untilQuiet(ms: number, atMost = Infinity): Promise<void> {
  const end = performance.now() + atMost;
  const leftOf = (now: number): number => Math.min(ms - (now - lastAsked), end - now);
  for (let left = Math.min(ms, atMost); left > 0; left = leftOf(performance.now()))
    await new Promise((go) => setTimeout(go, left).unref());
}
