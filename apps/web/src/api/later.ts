import type { askedFor, foretell, problem, routes } from '@red-shelf/contract';
import type { keptCommand } from './schemas';

/** What answers are read by, and what foretells a change: large, and nothing of it is needed to show what is kept. */
export interface Schemas {
  readonly askedFor: typeof askedFor;
  readonly foretell: typeof foretell;
  readonly keptCommand: typeof keptCommand;
  readonly problem: typeof problem;
  readonly routes: typeof routes;
}
let fetchSchemas = (): Promise<Schemas> => Promise.reject(new Error('Nobody said where the schemas are.'));
let here: Schemas | null = null;

/** Says where the schemas come from. */
export const schemasFrom = (fetch: () => Promise<Schemas>): void => {
  fetchSchemas = fetch;
};
export const schemas = async (): Promise<Schemas> => (here ??= await fetchSchemas());

/** The same, for who only comes after somebody waited for them. */
export function schemasNow(): Schemas {
  if (!here) throw new Error('Nobody has waited for the schemas.');
  return here;
}
