import type { Foretold, RecordView, SupplyView, WallView } from '@red-shelf/contract';
import { foretell, type Command } from '@red-shelf/contract';
import type { QueryClient } from '@tanstack/react-query';
import { v7 } from 'uuid';
import type { Order } from './client';
import { keys, mendRecords, mendSupplies, refresh, sameOrder, type List } from './list';
import type { Waiting } from './keptCommand';
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
  next.length === before.length + 1 && next[0] === (before[0] ?? next[0]) && next.at(-2) === before.at(-1);

/** What waits laid over what the server said; one more command is laid over what was laid already. */
function overlayOf(base: Base, waiting: readonly Waiting[]): Overlay {
  if (last && sameBase(last.base, base)) {
    if (last.waiting === waiting) return last.overlay;
    const added = waiting.at(-1);
    if (added && added.command.route !== 'undoChange' && isOneMore(waiting, last.waiting)) {
      last.overlay.lay(added.command);
      last = { ...last, waiting };
      return last.overlay;
    }
  }
  // What is going to be taken back does not show.
  const back = new Set(
    waiting.flatMap(({ command }) => (command.route === 'undoChange' ? [command.of] : [])),
  );
  const overlay = new Overlay(base);
  for (const { command } of waiting) if (!back.has(command.id)) overlay.lay(command);
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
  const answer = given as { supply?: SupplyView; record?: RecordView };
  const base = baseOf(client);
  const told = base && foretell(command, new Overlay(base).known);
  const other = (told?.supplies ?? []).filter(({ id }) => id !== answer.supply?.id);
  const records = (told?.records ?? []).filter(({ id }) => id !== answer.record?.id);
  mendSupplies(client, [...other, ...(answer.supply ? [answer.supply] : [])], told?.gone);
  mendRecords(client, [...records, ...(answer.record ? [answer.record] : [])], told?.gone);
}

/** What comes of a change that was asked for: an answer, as it was given or as it will be. */
export interface Done<A> {
  readonly answer: A;
  /** It waits until the server can be reached. */
  readonly waits: boolean;
  /** What is shown says so already; else it has to be fetched. */
  readonly shown: boolean;
}

/** An answer as it will be. */
function answerAsTold<A>({ change, supplies: [supply], records: [record] }: Foretold): A {
  return { change, ...(supply ? { supply } : {}), ...(record ? { record } : {}), lifted: [], kept: [] } as A;
}

/**
 * Does a change. What can be foretold is kept and shown at once, and ends then; who is `patient` waits for the server's
 * own word, as long as it answers. What only the server can tell is asked for.
 */
export async function perform<A>(client: QueryClient, asked: Order<A>, patient: boolean): Promise<Done<A>> {
  const outbox = outboxOf(client);
  const command: Command = { ...asked, id: v7(), at: new Date().toISOString() };
  const told = toldOf(client, outbox, command);
  if (!told) return { answer: (await outbox.ask(command)) as A, waits: false, shown: false };
  const { answer } = await outbox.keep({ command, change: told.change }, { heard: patient });
  if (!patient) return { answer: answerAsTold(told), waits: outbox.now().stuck, shown: true };
  const given = await Promise.race([answer, outbox.whenStuck(command.id)]);
  return given === undefined
    ? { answer: answerAsTold(told), waits: true, shown: true }
    : { answer: given as A, waits: false, shown: true };
}

function toldOf(client: QueryClient, outbox: Outbox, command: Command): Foretold | null {
  const { route, id } = command;
  // Taking back is foretold of nothing: what it leaves is for the server to say.
  if (route === 'undoChange')
    return { change: { id, kind: 'undo', name: '', count: 1 }, supplies: [], records: [], gone: [] };
  const base = baseOf(client);
  return base && foretell(command, overlayOf(base, outbox.now().waiting).known);
}
