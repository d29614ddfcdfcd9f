import { MOST_LIST_BYTES } from '@red-shelf/contract';
import { ApiError, call, routes } from '../api/client';
import { uploadList } from '../api/files';
import { words } from '../copy/words';
import { change, fakeServer, Refused } from './harness';

const refusal = async (work: Promise<unknown>) => {
  try {
    await work;
  } catch (error) {
    if (error instanceof ApiError) return error.problem;
    throw error;
  }
  throw new Error('it was not refused');
};

test('the id goes into the path, and the body only where there is one', async () => {
  const sent = fakeServer({
    'POST /api/supplies/a%2Fb/remove': { change: change() },
    'GET /api/wall': { roomName: 'Room', units: [] },
  });
  await call(routes.removeSupply, { id: 'a/b', body: { version: 2 } });
  await call(routes.getWall);
  expect(sent).toMatchObject([{ method: 'POST', path: '/api/supplies/a%2Fb/remove', body: { version: 2 } }]);
});

test('a refusal comes through with its sentence, code and both versions', async () => {
  fakeServer({
    'GET /api/wall': new Refused({ status: 409, code: 'stale', title: 'Changed.', current: { a: 1 } }),
  });
  expect(await refusal(call(routes.getWall))).toMatchObject({
    code: 'stale',
    title: 'Changed.',
    current: { a: 1 },
  });
});

test('no answer at all, and an answer that is not ours, say that the server cannot be reached', async () => {
  fakeServer({});
  expect(await refusal(call(routes.getWall))).toMatchObject({ code: 'offline', title: words.offline });
  global.fetch = jest.fn(() =>
    Promise.resolve({ ok: false, status: 502, json: () => Promise.reject(new Error('html')) } as Response),
  );
  expect(await refusal(call(routes.getWall))).toMatchObject({ code: 'unreadable', status: 502 });
});

test('an answer this app does not understand is said, and never taken for true', async () => {
  fakeServer({ 'GET /api/wall': { roomName: 'Room', units: [{ id: 7 }] } });
  expect(await refusal(call(routes.getWall))).toMatchObject({
    code: 'not_understood',
    title: words.notUnderstood,
  });
});

const UPLOAD = {
  id: 'i1',
  encoding: 'utf-8',
  delimiter: ',',
  headings: ['Name'],
  sample: [['Fern']],
  rows: 1,
  mapping: { name: 0 },
};

test('a file that is too large is not sent', async () => {
  const sent = fakeServer({ 'POST /api/imports': UPLOAD });
  const file = (size: number) => ({ size }) as Blob;
  expect((await refusal(uploadList(file(MOST_LIST_BYTES * 2.5)))).title).toMatch(
    /^20 MB is too large: at most 8 MB/,
  );
  expect(sent).toEqual([]);
  await uploadList(file(MOST_LIST_BYTES));
  expect(sent).toHaveLength(1);
});
