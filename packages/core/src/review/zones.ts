/** How far sorting out has come in one zone: a unit, or null for what has no place. */
export interface ZoneProgress {
  readonly unitId: string | null;
  readonly decided: number;
  readonly of: number;
}

/**
 * Progress of sorting out by zone. `waiting` are things still to decide on, where they stand now; `decided` are those
 * that are, where they stood then: a thing let go has left its slot. Zones come in the order of `unitIds`, what has no
 * place last; a unit that has been taken down since counts as no place. Zones with nothing in them are left out.
 */
export function zoneProgress(
  waiting: readonly (string | null)[],
  decided: readonly (string | null)[],
  unitIds: readonly string[],
): ZoneProgress[] {
  const known = new Set(unitIds);
  const count = (places: readonly (string | null)[]): Map<string | null, number> => {
    const counts = new Map<string | null, number>();
    for (const place of places) {
      const zone = place !== null && known.has(place) ? place : null;
      counts.set(zone, (counts.get(zone) ?? 0) + 1);
    }
    return counts;
  };
  const [left, done] = [count(waiting), count(decided)];
  return [...unitIds, null].flatMap((unitId) => {
    const finished = done.get(unitId) ?? 0;
    const of = finished + (left.get(unitId) ?? 0);
    return of > 0 ? [{ unitId, decided: finished, of }] : [];
  });
}
