import type { ChangeView, Foretold, RecordView, SupplyView, UnitView, WallView } from '@red-shelf/contract';
import type { Command } from '@red-shelf/contract';
import type { QueryClient } from '@tanstack/react-query';
import { v7 } from 'uuid';
import type { Order } from './client';
import { keys, mendRecords, mendSupplies, mendWall, refresh, sameOrder, type List } from './list';
import type { Waiting } from './keptCommand';
import { schemas, schemasNow } from './later';
import { Outbox } from './outbox';
import { Overlay, type Base, type Shown } from './overlay';

const boxes = new WeakMap<QueryClient, Outbox>();

/** The one outbox of a client. */
export function outboxOf(client: QueryClient): Outbox {
  const known = boxes.get(client);
  if (known) return known;
  const outbox = new Outbox(client, {
    onAnswer: (command, answer) => settle(client, command, answer),
    onRest: () => refreshSoon(client),
  });
  boxes.set(client, outbox);
  return outbox;
}

/** How long after the last answer the lists are asked for, ms: a row of acts asks once. */
const REST_MS = 200;
const resting = new WeakMap<QueryClient, ReturnType<typeof setTimeout>>();
function refreshSoon(client: QueryClient): void {
  clearTimeout(resting.get(client));
  resting.set(
    client,
    setTimeout(() => void refresh(client), REST_MS),
  );
}

/** Fetches what a change may have touched now, and not once more when nothing waits. */
export async function refreshNow(client: QueryClient): Promise<void> {
  clearTimeout(resting.get(client));
  await refresh(client);
}

interface Laid {
  readonly base: Base;
  readonly waiting: readonly Waiting[];
  readonly overlay: Overlay;
}
let last: Laid | null = null;

const sameBase = (a: Base, b: Base): boolean =>
  a.supplies === b.supplies && a.units === b.units && a.records === b.records;

/** Whether a list of what waits is another with one more behind it. */
const isOneMore = (next: readonly Waiting[], before: readonly Waiting[]): boolean =>
  next.length === before.length + 1 && before.every((each, i) => each === next[i]);

/** What waits laid over what the server said; one more command is laid over what was laid already. */
function overlayOf(base: Base, waiting: readonly Waiting[]): Overlay {
  if (last && sameBase(last.base, base)) {
    if (last.waiting === waiting) return last.overlay;
    const added = waiting.at(-1);
    if (added && added.command.route !== 'undoChange' && isOneMore(waiting, last.waiting)) {
      if (!added.heard) last.overlay.lay(added.command);
      last = { ...last, waiting };
      return last.overlay;
    }
  }
  // What is going to be taken back does not show.
  const back = new Set(
    waiting.flatMap(({ command }) => (command.route === 'undoChange' ? [command.of] : [])),
  );
  const overlay = new Overlay(base);
  for (const { command, heard } of waiting) if (!heard && !back.has(command.id)) overlay.lay(command);
  last = { base, waiting, overlay };
  return overlay;
}

/** The stash with what waits laid over it. */
export function shownOver(base: Base, waiting: readonly Waiting[]): Shown {
  const shown = overlayOf(base, waiting).shown();
  if (shown.inOrder) sameOrder(shown.supplies, base.supplies);
  return shown;
}

function baseOf(client: QueryClient): Base | null {
  const supplies = client.getQueryData<List>(keys.supplies);
  const wall = client.getQueryData<WallView>(keys.wall);
  const records = client.getQueryData<readonly RecordView[]>(keys.records);
  return supplies && wall && records ? { supplies, units: wall.units, records } : null;
}

/** The stash as it shows now, or null while it is not there yet. */
export function knownNow(client: QueryClient): Base | null {
  const base = baseOf(client);
  return base && shownOver(base, outboxOf(client).now().waiting);
}

/** Records with what waits laid over them. */
export function recordsOver(
  client: QueryClient,
  records: readonly RecordView[],
  waiting: readonly Waiting[],
): readonly RecordView[] {
  if (waiting.length === 0) return records;
  const base = baseOf(client) ?? { supplies: [], units: [], records };
  return overlayOf({ ...base, records }, waiting).shown().records;
}

/** Makes what is shown true by an answer: first as it was foretold, then as the answer says. */
function settle(client: QueryClient, command: Command, given: unknown): void {
  const answer = given as { supply?: SupplyView; record?: RecordView; unit?: UnitView };
  const base = baseOf(client);
  const told = base && schemasNow().foretell(command, new Overlay(base).known);
  const other = (told?.supplies ?? []).filter(({ id }) => id !== answer.supply?.id);
  const records = (told?.records ?? []).filter(({ id }) => id !== answer.record?.id);
  mendSupplies(client, [...other, ...(answer.supply ? [answer.supply] : [])], told?.gone);
  mendRecords(client, [...records, ...(answer.record ? [answer.record] : [])], told?.gone);
  if (told?.units) mendWall(client, told.units, answer.unit);
}

/** What comes of a change that was asked for: an answer, as it was given or as it will be. */
export interface Done<A> {
  readonly answer: A;
  /** It waits until the server can be reached. */
  readonly waits: boolean;
  /** What is shown says so already, or will once it was answered; else it has to be fetched. */
  readonly shown: boolean;
  /** It was known beforehand what it does, and shows. */
  readonly told: boolean;
}

/** An answer as it will be. */
function answerAsTold<A>(change: ChangeView, told: Foretold | null): A {
  const { supplies = [], records = [], lifted = [], units } = told ?? {};
  const unit = units?.find(({ id }) => id === change.id);
  return {
    change,
    ...(supplies[0] ? { supply: supplies[0] } : {}),
    ...(records[0] ? { record: records[0] } : {}),
    ...(unit ? { unit } : {}),
    ids: supplies.map(({ id }) => id),
    lifted,
    kept: [],
  } as A;
}

/**
 * Does a change: it is kept, and sent until it is answered. What can be foretold shows at once, and ends then; who is
 * `patient`, or asks for what only the server can tell, waits for the server's own word, as long as it answers.
 */
export async function perform<A>(client: QueryClient, asked: Order<A>, patient: boolean): Promise<Done<A>> {
  await schemas();
  const outbox = outboxOf(client);
  const command: Command = { ...asked, id: v7(), at: new Date().toISOString() };
  const { told, change } = toldOf(client, outbox, command);
  const heard = patient || told === null;
  const { answer } = await outbox.keep({ command, change, heard });
  const foretold = (waits: boolean): Done<A> => ({
    answer: answerAsTold(change, told),
    waits,
    shown: true,
    // What is taken back shows no more.
    told: told !== null || asked.route === 'undoChange',
  });
  if (!heard) return foretold(outbox.now().stuck);
  const given = await Promise.race([answer, outbox.whenStuck(command.id)]);
  return given === undefined
    ? foretold(true)
    : { answer: given as A, waits: false, shown: told !== null, told: true };
}

const NOTHING: Base = { supplies: [], units: [], records: [] };

function toldOf(
  client: QueryClient,
  outbox: Outbox,
  command: Command,
): { told: Foretold | null; change: ChangeView } {
  const base = baseOf(client);
  const { known } = overlayOf(base ?? NOTHING, outbox.now().waiting);
  // Of a stash that is not there yet nothing can be told.
  const { foretell, askedFor } = schemasNow();
  const told = base && foretell(command, known);
  return { told, change: told?.change ?? askedFor(command, known) };
}
