import type { ChangeView, Command } from '@red-shelf/contract';
import { schemas } from './later';

/** A command on its way, and what it will have done. */
export interface Waiting {
  readonly command: Command;
  readonly change: ChangeView;
  /** Somebody waits for the answer and will say a refusal; until nobody answers, it is not shown as done. */
  readonly heard?: boolean;
  /** Why the server refused it, in a sentence. It stays until the person has seen it. */
  readonly refusal?: string;
}

/** A command as the disk has it: the page that did it, and what it will have done. */
export interface Kept extends Waiting {
  readonly tab: string;
}

/** Reads what earlier pages left on disk; anything this version does not understand counts as nothing. */
export async function readKept(given: readonly unknown[]): Promise<Kept[]> {
  if (given.length === 0) return [];
  const { keptCommand } = await schemas();
  return given.flatMap((each) => {
    const { data } = keptCommand.safeParse(each);
    if (!data) return [];
    const { refusal, command, ...rest } = data;
    return { ...rest, command: command as Command, ...(refusal === undefined ? {} : { refusal }) };
  });
}
