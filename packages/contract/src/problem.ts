import { z } from 'zod';

/** A field that was refused: where, a stable code, and a sentence. */
const fieldProblem = z.object({
  path: z.string(),
  code: z.string(),
  message: z.string(),
});

/** The one shape of every refusal over HTTP (RFC 9457, application/problem+json). */
export const problem = z.object({
  type: z.string(),
  /** A sentence a person can act on. */
  title: z.string(),
  status: z.int(),
  /** Stable, for programs. */
  code: z.string(),
  fields: z.array(fieldProblem).optional(),
  /** What the server has now, when a write saw an older version. */
  current: z.unknown().optional(),
  yours: z.unknown().optional(),
});
export type Problem = z.infer<typeof problem>;
