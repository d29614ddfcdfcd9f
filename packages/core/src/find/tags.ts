import { distance } from 'fastest-levenshtein';
import { fold } from '../text/fold';

export interface TagCount {
  readonly tag: string;
  readonly count: number;
}

/** Every tag in use, the most used first. */
export function tagCounts(
  supplies: readonly { readonly facts: { readonly tags?: readonly string[] | undefined } }[],
): TagCount[] {
  const counts = new Map<string, number>();
  for (const { facts } of supplies)
    for (const tag of facts.tags ?? []) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  return [...counts]
    .map(([tag, count]) => ({ tag, count }))
    .sort((p, q) => q.count - p.count || p.tag.localeCompare(q.tag));
}

const bare = (tag: string): string =>
  fold(tag)
    .replace(/[^a-z0-9]/g, '')
    .replace(/(es|s)$/, '');

/** Tags that probably mean the same: differing in case, hyphen, plural or one letter. The more used one comes first. */
export function tagTwins(tags: readonly TagCount[]): (readonly [TagCount, TagCount])[] {
  return tags.flatMap((one, i) =>
    tags.slice(i + 1).flatMap((other) => {
      const [a, b] = [bare(one.tag), bare(other.tag)];
      const twins = a === b || (a.length >= 5 && b.length >= 5 && distance(a, b) === 1);
      return twins ? [[one, other] as const] : [];
    }),
  );
}
