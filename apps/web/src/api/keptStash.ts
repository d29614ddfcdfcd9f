import {
  fullSupply,
  type LeanSupply,
  type RecordView,
  type SupplyView,
  type WallView,
} from '@red-shelf/contract';
import { forgetStash, readStash, writeStash } from './disk';

/** What this browser knows of the stash: all of it as of a change. */
export interface KeptStash {
  readonly supplies: readonly SupplyView[];
  readonly order: string | null;
  readonly seq: number;
  readonly wall: WallView;
  readonly records: readonly RecordView[];
}

/** Another shape of what is kept: an older one is not read, and the list is asked for anew. */
const SHAPE = 2;
/** With more news than this the whole is written again. */
const MOST_NEWS = 2000;

/** The list as it once came over the wire, and what changed since: a change need not write ten thousand supplies again. */
interface Whole {
  readonly shape: number;
  readonly name: string;
  readonly text: string;
}
interface News {
  readonly of: string;
  readonly seq: number;
  readonly order: string | null;
  readonly changed: readonly SupplyView[];
  readonly gone: readonly string[];
  readonly wall: WallView;
  readonly records: readonly RecordView[];
}

const isWhole = (kept: unknown): kept is Whole => (kept as Whole | undefined)?.shape === SHAPE;
const listIn = (text: string): readonly SupplyView[] =>
  (JSON.parse(text) as { supplies: LeanSupply[] }).supplies.map(fullSupply);

/** Keeps the stash on disk. */
export class StashKeeper {
  private whole: { readonly name: string; readonly supplies: readonly SupplyView[] } | null = null;

  /** What an earlier page kept, or null. */
  async read(): Promise<KeptStash | null> {
    const [whole, news] = ((await readStash(['whole', 'news'])) ?? []) as [unknown, News | undefined];
    if (!isWhole(whole) || news?.of !== whole.name) return null;
    const supplies = listIn(whole.text);
    this.whole = { name: whole.name, supplies };
    const changed = new Map(news.changed.map((each) => [each.id, each]));
    const gone = new Set(news.gone);
    const kept = supplies.flatMap((each) => (gone.has(each.id) ? [] : (changed.get(each.id) ?? each)));
    const there = new Set(supplies.map(({ id }) => id));
    const added = news.changed.filter(({ id }) => !there.has(id));
    const { order, seq, wall, records } = news;
    return { supplies: added.length > 0 ? [...kept, ...added] : kept, order, seq, wall, records };
  }

  /** Keeps the whole list, as the text it came as and what was read from it, and what changed since then. */
  async keepWhole(
    stash: KeptStash,
    { text, supplies }: { readonly text: string; readonly supplies: readonly SupplyView[] },
  ): Promise<void> {
    this.whole = { name: String(stash.seq) + '-' + String(Date.now()), supplies };
    const whole: Whole = { shape: SHAPE, name: this.whole.name, text };
    await writeStash([
      ['whole', whole],
      ['news', this.newsOf(stash, this.whole)],
    ]);
  }

  /** Keeps what changed since the whole was written. */
  async keep(stash: KeptStash): Promise<void> {
    if (!this.whole) return this.keepAll(stash);
    const news = this.newsOf(stash, this.whole);
    if (news.changed.length > MOST_NEWS) return this.keepAll(stash);
    await writeStash([['news', news]]);
  }

  private async keepAll(stash: KeptStash): Promise<void> {
    const { supplies } = stash;
    await this.keepWhole(stash, { text: JSON.stringify({ supplies }), supplies });
  }

  private newsOf(
    { supplies, seq, order, wall, records }: KeptStash,
    whole: { readonly name: string; readonly supplies: readonly SupplyView[] },
  ): News {
    const before = new Set(whole.supplies);
    const there = new Set(supplies.map(({ id }) => id));
    return {
      of: whole.name,
      seq,
      order,
      changed: supplies.filter((each) => !before.has(each)),
      gone: whole.supplies.flatMap(({ id }) => (there.has(id) ? [] : [id])),
      wall,
      records,
    };
  }

  forget(): Promise<void | undefined> {
    this.whole = null;
    return forgetStash();
  }
}
