/** More than so many entries are not kept; who knows an older state is answered from the database. */
const MOST = 40_000;

/** Which supplies changes touched, in the order of the changes, since a known one. */
export class ChangeLog {
  private entries: { readonly seq: number; readonly id: string }[] = [];
  /** `since`: everything after this change is in the log. */
  constructor(private since: number) {}

  add(seq: number, ids: Iterable<string>): void {
    for (const id of ids) this.entries.push({ seq, id });
    if (this.entries.length <= MOST) return;
    const dropped = this.entries.splice(0, this.entries.length - MOST / 2);
    this.since = dropped.at(-1)?.seq ?? this.since;
  }

  /** Ids of supplies touched after a change, each once; null where the log does not reach back so far. */
  after(known: number): ReadonlySet<string> | null {
    if (known < this.since) return null;
    const ids = new Set<string>();
    for (let i = this.entries.length - 1; i >= 0; i--) {
      const entry = this.entries[i];
      if (!entry || entry.seq <= known) break;
      ids.add(entry.id);
    }
    return ids;
  }
}
