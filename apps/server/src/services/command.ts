/** A command as the client named it. */
export interface Command {
  /** What is asked, and of what. */
  readonly name: string;
  readonly id?: string | undefined;
  /** When the person did it; now when left out. */
  readonly at?: string | undefined;
}
