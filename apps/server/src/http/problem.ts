import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { notFound, Refusal } from '../services/refusal';

export const unknownApi: RequestHandler = (request) => {
  throw new Refusal(
    404,
    'no_such_route',
    `There is nothing at ${request.method} ${request.path.slice(0, 100)}.`,
  );
};

/** What Express' body parsers throw. */
const bodyError = z.object({ type: z.string(), limit: z.number().optional() });

/** What Express' file server throws for a file that is not there. */
const fileMissing = z.object({ status: z.union([z.literal(404), z.literal(403), z.literal(400)]) });

function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  if (error instanceof URIError)
    return new Refusal(400, 'bad_address', 'The address is not written properly.');
  const known = bodyError.safeParse(error);
  if (!known.success) return fileMissing.safeParse(error).success ? notFound('file') : undefined;
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
