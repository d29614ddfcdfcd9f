import { breatheIfLong } from '../db/tx';

/** So many supplies are written together: after a change only their block is written again. */
const BLOCK = 64;
const COMMA = Buffer.from(',');

/** A long list as it is sent, in blocks of bytes: a change of one supply writes one block, not ten thousand supplies. */
export class ListText {
  private readonly blocks: (Uint8Array | null)[];
  private readonly blockOf = new Map<string, number>();

  constructor(private readonly ids: readonly string[]) {
    this.blocks = Array<Uint8Array | null>(Math.ceil(ids.length / BLOCK)).fill(null);
    ids.forEach((id, i) => this.blockOf.set(id, Math.floor(i / BLOCK)));
  }

  /** A supply says something else now, and stands where it stood. */
  outdate(id: string): void {
    const block = this.blockOf.get(id);
    if (block !== undefined) this.blocks[block] = null;
  }

  /** The list between a head and a tail; `textOf` writes one supply. */
  async bytes(head: string, textOf: (id: string) => string, tail: string): Promise<Buffer> {
    const parts: Uint8Array[] = [Buffer.from(head)];
    for (let i = 0; i < this.blocks.length; i++) {
      if (i > 0) parts.push(COMMA);
      const known = this.blocks[i];
      const texts = () => this.ids.slice(i * BLOCK, (i + 1) * BLOCK).map(textOf);
      parts.push(known ?? (this.blocks[i] = Buffer.from(texts().join(','))));
      // A list that is written for the first time takes a while.
      if (!known) await breatheIfLong();
    }
    parts.push(Buffer.from(tail));
    return Buffer.concat(parts);
  }
}
