import { doIOwn, inStash, makeStashSearch, searchable } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { demoRoom } from '../demo/room';
import { randomStream } from '../demo/random';
import { systemPorts } from '../services/ports';
import { restoreDocument } from '../services/restore';
import { stashList } from '../services/context';
import { makeWorld, type World } from './world';

/** "Do I own it?" and the search of the stash, asked the same of the demo room. */

let world: World;
let stash: readonly SupplyView[];
beforeAll(async () => {
  world = await makeWorld();
  const context = { store: world.store, ports: systemPorts };
  await restoreDocument(context, demoRoom(Date.parse('2026-05-31')));
  stash = (await stashList(context).all()).filter(inStash);
});
afterAll(() => world.close());

const QUESTIONS = 200;
const COLOURS = 'red orange yellow green teal blue purple pink brown black grey white gold navy cream'.split(
  ' ',
);
const TONES = ['', '', 'pale', 'dark', 'bright', 'muted'];
const KINDS = ['ink', 'marker', 'card', 'ribbon', 'stickers', 'full pad', 'spool', 'A4', 'refill'];

test(`${QUESTIONS} questions, and neither ever says no to what the other has`, () => {
  const random = randomStream(2026);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const wordOf = (): string => {
    const { name, maker, finish, facts } = pick(stash);
    return pick([name, maker, finish, ...(facts.tags ?? []), name.split(' ')[0] ?? name]);
  };
  const search = makeStashSearch(stash.map((item) => searchable(item, { ...item, addresses: [] })));
  const seen = { yes: 0, 'not quite': 0, no: 0 };
  for (let i = 0; i < QUESTIONS; i++) {
    const parts = [pick(TONES), pick(COLOURS), pick(KINDS), ...(random() < 0.4 ? [wordOf()] : [])];
    const question = parts.filter((part) => part !== '' && random() < 0.85).join(' ');
    if (question === '') continue;
    const { verdict, answers, nearest } = doIOwn(question, stash);
    const found = search.find(question);
    seen[verdict]++;
    const say = { question, verdict, found: found.length };
    if (found.length > 0) expect(say).not.toMatchObject({ verdict: 'no' });
    const ids = new Set(found.map(({ id }) => id));
    for (const { item, reason } of answers)
      if (reason.sort === 'words')
        expect({ question, there: ids.has(item.id) }).toMatchObject({ there: true });
    if (verdict === 'yes') expect(found.length).toBeGreaterThan(0);
    // A no to a colour names what comes nearest, and that is no near thing.
    for (const { reason } of nearest) expect(reason).toMatchObject({ difference: { step: 'far' } });
  }
  // The questions are no mere formality: each answer is given often.
  expect(Math.min(seen.yes, seen['not quite'], seen.no)).toBeGreaterThan(5);
});
