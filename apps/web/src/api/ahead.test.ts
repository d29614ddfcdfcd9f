import { paths } from '@red-shelf/contract';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runInNewContext } from 'node:vm';
import { fetchOrTake } from './ahead';

const script = readFileSync(join(__dirname, '../../public/ahead.js'), 'utf8');
const disk = readFileSync(join(__dirname, 'disk.ts'), 'utf8');
const asked = jest.fn((path: string) => Promise.resolve(`answer to ${path}`));
const FIRST = [paths.listSupplies, paths.getWall, paths.listRecords].map(({ path }) => path);

/** Opens a page whose browser keeps what it is given, or nothing at all. */
function opens(kept: Record<string, string> | 'no keeping'): void {
  const localStorage = {
    getItem: (name: string) => {
      if (kept === 'no keeping') throw new Error('denied');
      return kept[name] ?? null;
    },
  };
  const window = {};
  runInNewContext(script, { window, localStorage, fetch: asked, Map });
  Object.assign(globalThis, { askedAhead: undefined, fetch: asked }, window);
}
beforeEach(() => asked.mockClear());

test.each([{}, 'no keeping' as const])(
  'a browser that keeps no stash asks for it at once, and once',
  async (kept) => {
    opens(kept);
    expect(asked.mock.calls.map(([path]) => path)).toEqual(FIRST);
    for (const path of FIRST) expect(await fetchOrTake(path)).toBe(`answer to ${path}`);
    expect(asked).toHaveBeenCalledTimes(3);
    // Asked again, it is asked anew: what is there may have changed.
    await fetchOrTake(FIRST[0] ?? '');
    expect(asked).toHaveBeenCalledTimes(4);
  },
);

test('a browser that keeps the stash asks for nothing before it knows what changed', async () => {
  const mark = /MARK = '(.*)'/.exec(disk)?.[1] ?? '';
  opens({ [mark]: '1' });
  expect(asked).not.toHaveBeenCalled();
  await fetchOrTake('/api/wall');
  expect(asked).toHaveBeenCalledTimes(1);
});

test('that nobody answers is heard by who takes the answer', async () => {
  asked.mockImplementationOnce(() => Promise.reject(new Error('nobody')));
  opens({});
  await expect(fetchOrTake('/api/supplies')).rejects.toThrow('nobody');
});
