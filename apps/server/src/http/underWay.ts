import type { RequestHandler } from 'express';

/** What goes wrong behind an answer shows a moment after it, ms. */
const LATELY_MS = 2000;

const underWay = new Set<string>();

/**
 * Remembers what is being answered, and what was a moment ago, so that a log can name it. (An async context would know exactly, and
 * takes a third of what the server can do.)
 */
export const noteUnderWay: RequestHandler = ({ method, path }, response, next) => {
  const route = `${method} ${path}`;
  underWay.add(route);
  response.once('close', () => setTimeout(() => underWay.delete(route), LATELY_MS).unref());
  next();
};

/** Requests that are answered now, or were a moment ago. */
export const routesUnderWay = (): string[] => [...underWay];
