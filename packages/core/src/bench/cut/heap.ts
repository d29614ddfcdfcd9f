/** Things by how promising they are, the most promising first. */
export class Heap<T> {
  private readonly rows: { readonly key: number; readonly it: T }[] = [];
  constructor(private readonly keyOf: (it: T) => number) {}

  push(it: T): void {
    const row = { key: this.keyOf(it), it };
    let at = this.rows.push(row) - 1;
    while (at > 0) {
      const up = (at - 1) >> 1;
      const above = this.rows[up];
      if (!above || above.key >= row.key) break;
      this.rows[at] = above;
      at = up;
    }
    this.rows[at] = row;
  }

  pop(): T | undefined {
    const top = this.rows[0];
    const last = this.rows.pop();
    if (!top || !last || this.rows.length === 0) return top?.it;
    let at = 0;
    for (;;) {
      const [left, right] = [this.rows[2 * at + 1], this.rows[2 * at + 2]];
      const isRight = right !== undefined && left !== undefined && right.key > left.key;
      const next = isRight ? right : left;
      if (!next || next.key <= last.key) break;
      this.rows[at] = next;
      at = 2 * at + (isRight ? 2 : 1);
    }
    this.rows[at] = last;
    return top.it;
  }
}
