import {
  fullSupply,
  type LeanSupply,
  type RecordView,
  type SupplyView,
  type UnitView,
  type WallView,
} from '@red-shelf/contract';
import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { checkSoon } from './checkSoon';
import { call, glance, glanceText, routes } from './client';
import { byIdOf, mended } from './indexed';
import { StashKeeper, type KeptStash } from './keptStash';

/** Names of what is fetched, so that a change knows what to fetch again. */
export const keys = {
  supplies: ['supplies'] as const,
  supply: (id: string) => ['supply', id] as const,
  wall: ['wall'] as const,
  arrange: ['arrange'] as const,
  records: ['records'] as const,
  journal: ['journal'] as const,
  gaps: ['gaps'] as const,
  figures: ['figures'] as const,
  out: ['out'] as const,
};

export type List = readonly SupplyView[];

/** What a list came with: the order it stands in, which a mended list has none of, and the last change it knows. */
interface CameWith {
  readonly order: string | null;
  readonly seq: number;
}
const cameWith = new WeakMap<List, CameWith>();
/** A server that tells no number is asked for everything each time. */
const NO_SEQ = -1;
export const orderOf = (list: List): string | null => cameWith.get(list)?.order ?? null;
/** A list that stands as another does: nothing that order asks of was changed. */
export function sameOrder(next: List, as: List): void {
  const came = cameWith.get(as);
  if (came && next !== as) cameWith.set(next, came);
}

/** Puts what an answer carried into the list at once, before anything is fetched again. */
export function mendSupplies(
  client: QueryClient,
  changed: readonly SupplyView[],
  gone: readonly string[] = [],
): void {
  if (changed.length + gone.length === 0) return;
  client.setQueryData<List>(keys.supplies, (list) => {
    if (!list) return list;
    const next = mended(list, changed, gone);
    const before = byIdOf(list);
    // What was used, counted or moved stands where it stood.
    const moved = changed.some(({ id, version }) => before.get(id)?.version !== version);
    const { order = null, seq = NO_SEQ } = cameWith.get(list) ?? {};
    cameWith.set(next, { order: moved ? null : order, seq });
    return next;
  });
  for (const supply of changed)
    client.setQueryData<{ supply: SupplyView }>(
      keys.supply(supply.id),
      (known) => known && { ...known, supply },
    );
}

export function mendRecords(
  client: QueryClient,
  changed: readonly RecordView[],
  gone: readonly string[] = [],
): void {
  if (changed.length + gone.length === 0) return;
  client.setQueryData<readonly RecordView[]>(keys.records, (list) => {
    if (!list) return list;
    return mended(list, changed, gone);
  });
}

/** The wall as it was foretold, with a unit as an answer says it is. */
export function mendWall(client: QueryClient, units: readonly UnitView[], unit?: UnitView): void {
  client.setQueryData<WallView>(
    keys.wall,
    (wall) => wall && { ...wall, units: units.map((each) => (each.id === unit?.id ? unit : each)) },
  );
}

/** Whether a fetch of the list brings the walls and records with it. */
const bringsAll = (client: QueryClient): boolean => {
  const list = client.getQueryData<List>(keys.supplies);
  return list !== undefined && (cameWith.get(list)?.seq ?? NO_SEQ) !== NO_SEQ;
};

/** Fetches again whatever a change may have touched. */
export async function refresh(client: QueryClient): Promise<void> {
  // The list's news bring the walls and the records; without a list they are asked for themselves.
  const rest = bringsAll(client) ? [] : [keys.wall, keys.records];
  // What arranging would do is worked out anew where it is looked at; nothing waits for that.
  void client.invalidateQueries({ queryKey: keys.arrange });
  await Promise.all([
    // Also while no screen shows the list: walls and records come with it.
    client.refetchQueries({ queryKey: keys.supplies, type: 'all' }),
    ...[...rest, keys.journal, keys.gaps, keys.figures, keys.out, ['supply'] as const].map((queryKey) =>
      client.invalidateQueries({ queryKey }),
    ),
  ]);
}

/** What was kept from before is shown first; then the server is asked for what changed since. */
interface Start {
  readonly keeper: StashKeeper;
  readonly restored: Promise<KeptStash | null>;
  /** What was restored and not fetched yet. */
  readonly unasked: Set<string>;
  readonly reading: () => () => boolean;
  readonly reached: () => void;
}
const starts = new WeakMap<QueryClient, Start>();

/** Begins with what this browser kept. `reading` says of a reading whether a command came between. */
export function beginWithKept(
  client: QueryClient,
  { reading, reached }: Pick<Start, 'reading' | 'reached'>,
): void {
  // The list shares what did not change by itself, and what it came with hangs on the very list.
  client.setQueryDefaults(keys.supplies, { structuralSharing: false });
  const keeper = new StashKeeper();
  const unasked = new Set<string>();
  const restored = keeper.read().then((kept) => {
    if (!kept) return null;
    cameWith.set(kept.supplies, { order: kept.order, seq: kept.seq });
    client.setQueryData(keys.supplies, kept.supplies, { updatedAt: 0 });
    client.setQueryData(keys.wall, kept.wall, { updatedAt: 0 });
    client.setQueryData(keys.records, kept.records, { updatedAt: 0 });
    unasked.add(keys.wall[0]).add(keys.records[0]);
    return kept;
  });
  starts.set(client, { keeper, restored, unasked, reading, reached });
}

