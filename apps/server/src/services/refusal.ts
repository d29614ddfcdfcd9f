import type { Problem } from '@red-shelf/contract';
import type { z } from 'zod';
import type { StashGone } from '../db/fileIdentity';

/** A refusal on its way to the client. */
export class Refusal extends Error {
  readonly problem: Problem;
  constructor(status: number, code: string, title: string, more: Partial<Problem> = {}) {
    super(title);
    this.name = 'Refusal';
    this.problem = { type: 'about:blank', status, code, title, ...more };
  }
}

export const notFound = (what: string): Refusal =>
  new Refusal(404, 'not_found', `There is no such ${what}; it may have been removed.`);

/** The file of the stash is not there any more. */
export const stashGone = ({ message }: StashGone): Refusal => new Refusal(503, 'stash_gone', message);

/** The system has no process, file or memory left to do it with, for now. */
export const busyNow = (cause?: Error): Refusal => {
  const refusal = new Refusal(
    503,
    'busy',
    'This computer has nothing left to do that with just now. Nothing was changed; try again in a moment, and close other programs if it stays so.',
  );
  refusal.cause = cause;
  return refusal;
};

/** Turns Zod's issues into fields; the first one is also the sentence. */
function refusalFromZod(error: z.ZodError): Refusal {
  const fields = error.issues.map((issue) => ({
    path: issue.path.map(String).join('.'),
    code: issue.code ?? 'invalid',
    message: issue.message,
  }));
  const first = fields[0];
  const title = first
    ? first.path
      ? `${first.message} (${first.path})`
      : first.message
    : 'The data is not as expected.';
  return new Refusal(422, 'invalid', title, { fields: fields.slice(0, 50) });
}

/** Parses with a schema or throws the refusal. */
export function parsed<S extends z.ZodType>(schema: S, value: unknown): z.output<S> {
  const result = schema.safeParse(value);
  if (!result.success) throw refusalFromZod(result.error);
  return result.data;
}
