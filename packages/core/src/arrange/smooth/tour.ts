/** Costs between n nodes, row by row: `cost[i * n + j]`; the same both ways. */
export interface Costs {
  readonly n: number;
  readonly cost: Float64Array;
}

const NEIGHBOURS = 8;
const LONGEST_SEGMENT = 3;
/** A gain smaller than this may be rounding. */
const TINY = 1e-7;

/**
 * A round through every node once, as it is made shorter: reversals of stretches, each of which can be taken back. Positions are
 * counted from 0 and go round.
 */
export class Tour {
  readonly at: Int32Array;
  private readonly where: Int32Array;
  private readonly near: Int32Array;
  private readonly wide: number;
  private readonly log: number[] = [];
  private readonly queue: number[] = [];
  private readonly queued: Uint8Array;

  constructor(
    private readonly costs: Costs,
    start: readonly number[],
  ) {
    const { n } = costs;
    this.at = Int32Array.from(start);
    this.where = new Int32Array(n);
    this.at.forEach((node, i) => (this.where[node] = i));
    this.wide = Math.min(NEIGHBOURS, n - 1);
    this.near = nearestOf(costs, this.wide);
    this.queued = new Uint8Array(n);
  }

  private d(a: number, b: number): number {
    return this.costs.cost[a * this.costs.n + b] as number;
  }
  private next(node: number): number {
    const i = (this.where[node] as number) + 1;
    return this.at[i === this.costs.n ? 0 : i] as number;
  }
  private previous(node: number): number {
    const i = this.where[node] as number;
    return this.at[i === 0 ? this.costs.n - 1 : i - 1] as number;
  }

  length(): number {
    let sum = 0;
    for (const node of this.at) sum += this.d(node, this.next(node));
    return sum;
  }

  /** Turns the stretch from node `from` forward to node `to` round; the shorter side of the round is turned, which is the same. */
  private turn(from: number, to: number): void {
    this.turnAt(this.where[from] as number, this.where[to] as number);
  }
  private turnAt(from: number, to: number): void {
    this.log.push(from, to);
    const { n } = this.costs;
    const inner = ((to - from + n) % n) + 1;
    let [i, j, steps] =
      inner * 2 <= n ? [from, to, inner >> 1] : [(to + 1) % n, (from - 1 + n) % n, (n - inner) >> 1];
    for (; steps > 0; steps--) {
      const [a, b] = [this.at[i] as number, this.at[j] as number];
      this.at[i] = b;
      this.at[j] = a;
      this.where[b] = i;
      this.where[a] = j;
      i = i + 1 === n ? 0 : i + 1;
      j = j === 0 ? n - 1 : j - 1;
    }
  }

  /** Forgets how it came to be as it is. */
  keep(): void {
    this.log.length = 0;
  }
  /** Makes it again what it was when it was kept last. */
  takeBack(): void {
    const { log } = this;
    for (let k = log.length - 2; k >= 0; k -= 2) this.turnAt(log[k] as number, log[k + 1] as number);
    log.length = 0;
  }

  private ask(node: number): void {
    if (this.queued[node]) return;
    this.queued[node] = 1;
    this.queue.push(node);
  }

  /** Improves it as far as single moves can, looking at every node; answers by how much the length changed. */
  improveAll(): number {
    for (const node of this.at) this.ask(node);
    return this.improve();
  }

  private improve(): number {
    let change = 0;
    for (let node = this.queue.pop(); node !== undefined; node = this.queue.pop()) {
      this.queued[node] = 0;
      for (let by = this.better(node); by < 0; by = this.better(node)) change += by;
    }
    return change;
  }

  /** Swaps two neighbouring stretches behind position `p`, `b` and `c` nodes long, and improves from there (double bridge). */
  shake(p: number, b: number, c: number): number {
    const { n } = this.costs;
    const node = (i: number): number => this.at[(p + i) % n] as number;
    const [before, b1, b2, c1, c2, after] = [0, 1, b, b + 1, b + c, b + c + 1].map(node) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const by =
      this.d(before, c1) +
      this.d(c2, b1) +
      this.d(b2, after) -
      this.d(before, b1) -
      this.d(b2, c1) -
      this.d(c2, after);
    this.turnAt((p + 1) % n, (p + b + c) % n);
    this.turnAt((p + 1) % n, (p + c) % n);
    this.turnAt((p + c + 1) % n, (p + b + c) % n);
    for (const each of [before, b1, b2, c1, c2, after]) this.ask(each);
    return by + this.improve();
  }

