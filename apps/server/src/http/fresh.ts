import type { RequestHandler } from 'express';

/** Answers of the API are asked for anew each time. */
export const fresh: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};
