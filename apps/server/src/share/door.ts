import { fileRoutes, routes } from '@red-shelf/contract';
import { parse } from 'cookie';
import { json, type Express, type Request, type RequestHandler } from 'express';
import { rateLimit, type Options } from 'express-rate-limit';
import type { Logger } from 'pino';
import { fresh } from '../http/fresh';
import { headers } from '../http/headers';
import { noteUnderWay } from '../http/underWay';
import { errorHandler } from '../http/problem';
import { strictApp } from '../http/strict';
import { parsed, Refusal } from '../services/refusal';
import { FORGOTTEN_AFTER_MS } from './devices';
import { deviceRoutes, sendAuthority, viewFor } from './routes';
import type { Sharing } from './sharing';

const MINUTE_MS = 60_000;

/** Counts wrong tries, and refuses more of them for a while. */
const wrongTries = (sentence: string, how: Partial<Options>): RequestHandler =>
  rateLimit({
    ...how,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new Refusal(429, 'too_many_tries', sentence);
    },
  });

/** Answers at the printed addresses only, and only what the app itself asks for. */
const printedOnly =
  (sharing: Sharing): RequestHandler =>
  (request, _response, next) => {
    const { host, origin } = request.headers;
    if (!host || !sharing.isAt(host))
      throw new Refusal(403, 'foreign_host', 'Red Shelf does not answer under this name.');
    const site = request.get('Sec-Fetch-Site') ?? 'none';
    const isFollowed = request.method === 'GET' && request.get('Sec-Fetch-Dest') === 'document';
    const isForeign = site !== 'same-origin' && site !== 'none' && !isFollowed;
    if (isForeign || (origin !== undefined && origin !== `https://${host}`))
      throw new Refusal(403, 'foreign_origin', 'Requests from other sites are refused.');
    next();
  };

/** Remembers whose requests are still arriving: what a device has not said to the end when it is shut out is not heard. */
function requestsArriving({ devices }: Sharing): (id: string, request: Request) => void {
  const open = new Map<string, Set<Request>>();
  devices.onShutOut((ids) => {
    for (const id of ids) for (const request of open.get(id) ?? []) if (!request.complete) request.destroy();
  });
  return (id, request) => {
    const own = open.get(id) ?? new Set();
    open.set(id, own.add(request));
    request.once('close', () => {
      own.delete(request);
      if (own.size === 0 && open.get(id) === own) open.delete(id);
    });
  };
}

/** The door of the house's network: who was not let in sees the app's own pages, and nothing of the stash. */
export function shareDoor(sharing: Sharing, inside: Express, log: Logger): Express {
  const app = strictApp();
  app.use(noteUnderWay, printedOnly(sharing), headers);
  app.use('/api', fresh);
  const asking = (request: Request): string | null => {
    const token = parse(request.headers.cookie ?? '')[sharing.cookie];
    return token ? (sharing.devices.carrying(token)?.id ?? null) : null;
  };
  app.get(routes.share.path, (request, response) => {
    response.json(viewFor(sharing, asking(request)));
  });
  app.get(fileRoutes.authority.path, sendAuthority(sharing));
  app.post(
    routes.enter.path,
    // Each address by itself, so that nobody who guesses shuts out others; who is in already is no guesser.
    wrongTries('Ten wrong tries were made from here. Try again in a quarter of an hour.', {
      limit: 10,
      windowMs: 15 * MINUTE_MS,
      skip: (request) => asking(request) !== null,
      keyGenerator: ({ socket }) => socket.remoteAddress ?? '',
    }),
    json({ limit: '4kb' }),
    async (request, response) => {
      const { passphrase, name } = parsed(routes.enter.body, request.body ?? {});
      const entered = await sharing.enter(passphrase, name);
      if (!entered) throw new Refusal(403, 'wrong_passphrase', 'That is not the passphrase of this stash.');
      response
        .cookie(sharing.cookie, entered.token, {
          httpOnly: true,
          secure: true,
          sameSite: 'strict',
          path: '/',
          maxAge: FORGOTTEN_AFTER_MS,
        })
        .json(viewFor(sharing, entered.id));
    },
  );
  const arriving = requestsArriving(sharing);
  app.use('/api', (request, _response, next) => {
    const id = asking(request);
    if (id === null)
      throw new Refusal(401, 'signed_out', 'This device has not been let in, or was shut out.');
    arriving(id, request);
    next();
  });
  app.use(deviceRoutes(sharing, asking));
  app.use(inside);
  app.use(errorHandler(log));
  return app;
}
