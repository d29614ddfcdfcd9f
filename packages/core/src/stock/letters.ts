/** How many of each character an alphabet sheet has left. */
export type LetterCounts = Readonly<Record<string, number>>;

/** Capitals A–Z and digits are kept; small letters count as capitals, since a sheet seldom has both. */
const KNOWN = /[A-Z0-9&!?]/;
const VOWELS = [...'AEIOU'];
/** Fewer of a vowel than this and words begin to fail. */
const FEW_VOWELS = 2;

/**
 * Reads letters as people write them down: `AABBC`, `A3 B2`, `a×3, b 2`. A letter said twice adds up;
 * a count of 0 keeps the letter in the list, used up. Answers null when something else is in it.
 */
export function parseLetters(text: string): LetterCounts | null {
  const counts: Record<string, number> = {};
  const rest = text
    .toUpperCase()
    .replace(/([A-Z&!?])\s*(?:[×X*:=](?=\s*\d)\s*)?(\d{1,3})/g, (_, letter: string, n: string) => {
      counts[letter] = (counts[letter] ?? 0) + Number(n);
      return ' ';
    })
    .replace(/[\s,;.]+/g, '');
  for (const letter of rest) {
    if (!KNOWN.test(letter)) return null;
    counts[letter] = (counts[letter] ?? 0) + 1;
  }
  return counts;
}

/** Writes counts as `A3 B2 E0`; `parseLetters` reads it back to the same counts. Digits are written singly. */
export const printLetters = (counts: LetterCounts): string =>
  Object.entries(counts)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([letter, n]) => (/\d/.test(letter) ? letter.repeat(n) : `${letter}${n}`))
    .filter(Boolean)
    .join(' ');

/** Letters a text needs beyond what is there, with how many; empty when it can be written. */
export function lettersMissing(text: string, have: LetterCounts): LetterCounts {
  const need: Record<string, number> = {};
  for (const letter of text.toUpperCase()) if (KNOWN.test(letter)) need[letter] = (need[letter] ?? 0) + 1;
  return Object.fromEntries(
    Object.entries(need)
      .map(([letter, n]) => [letter, n - (have[letter] ?? 0)] as const)
      .filter(([, n]) => n > 0),
  );
}

/** Vowels that run short: they are what a sheet dies of. Empty for a sheet without letters. */
export const shortVowels = (counts: LetterCounts): string[] =>
  Object.keys(counts).some((letter) => /[A-Z]/.test(letter))
    ? VOWELS.filter((vowel) => (counts[vowel] ?? 0) < FEW_VOWELS)
    : [];
