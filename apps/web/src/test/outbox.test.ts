import './indexedDb';
import type { ChangeView, Command } from '@red-shelf/contract';
import { QueryClient } from '@tanstack/react-query';
import { waitFor } from '@testing-library/react';
import { readCommands, writeCommand } from '../api/disk';
import { Outbox } from '../api/outbox';
import { change, fakeServer, Refused, supply } from './harness';

const command = (n: number, more: Partial<Command> = {}): Command => ({
  route: 'actOnSupply',
  of: 's1',
  body: { act: 'use', amount: n },
  id: `command-${n}`,
  at: '2026-05-31T10:00:00.000Z',
  ...more,
});
const told = change() as ChangeView;
const PATH = 'POST /api/supplies/s1/ledger';
const done = { supply: supply(), change: change() };

let outbox: Outbox;
let rests: number;
beforeEach(() => {
  rests = 0;
  const client = new QueryClient();
  outbox = new Outbox(client, { onAnswer: () => undefined, onRest: () => rests++ });
});
const kept = async (): Promise<string[]> => [...(await readCommands()).keys()];
const amounts = (sent: readonly { body: unknown }[]) =>
  sent.map(({ body }) => (body as { amount: number }).amount);

test('commands are on disk before they are told of, are sent in order, and are forgotten once answered', async () => {
  const sent = fakeServer({ [PATH]: done });
  const answers = await Promise.all(
    [1, 2, 3].map((n) => outbox.keep({ command: command(n), change: told, heard: false })),
  );
  await Promise.all(answers.map(({ answer }) => answer));
  expect(amounts(sent)).toEqual([1, 2, 3]);
  expect(outbox.now().waiting).toEqual([]);
  expect(await kept()).toEqual([]);
  expect(rests).toBeGreaterThan(0);
});

test('what nobody answers is sent again under its own name; meanwhile it is on disk, and those behind it wait', async () => {
  let lost = 2;
  const sent = fakeServer({
    [PATH]: () => {
      if (lost-- > 0) throw new TypeError('lost');
      return done;
    },
  });
  const first = await outbox.keep({ command: command(1), change: told, heard: false });
  await outbox.keep({ command: command(2), change: told, heard: false });
  await waitFor(() => expect(outbox.now().stuck).toBe(true));
  expect((await kept()).sort()).toEqual(['command-1', 'command-2']);
  await first.answer;
  await waitFor(() => expect(outbox.now().waiting).toEqual([]));
  expect(amounts(sent)).toEqual([1, 1, 1, 2]);
  expect(new Set(sent.slice(0, 3).map((each) => each.command)).size).toBe(1);
  expect(outbox.now().stuck).toBe(false);
});

test('what a full disk takes not is kept, and done as soon as there is room', async () => {
  let full = 2;
  const sent = fakeServer({
    [PATH]: () =>
      full-- > 0 ? new Refused({ status: 507, code: 'disk_full', title: 'The disk is full.' }) : done,
  });
  const { answer } = await outbox.keep({ command: command(1), change: told, heard: false });
  await waitFor(() => expect(outbox.now()).toMatchObject({ stuck: true, because: 'disk_full' }));
  outbox.reached();
  expect(outbox.now().stuck).toBe(true);
  await answer;
  expect(amounts(sent)).toEqual([1, 1, 1]);
  expect(outbox.now()).toMatchObject({ stuck: false, because: null, refused: [] });
});

test('a refusal is kept until it was seen, unless somebody waits for it; what was done already is no refusal', async () => {
  fakeServer({
    [PATH]: ({ body }) => {
      const { amount } = body as { amount: number };
      const code = amount === 3 ? 'done_already' : 'more_than_left';
      return new Refused({ status: 422, code, title: 'Only 5 left.' });
    },
  });
  const heard = await outbox.keep({ command: command(1), change: told, heard: true });
  await expect(heard.answer).rejects.toThrow('Only 5 left.');
  expect(outbox.now().refused).toEqual([]);
  const unheard = await outbox.keep({ command: command(2), change: told, heard: false });
  await expect(unheard.answer).rejects.toThrow('Only 5 left.');
  const [refused] = outbox.now().refused;
  expect(refused).toMatchObject({ command: { id: 'command-2' }, refusal: 'Only 5 left.' });
  expect(await kept()).toEqual(['command-2']);
  await outbox.dismiss('command-2');
  expect([outbox.now().refused, await kept()]).toEqual([[], []]);
  const again = await outbox.keep({ command: command(3), change: told, heard: false });
  await expect(again.answer).rejects.toThrow();
  expect(outbox.now()).toMatchObject({ waiting: [], refused: [] });
});

test('what a page that is gone left on disk is taken up in its order; what is no command is passed over', async () => {
  const sent = fakeServer({ [PATH]: done });
  for (const n of [2, 1])
    await writeCommand(`command-${n}`, { command: command(n), change: told, tab: 'gone' });
  await writeCommand('odd', { command: { route: 'no such' }, tab: 'gone' });
  const refusal = 'Something else lives in that slot.';
  await writeCommand('command-3', { command: command(3), change: told, tab: 'gone', refusal });
  await outbox.takeUp();
  await waitFor(() => expect(outbox.now().waiting).toEqual([]));
  expect(amounts(sent)).toEqual([1, 2]);
  expect(outbox.now().refused).toMatchObject([{ refusal }]);
});

test('what was never sent is taken back without a trace; what may have been done is not', async () => {
  let answer: (given: object) => void = () => undefined;
  fakeServer({});
  global.fetch = jest.fn(
    () =>
      new Promise((resolve) => {
        answer = (given) => resolve({ ok: true, status: 200, json: () => Promise.resolve(given) });
      }),
  ) as unknown as typeof fetch;
  await outbox.keep({ command: command(1), change: told, heard: false });
  await outbox.keep({ command: command(2), change: told, heard: false });
  await waitFor(() => expect(global.fetch).toHaveBeenCalledTimes(1));
  expect([await outbox.cancel('command-1'), await outbox.cancel('command-2')]).toEqual([false, true]);
  expect(await kept()).toEqual(expect.not.arrayContaining(['command-2']));
  answer(done);
  await waitFor(() => expect(outbox.now().waiting).toEqual([]));
  expect(global.fetch).toHaveBeenCalledTimes(1);
});

test('a reading counts only if no command came between', async () => {
  fakeServer({ [PATH]: done });
  const quiet = outbox.reading();
  expect(quiet()).toBe(true);
  const between = outbox.reading();
  await (
    await outbox.keep({ command: command(1), change: told, heard: false })
  ).answer;
  expect(between()).toBe(false);
  expect(outbox.reading()()).toBe(true);
});
