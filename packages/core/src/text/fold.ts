/** Folds a text for comparing and searching: case, accents and runs of spaces do not count. */
export const fold = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .trim();
