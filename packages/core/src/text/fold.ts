const PLAIN = /^[ -~]*$/;
/** A run of spaces, or a space that is none of the usual ones. */
const SPACES = / {2,}|[^\S ]/;

/** Folds a text for comparing and searching: case, accents and runs of spaces do not count. */
export function fold(text: string): string {
  // Most texts have no accents: taken apart they would be the same.
  const plain = PLAIN.test(text) ? text : text.normalize('NFKD').replace(/[\u0300-\u036f]/g, '');
  const low = plain.toLowerCase();
  return (SPACES.test(low) ? low.replace(/\s+/g, ' ') : low).trim();
}