/** Walls and records: as they were kept, since the list brings them; else asked for. */
export async function fetchBeside<T>(
  client: QueryClient,
  key: QueryKey,
  fetch: () => Promise<T>,
): Promise<T> {
  const start = starts.get(client);
  await start?.restored;
  const kept = client.getQueryData<T>(key);
  if (start?.unasked.delete(String(key[0])) && kept !== undefined) return kept;
  return fetch();
}

/** The whole list once; after that only what changed since, records too, with the walls of then. */
export async function fetchSupplies(client: QueryClient): Promise<List> {
  const start = starts.get(client);
  await start?.restored;
  const known = client.getQueryData<List>(keys.supplies);
  const seq = (known && cameWith.get(known)?.seq) ?? NO_SEQ;
  const list = known && seq !== NO_SEQ ? await fetchNews(client, known, seq) : await fetchWhole(client);
  start?.reached();
  return list;
}

/** One supply with its history; what it says of the supply is news to the list too. */
export async function fetchSupply(client: QueryClient, id: string) {
  const undisturbed = starts.get(client)?.reading();
  const answer = await call(routes.getSupply, { id });
  const listed = client.getQueryData<List>(keys.supplies)?.find((each) => each.id === id);
  const isNews = listed !== undefined && JSON.stringify(listed) !== JSON.stringify(answer.supply);
  if (isNews && (!undisturbed || undisturbed())) mendSupplies(client, [answer.supply]);
  return answer;
}

async function fetchWhole(client: QueryClient): Promise<List> {
  const text = await glanceText(routes.listSupplies);
  const { supplies, order, seq } = JSON.parse(text) as { supplies: LeanSupply[]; order: string; seq: number };
  const list = supplies.map(fullSupply);
  cameWith.set(list, { order, seq: Number.isInteger(seq) ? seq : NO_SEQ });
  checkSoon('listSupplies', { order, seq, supplies: list });
  keepSoon(client, { text, supplies: list });
  return list;
}

async function fetchNews(client: QueryClient, known: List, seq: number): Promise<List> {
  const undisturbed = starts.get(client)?.reading();
  const news = await glance(routes.since, String(seq));
  // What was mended while this was asked for is newer than what it was asked about.
  const list = client.getQueryData<List>(keys.supplies) ?? known;
  if (undisturbed && !undisturbed()) return list;
  client.setQueryData(keys.wall, news.wall);
  if (news.all) client.setQueryData(keys.records, news.changedRecords);
  else mendRecords(client, news.changedRecords, news.goneRecords);
  checkSoon('since', news);
  keepSoon(client);
  const order = orderOf(list);
  if (!news.all && news.supplies.length === 0 && news.gone.length === 0) {
    cameWith.set(list, { order, seq: news.seq });
    return list;
  }
  const supplies = news.supplies.map((each) => fullSupply(each));
  const next = news.all ? supplies : mended(list, supplies, news.gone);
  const before = byIdOf(list);
  const stands = !news.all && supplies.every(({ id, version }) => before.get(id)?.version === version);
  cameWith.set(next, { order: stands ? order : null, seq: news.seq });
  return next;
}

/** How long after a change the stash is written to disk, ms. */
const KEEP_AFTER_MS = 1500;
interface Keeping {
  readonly write: () => void;
  timer?: ReturnType<typeof setTimeout>;
  /** The whole list, where it came anew. */
  whole?: Whole;
}
interface Whole {
  readonly text: string;
  readonly supplies: List;
}
const keepings = new WeakMap<QueryClient, Keeping>();

function writeKept(client: QueryClient, whole: Whole | undefined): void {
  const supplies = client.getQueryData<List>(keys.supplies);
  const wall = client.getQueryData<WallView>(keys.wall);
  const records = client.getQueryData<readonly RecordView[]>(keys.records);
  const came = supplies && cameWith.get(supplies);
  const keeper = starts.get(client)?.keeper;
  if (!keeper || !supplies || !wall || !records || !came || came.seq === NO_SEQ) return;
  const stash = { supplies, wall, records, ...came };
  void (whole ? keeper.keepWhole(stash, whole) : keeper.keep(stash));
}

function keepingOf(client: QueryClient): Keeping {
  const known = keepings.get(client);
  if (known) return known;
  const keeping: Keeping = {
    write: () => {
      if (keeping.timer === undefined) return;
      clearTimeout(keeping.timer);
      const { whole } = keeping;
      delete keeping.timer;
      delete keeping.whole;
      writeKept(client, whole);
    },
  };
  // A page that is left writes what it knows now: it may never be looked at again.
  if (typeof document !== 'undefined')
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') keeping.write();
    });
  keepings.set(client, keeping);
  return keeping;
}

/** Keeps the stash on disk a moment later; one change after another does not put it off. */
function keepSoon(client: QueryClient, whole?: Whole): void {
  const keeping = keepingOf(client);
  if (whole) keeping.whole = whole;
  keeping.timer ??= setTimeout(keeping.write, KEEP_AFTER_MS);
}
