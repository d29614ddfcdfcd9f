/**
 * An order in which things of one cluster stand together, where the first of them stands; the rest keeps its order. `clusterOf` answers
 * null for what belongs to none. Linear.
 */
export function keepTogether<T>(ordered: readonly T[], clusterOf: (item: T) => string | null): T[] {
  const clusters = new Map<string, T[]>();
  for (const item of ordered) {
    const cluster = clusterOf(item);
    if (cluster === null) continue;
    const members = clusters.get(cluster);
    if (members) members.push(item);
    else clusters.set(cluster, [item]);
  }
  return ordered.flatMap((item) => {
    const cluster = clusterOf(item);
    if (cluster === null) return [item];
    const members = clusters.get(cluster) ?? [];
    return members[0] === item ? members : [];
  });
}
