import { join } from 'node:path';
import type { Express } from 'express';
import packedFiles from 'express-static-gzip';
import type { Logger } from 'pino';
import { compressed } from './http/compressed';
import { fresh } from './http/fresh';
import { localOnly } from './http/guard';
import { headers } from './http/headers';
import { asideHere } from './aside/here';
import { errorHandler, unknownApi } from './http/problem';
import { noteUnderWay } from './http/underWay';
import { strictApp } from './http/strict';
import { apiRoutes } from './routes/api';
import { fileApi } from './routes/files';
import type { Context } from './services/context';
import { Uploads } from './services/imports';
import { shareRoutes } from './share/routes';
import type { Sharing } from './share/sharing';

/** The stash over HTTP, and the web app's files when `webFolder` is given; who may ask is decided before. */
export function makeInside(given: Context, log: Logger, webFolder?: string): Express {
  const context = { ...given, aside: given.aside ?? asideHere(given) };
  const app = strictApp();
  const uploads = new Uploads();
  app.use('/api', fresh, compressed);
  app.use(fileApi(context, uploads));
  app.use(apiRoutes(context, uploads));
  app.use('/api', unknownApi);
  if (webFolder) serveWeb(app, webFolder);
  app.use(errorHandler(log));
  return app;
}

/** The door of this machine: nobody is asked for anything here. */
export function localDoor(inside: Express, log: Logger, sharing?: Sharing): Express {
  const app = strictApp();
  app.use(noteUnderWay, localOnly, headers);
  app.use('/api', fresh);
  app.use(shareRoutes(sharing));
  app.use(inside);
  app.use(errorHandler(log));
  return app;
}

/** Both in one, for a stash that is not shared. */
export const makeApp = (given: Context, log: Logger, webFolder?: string): Express =>
  localDoor(makeInside(given, log, webFolder), log);

/** The app's files, packed as the browser takes them; what has a hash in its name never changes under it. */
function serveWeb(app: Express, folder: string): void {
  const packed = (below: string, serveStatic: object) =>
    packedFiles(join(folder, below), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic,
    });
  const forever = { immutable: true, maxAge: '1y', fallthrough: false };
  app.use('/_expo', packed('_expo', forever));
  app.use('/assets', packed('assets', forever));
  app.use('/fonts', packed('fonts', forever));
  app.use(packed('.', {}));
  app.get('/{*path}', (request, response, next) => {
    // Every screen is the one page.
    request.url = '/index.html';
    packed('.', {})(request, response, next);
  });
}
