import { v7 } from 'uuid';

/** The outside world as the services see it; tests bring their own. */
export interface Ports {
  /** Now, UTC, ISO 8601. */
  readonly now: () => string;
  /** A new id; later ids sort after earlier ones. */
  readonly newId: () => string;
  /** When the person did what is being written, where that was said; else it is now. */
  readonly doneAt?: () => string;
  /** What the client named what it asks; the change carries the name, so that it can be undone before it was answered. */
  readonly commandId?: string;
  /** The id of the next thing a named command makes, as its client foretells it. */
  readonly nextMade?: () => string;
}

export const systemPorts: Ports = { now: () => new Date().toISOString(), newId: () => v7() };

/** The id of a supply, a lot, a unit or a record that is made. */
export const madeId = ({ nextMade, newId }: Ports): string => (nextMade ?? newId)();
