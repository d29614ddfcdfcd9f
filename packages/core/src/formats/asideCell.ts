/** So much of a supply is put aside for a project, in the form's own unit. */
export interface Aside {
  readonly project: string;
  readonly amount: number;
}

/** Longest name of a project, as records keep it. */
const LONGEST_NAME = 120;

/** `4 for Winter cards; 2 for Tags`. Names hold no semicolon in a list: it would end them. */
export const writeAside = (asides: readonly Aside[]): string =>
  asides.map(({ project, amount }) => `${amount} for ${project.replaceAll(';', ',')}`).join('; ');

/** Reads it back; null where it cannot be read. */
export function readAside(text: string): Aside[] | null {
  const read = text
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each) => /^(\d{1,12}) for (\S.*)$/.exec(each));
  return read.every((each) => each !== null && (each[2] ?? '').length <= LONGEST_NAME && Number(each[1]) > 0)
    ? read.flatMap((each) => (each ? [{ project: each[2] ?? '', amount: Number(each[1]) }] : []))
    : null;
}
