import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { StashGone } from '../db/fileIdentity';
import { busyNow, notFound, Refusal, stashGone } from '../services/refusal';

export const unknownApi: RequestHandler = (request) => {
  throw new Refusal(
    404,
    'no_such_route',
    `There is nothing at ${request.method} ${request.path.slice(0, 100)}.`,
  );
};

/** What Express' body parsers throw. */
const bodyError = z.object({ type: z.string(), limit: z.number().optional() });

/** What Express' file server and body parsers throw besides: the status, and of what was wrong with the body its own code. */
const byStatus = z.object({ status: z.int().min(400).max(499), code: z.string().optional() });

/** What else a request can get wrong, by status. */
const OF_STATUS: Readonly<Record<number, readonly [code: string, title: string]>> = {
  412: ['not_as_seen', 'It is not what was asked for any more; ask again.'],
  416: ['no_such_range', 'It does not have the part that was asked for.'],
};

function refusalByStatus(error: unknown): Refusal | undefined {
  const { data } = byStatus.safeParse(error);
  if (!data) return undefined;
  // The codes of zlib.
  if (data.code?.startsWith('Z_'))
    return new Refusal(
      400,
      'broken_compression',
      'The request says it is compressed, and cannot be unpacked.',
    );
  const [code, title] = OF_STATUS[data.status] ?? [];
  if (code && title) return new Refusal(data.status, code, title);
  return [400, 403, 404].includes(data.status) ? notFound('file') : undefined;
}

/** What the disk says when it takes nothing more, by the database or by the system. */
const FULL: ReadonlySet<string> = new Set(['SQLITE_FULL', 'ENOSPC', 'EDQUOT']);
const SPENT: ReadonlySet<string> = new Set(['EMFILE', 'ENFILE', 'EAGAIN', 'ENOMEM']);
const SHUT: ReadonlySet<string> = new Set([
  'SQLITE_READONLY',
  'SQLITE_CANTOPEN',
  'EACCES',
  'EPERM',
  'EROFS',
  'ENOTDIR',
]);

/** What the disk refuses is said as that; it is no fault of the program. */
function refusalOfDisk(error: unknown): Refusal | undefined {
  for (let at = error; at instanceof Error; at = at.cause) {
    if (at instanceof StashGone) return stashGone(at);
    const code = (at as NodeJS.ErrnoException).code ?? '';
    const main = code.split('_').slice(0, 2).join('_');
    if (FULL.has(code) || FULL.has(main))
      return new Refusal(
        507,
        'disk_full',
        'The disk is full, so nothing was changed. Make room on it, and do it again.',
      );
    if (SPENT.has(code)) return busyNow(at);
    if (SHUT.has(code) || SHUT.has(main))
      return new Refusal(
        507,
        'not_writable',
        'The folder of the stash cannot be written to, so nothing was changed. Allow writing there, and do it again.',
      );
  }
  return undefined;
}

function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  const ofDisk = refusalOfDisk(error);
  if (ofDisk) return ofDisk;
  if (error instanceof URIError)
    return new Refusal(400, 'bad_address', 'The address is not written properly.');
  const known = bodyError.safeParse(error);
  if (!known.success) return refusalByStatus(error);
  switch (known.data.type) {
    case 'entity.too.large': {
      const most = Math.round((known.data.limit ?? 0) / 1024 / 1024);
      return new Refusal(
        413,
        'too_large',
        most > 0
          ? `That is too large: at most ${most} MB at once. Split the file and bring it in piece by piece.`
          : 'That is too large.',
      );
    }
    case 'entity.parse.failed':
      return new Refusal(400, 'not_json', 'The request is not valid JSON.');
    case 'encoding.unsupported':
    case 'charset.unsupported':
      return new Refusal(415, 'encoding', 'The text is in an encoding that is not understood here.');
    case 'request.aborted':
      return new Refusal(400, 'aborted', 'The request was broken off.');
    default:
      return undefined;
  }
}

/** The one place where errors become answers. A bug is logged and answered with 500 and no details. */
export const errorHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const refusal = asRefusal(error);
    if (!refusal) log.error({ err: error, path: request.path }, 'unexpected');
    const { problem } =
      refusal ?? new Refusal(500, 'bug', 'Something went wrong in Red Shelf itself. Nothing was changed.');
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };
