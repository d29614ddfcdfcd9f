import { AsyncLocalStorage } from 'node:async_hooks';
import type { RequestHandler } from 'express';

const routes = new AsyncLocalStorage<string>();

/** Remembers for everything a request sets off what was asked, so that a log can name it. */
export const inRoute: RequestHandler = ({ method, path }, _response, next) =>
  routes.run(`${method} ${path}`, next);

/** What was asked by the request that set off what runs now, if one did. */
export const routeNow = (): string | undefined => routes.getStore();
