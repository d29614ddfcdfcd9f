import { distance } from 'fastest-levenshtein';

/** Letters that may be wrong in a word: none in short ones, one in most, two in long ones. */
const allowed = (word: string): number => (word.length <= 3 ? 0 : word.length <= 7 ? 1 : 2);

const sorted = (word: string): string => [...word].sort().join('');

/**
 * Words of a vocabulary that a mistyped word may have meant, the likeliest first, or [] when none is near.
 * Two letters that changed places count as one slip; the start of a word counts as the word.
 */
export function meant(word: string, vocabulary: Iterable<string>): string[] {
  const most = allowed(word);
  if (most === 0) return [];
  const letters = sorted(word);
  const near: { known: string; slips: number }[] = [];
  for (const known of vocabulary) {
    if (known.length < word.length - most) continue;
    const start = known.slice(0, word.length);
    const slips = Math.min(
      Math.abs(known.length - word.length) <= most ? distance(word, known) : Infinity,
      distance(word, start),
      sorted(start) === letters ? 1 : Infinity,
    );
    if (slips <= most) near.push({ known, slips });
  }
  near.sort((p, q) => p.slips - q.slips || p.known.length - q.known.length || (p.known < q.known ? -1 : 1));
  const least = near[0]?.slips;
  return near.filter(({ slips }) => slips === least).map(({ known }) => known);
}
