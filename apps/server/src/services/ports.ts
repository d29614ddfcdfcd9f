import { v7 } from 'uuid';

/** The outside world as the services see it; tests bring their own. */
export interface Ports {
  /** Now, UTC, ISO 8601. */
  readonly now: () => string;
  /** A new id; later ids sort after earlier ones. */
  readonly newId: () => string;
  /** When the person did what is being written, where that was said; else it is now. */
  readonly doneAt?: () => string;
}

export const systemPorts: Ports = { now: () => new Date().toISOString(), newId: () => v7() };
