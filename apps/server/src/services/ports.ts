import { v7 } from 'uuid';

/** The outside world as the services see it; tests bring their own. */
export interface Ports {
  /** Now, UTC, ISO 8601. */
  readonly now: () => string;
  /** A new id; later ids sort after earlier ones. */
  readonly newId: () => string;
}

export const systemPorts: Ports = { now: () => new Date().toISOString(), newId: () => v7() };
