/** Thrown by functions that take a colour which must already have been parsed at the edge. */
export class NotAColourError extends Error {
  constructor(readonly given: string) {
    super(`Expected a colour such as #c23b42, was given "${given}"`);
    this.name = 'NotAColourError';
  }
}
