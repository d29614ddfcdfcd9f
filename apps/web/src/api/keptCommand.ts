import { changeView, routes, type ChangeView, type Command } from '@red-shelf/contract';
import { z } from 'zod';

/** A command on its way, and what it will have done. */
export interface Waiting {
  readonly command: Command;
  readonly change: ChangeView;
  /** Somebody waits for the answer and will say a refusal; until nobody answers, it is not shown as done. */
  readonly heard?: boolean;
  /** Why the server refused it, in a sentence. It stays until the person has seen it. */
  readonly refusal?: string;
}

const kept = z.object({
  tab: z.string(),
  command: z.object({
    route: z.string().refine((name) => name in routes),
    of: z.string(),
    body: z.unknown(),
    id: z.string(),
    at: z.string(),
  }),
  change: changeView,
  refusal: z.string().optional(),
});

/** A command as the disk has it: the page that did it, and what it will have done. */
export interface Kept extends Waiting {
  readonly tab: string;
}

/** Reads what an earlier page left on disk; anything this version does not understand counts as nothing. */
export function readKept(given: unknown): Kept | null {
  const { data } = kept.safeParse(given);
  if (!data) return null;
  const { refusal, command, ...rest } = data;
  return { ...rest, command: command as Command, ...(refusal === undefined ? {} : { refusal }) };
}
