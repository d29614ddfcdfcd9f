import express, { Router, type Express } from 'express';

/**
 * An app or router that takes a path to the letter: another case or a slash at the end is another path, so that nothing
 * reaches a route by a way its guard does not stand on.
 */
export function strictApp(): Express {
  const app = express();
  app.disable('x-powered-by');
  app.enable('case sensitive routing');
  app.enable('strict routing');
  return app;
}

export const strictRouter = (): Router => Router({ caseSensitive: true, strict: true });
