/**
 * Decides how many things of each class go to each unit so that as many as possible find a place,
 * earlier units first. Maximum flow by augmenting paths (Edmonds & Karp, J. ACM 19, 1972);
 * classes and units are few, things many, so it is quick for any stash.
 */
export interface Claim {
  /** How many things there are. */
  readonly count: number;
  /** Indices of the units they may live in, in order of preference. */
  readonly units: readonly number[];
}

/** Room is given away in so many steps, so that units fill up together. */
const STEPS = 20;

/**
 * Answers flow[claim][unit]; row sums never pass a claim's count, column sums never pass a room. Units are filled about
 * evenly, so that what stays open is shared over all of them.
 */
export function flowInto(claims: readonly Claim[], rooms: readonly number[]): number[][] {
  const flow = claims.map(() => rooms.map(() => 0));
  const used = (unit: number): number => flow.reduce((sum, row) => sum + (row[unit] ?? 0), 0);
  for (let step = 1; step <= STEPS; step++)
    augment(
      claims,
      flow,
      rooms.map((room, unit) => Math.ceil((room * step) / STEPS) - used(unit)),
    );
  return flow;
}

/** Raises a flow as far as the rooms that are free let it. */
function augment(claims: readonly Claim[], flow: number[][], free: number[]): void {
  claims.forEach((claim, c) => {
    let waiting = claim.count - (flow[c] ?? []).reduce((sum, given) => sum + given, 0);
    while (waiting > 0) {
      const path = findPath(c, claims, flow, free);
      if (!path) break;
      const end = path.at(-1);
      if (!end) break;
      const most = Math.min(
        waiting,
        free[end.unit] ?? 0,
        ...path.map((step) =>
          step.takenFrom === null ? Infinity : (flow[step.claim]?.[step.takenFrom] ?? 0),
        ),
      );
      for (const step of path) {
        const row = flow[step.claim];
        if (!row) continue;
        row[step.unit] = (row[step.unit] ?? 0) + most;
        if (step.takenFrom !== null) row[step.takenFrom] = (row[step.takenFrom] ?? 0) - most;
      }
      free[end.unit] = (free[end.unit] ?? 0) - most;
      waiting -= most;
    }
  });
}

/** One claim gets room in `unit`; a claim displaced from `takenFrom` is the one that moves on. */
interface Step {
  readonly claim: number;
  readonly unit: number;
  readonly takenFrom: number | null;
}

/** Breadth-first search for room: straight away, or by asking another claim to move over. */
function findPath(
  start: number,
  claims: readonly Claim[],
  flow: readonly (readonly number[])[],
  free: readonly number[],
): Step[] | null {
  const cameBy = new Map<number, { step: Step; before: number | null }>();
  const queue: { claim: number; from: number | null }[] = [{ claim: start, from: null }];
  const asked = new Set([start]);
  for (let at = queue.shift(); at; at = queue.shift()) {
    for (const unit of claims[at.claim]?.units ?? []) {
      if (cameBy.has(unit)) continue;
      cameBy.set(unit, { step: { claim: at.claim, unit, takenFrom: at.from }, before: at.from });
      if ((free[unit] ?? 0) > 0) return backtrack(unit, cameBy);
      claims.forEach((_, other) => {
        if (asked.has(other) || (flow[other]?.[unit] ?? 0) === 0) return;
        asked.add(other);
        queue.push({ claim: other, from: unit });
      });
    }
  }
  return null;
}

function backtrack(unit: number, cameBy: ReadonlyMap<number, { step: Step; before: number | null }>): Step[] {
  const path: Step[] = [];
  for (let at: number | null = unit; at !== null;) {
    const found: { step: Step; before: number | null } | undefined = cameBy.get(at);
    if (!found) break;
    path.unshift(found.step);
    at = found.before;
  }
  return path;
}
