/** Things by what they may stand in for: each class holds those of which one is as good as another. */
export function classesOf<Id>(ids: readonly Id[], same: ((a: Id, b: Id) => boolean) | undefined): Id[][] {
  if (!same) return ids.map((id) => [id]);
  const classes: Id[][] = [];
  for (const id of ids) {
    const found = classes.find(([first]) => first !== undefined && same(first, id));
    if (found) found.push(id);
    else classes.push([id]);
  }
  return classes;
}

/** Which things are on one way: each goes to where the next one stands. A way is closed, or ends in an open spot. */
class Ways<Id> {
  private readonly first = new Map<Id, Id>();
  private readonly closed = new Map<Id, boolean>();

  constructor(ids: readonly Id[], standsIn: (id: Id) => Id | undefined) {
    for (const id of ids) {
      this.first.set(id, id);
      this.closed.set(id, false);
    }
    for (const id of ids) {
      const next = standsIn(id);
      if (next === undefined) continue;
      const [a, b] = [this.of(id), this.of(next)];
      if (a === b) this.closed.set(a, true);
      else this.first.set(a, b);
    }
  }

  of(id: Id): Id {
    let root = id;
    for (let up = this.first.get(root); up !== undefined && up !== root; up = this.first.get(root)) root = up;
    this.first.set(id, root);
    return root;
  }
  isClosed(way: Id): boolean {
    return this.closed.get(way) === true;
  }
  /** Two ways become one; it is closed where both were. */
  join(a: Id, b: Id): void {
    this.first.set(a, b);
    this.closed.set(b, this.isClosed(a) && this.isClosed(b));
  }
}

/**
 * Gives things of one class each other's places until as few ways as can be are closed. Two of a class on different ways that change
 * places make one way of two, closed only where both were; on one way they would make two. So closed ways remain only where nothing
 * on them has its like on an open one, one for all that hang together.
 */
export function joinWays<Id>(
  classes: readonly (readonly Id[])[],
  goal: Map<Id, string>,
  standsIn: (id: Id) => Id | undefined,
): void {
  const ways = new Ways([...goal.keys()], standsIn);
  for (const [first, ...others] of classes) {
    if (first === undefined) continue;
    for (const other of others) {
      const [a, b] = [ways.of(first), ways.of(other)];
      if (a === b || (!ways.isClosed(a) && !ways.isClosed(b))) continue;
      const [one, two] = [goal.get(first), goal.get(other)];
      if (one === undefined || two === undefined) continue;
      goal.set(first, two).set(other, one);
      ways.join(a, b);
    }
  }
}