  /** Makes the first move found at a node that shortens the round; answers by how much, 0 where there is none. */
  private better(a: number): number {
    return this.exchange(a) || this.carry(a);
  }

  /** 2-opt: two edges for two others. */
  private exchange(a: number): number {
    const { wide } = this;
    for (let forward = 1; forward >= 0; forward--) {
      const b = forward ? this.next(a) : this.previous(a);
      const ab = this.d(a, b);
      for (let k = 0; k < wide; k++) {
        const c = this.near[a * wide + k] as number;
        const ac = this.d(a, c);
        if (ac >= ab) break;
        const e = forward ? this.next(c) : this.previous(c);
        if (c === b || e === a) continue;
        const by = ac + this.d(b, e) - ab - this.d(c, e);
        if (by >= -TINY) continue;
        if (forward) this.turn(b, c);
        else this.turn(c, b);
        for (const each of [a, b, c, e]) this.ask(each);
        return by;
      }
    }
    return 0;
  }

  /** Or-opt: a stretch of up to three nodes that begins at `a` goes between two others, either way round. */
  private carry(a: number): number {
    const { wide } = this;
    for (let forward = 1; forward >= 0; forward--) {
      const step = (node: number): number => (forward ? this.next(node) : this.previous(node));
      const back = (node: number): number => (forward ? this.previous(node) : this.next(node));
      const p = back(a);
      let end = a;
      for (let long = 1; long <= LONGEST_SEGMENT; long++, end = step(end)) {
        const q = step(end);
        if (q === p) break;
        const freed = this.d(p, a) + this.d(end, q) - this.d(p, q);
        for (let k = 0; k < wide; k++) {
          const c = this.near[a * wide + k] as number;
          const ac = this.d(a, c);
          if (ac >= freed) break;
          if (this.between(c, a, end, forward === 1)) continue;
          // Beside c on either side: `a` stands next to c, the other end next to c's neighbour there.
          for (const e of [step(c), back(c)]) {
            if (this.between(e, a, end, forward === 1)) continue;
            const by = ac + this.d(end, e) - this.d(c, e) - freed;
            if (by >= -TINY) continue;
            this.move(a, end, c, e, forward === 1);
            for (const each of [p, q, a, end, c, e]) this.ask(each);
            return by;
          }
        }
      }
    }
    return 0;
  }

  /** Whether a node stands on the stretch from `a` to `end`. */
  private between(node: number, a: number, end: number, forward: boolean): boolean {
    const { n } = this.costs;
    const [from, to] = forward ? [a, end] : [end, a];
    const off = (each: number): number =>
      ((this.where[each] as number) - (this.where[from] as number) + n) % n;
    return off(node) <= off(to);
  }

  /** Puts the stretch a … end between the neighbours c and e, with `a` beside c. */
  private move(a: number, end: number, c: number, e: number, forward: boolean): void {
    const [first, last] = forward ? [a, end] : [end, a];
    const [before, after] = [this.previous(first), this.next(last)];
    const { n } = this.costs;
    const off = (each: number): number =>
      ((this.where[each] as number) - (this.where[first] as number) + n) % n;
    // Of c and e, the one met first going on from the stretch: before | first … last | after … near | far.
    const near = off(c) < off(e) ? c : e;
    this.turn(first, near);
    // Turned the other way round instead, everything reads backwards.
    if (this.previous(near) === before) this.turn(near, after);
    else this.turn(after, near);
    // before | after … near | last … first | far: the stretch stands turned round.
    if ((c === near ? last : first) === a) return;
    if (this.next(near) === last) this.turn(last, first);
    else this.turn(first, last);
  }
}

/** The nearest nodes of each, the nearest first; of equally near ones the one with the lower number. */
function nearestOf({ n, cost }: Costs, wide: number): Int32Array {
  const near = new Int32Array(n * wide);
  for (let i = 0; i < n; i++) {
    const at = i * wide;
    let have = 0;
    for (let j = 0; j < n; j++) {
      if (j === i) continue;
      const apart = cost[i * n + j] as number;
      if (have === wide && apart >= (cost[i * n + (near[at + wide - 1] as number)] as number)) continue;
      let k = have < wide ? have++ : wide - 1;
      for (; k > 0 && (cost[i * n + (near[at + k - 1] as number)] as number) > apart; k--)
        near[at + k] = near[at + k - 1] as number;
      near[at + k] = j;
    }
  }
  return near;
}
