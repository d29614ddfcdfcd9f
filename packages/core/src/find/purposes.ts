import { fold } from '../text/fold';
import type { Facts } from '../stash/facts';

/**
 * A purpose in the person's own order. `also` are further meanings the whole category carries: a coffee cup may mark
 * Mondays and Fridays.
 */
export interface Purpose {
  readonly name: string;
  readonly also: readonly string[];
}

/** Words parted by commas, semicolons or lines, as typed; what is said twice, in whatever case, is kept once. */
export function splitWords(typed: string): string[] {
  const words = new Map<string, string>();
  for (const part of typed.split(/[,;\n]/)) {
    const word = part.trim();
    if (word && !words.has(fold(word))) words.set(fold(word), word);
  }
  return [...words.values()];
}

/** What a thing is for, as it was said; the first is its home section. */
export function purposesOf({ attributes }: Facts): string[] {
  const said = attributes?.purpose;
  return typeof said === 'string' ? splitWords(said) : [];
}

/** What a thing is for and everything those purposes also mean, for finding it by any of them. */
export function meaningsOf(facts: Facts, purposes: readonly Purpose[]): string[] {
  const own = new Set(purposesOf(facts).map(fold));
  return own.size === 0 ? [] : purposes.filter(({ name }) => own.has(fold(name))).flatMap(({ also }) => also);
}

/** One section: how many things live in it, and how many live elsewhere but serve it too. */
export interface PurposeSection extends Purpose {
  readonly home: number;
  readonly besides: number;
}

/** Every purpose in use or named, the person's own order first, the rest by name. */
export function purposeSections(
  items: readonly { readonly facts: Facts }[],
  purposes: readonly Purpose[],
): PurposeSection[] {
  const found = new Map(purposes.map((purpose) => [fold(purpose.name), { ...purpose, home: 0, besides: 0 }]));
  const fresh: string[] = [];
  for (const { facts } of items)
    purposesOf(facts).forEach((name, i) => {
      const key = fold(name);
      const section = found.get(key) ?? { name, also: [], home: 0, besides: 0 };
      if (!found.has(key)) fresh.push(key);
      found.set(key, {
        ...section,
        home: section.home + (i === 0 ? 1 : 0),
        besides: section.besides + (i === 0 ? 0 : 1),
      });
    });
  const keys = [...purposes.map(({ name }) => fold(name)), ...fresh.sort((p, q) => p.localeCompare(q))];
  return [...new Set(keys)].flatMap((key) => found.get(key) ?? []);
}
