import { join } from 'node:path';
import express, { type Express } from 'express';
import packedFiles from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { localOnly } from './http/guard';
import { asideHere } from './aside/here';
import { errorHandler, unknownApi } from './http/problem';
import { apiRoutes } from './routes/api';
import { fileApi } from './routes/files';
import type { Context } from './services/context';
import { Uploads } from './services/imports';

/** The whole HTTP face: the API, and the web app's files when `webFolder` is given. */
export function makeApp(given: Context, log: Logger, webFolder?: string): Express {
  const context = { ...given, aside: given.aside ?? asideHere(given) };
  const app = express();
  app.disable('x-powered-by');
  app.use(localOnly);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // React Native's web target writes its styles at run time.
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'", 'blob:'],
          // Plain http on loopback: there is nothing to upgrade to.
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  const uploads = new Uploads();
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use(fileApi(context, uploads));
  app.use(apiRoutes(context, uploads));
  app.use('/api', unknownApi);
  if (webFolder) serveWeb(app, webFolder);
  app.use(errorHandler(log));
  return app;
}

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
  app.use(packed('.', {}));
  app.get('/{*path}', (request, response, next) => {
    // Every screen is the one page.
    request.url = '/index.html';
    packed('.', {})(request, response, next);
  });
}
