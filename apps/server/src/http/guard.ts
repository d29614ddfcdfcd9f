import type { RequestHandler } from 'express';
import { Refusal } from '../services/refusal';

const LOCAL = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/i;

/**
 * Answers this machine only: other sites' pages must not reach the stash through the browser,
 * neither by a foreign name that resolves here nor by a form sent from elsewhere.
 */
export const localOnly: RequestHandler = (request, _response, next) => {
  const { host, origin } = request.headers;
  if (!host || !LOCAL.test(host))
    throw new Refusal(403, 'foreign_host', 'Red Shelf answers on this machine only.');
  if (origin !== undefined && origin !== `http://${host}`)
    throw new Refusal(403, 'foreign_origin', 'Requests from other sites are refused.');
  next();
};
