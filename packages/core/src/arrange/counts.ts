/** How many things of a pile each maker has. */
export function makerCounts(items: readonly { readonly maker: string }[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { maker } of items) counts.set(maker, (counts.get(maker) ?? 0) + 1);
  return counts;
}
