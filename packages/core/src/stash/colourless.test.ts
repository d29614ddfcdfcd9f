import { shelfFigures } from '../arrange/figures';
import { keyed } from '../arrange/order';
import { rainbowOrder } from '../arrange/rainbow';
import { doIOwn } from '../find/doIOwn';
import { makeStashSearch } from '../find/stashSearch';
import { searchable } from '../find/subject';
import { readRow } from '../formats/rowRead';
import { doublesOf } from '../review/candidates';
import { familyWithout, NO_COLOUR } from './colourless';

/** A die has no colour: it is asked for none, and no judgement of colours speaks of it. */

const stock = { state: 'ok', items: 1, left: 1, uses: 0, used: 0, lastUsedAt: null } as const;
const die = (name: string) => ({
  ...{ id: name, number: 1, kind: 'companion' as const, form: 'die', name, code: '', maker: '', range: '' },
  ...{ hex: NO_COLOUR, finish: 'matte' as const, family: 'none' as const, familyOverride: 'none' as const },
  ...{ group: 'none' as const, note: '', facts: {}, stock, addresses: [], createdAt: '2026-01-01T00:00:00Z' },
});
const DIES = [die('Oak 10'), die('Oak 9'), die('Ash')];

test('a stamp need have no colour, an ink must; what was said to have none has none', () => {
  expect([familyWithout('companion', 'stamp', null), familyWithout('ink', 'full-pad', null)]).toEqual([
    'none',
    null,
  ]);
  expect(familyWithout('companion', 'gems', 'none')).toBe('none');
});

test('a list brings dies in without a colour, and still refuses an ink without one', () => {
  const mapping = { name: 0, form: 1, colour: 2 };
  expect(readRow(['Oak', 'die', ''], mapping, { kind: 'companion' })).toMatchObject({
    ok: true,
    draft: { hex: NO_COLOUR, familyOverride: 'none' },
  });
  expect(readRow(['Oak', 'die', '#204060'], mapping, { kind: 'companion' })).toMatchObject({
    draft: { hex: '#204060', familyOverride: null },
  });
  expect(readRow(['Oak', '', ''], mapping, { kind: 'ink' }).ok).toBe(false);
});

test('no two of them are doubles, none answers a colour, none is pale or grey', () => {
  expect(doublesOf(DIES).size).toBe(0);
  expect(doIOwn(NO_COLOUR, DIES).answers).toEqual([]);
  const search = makeStashSearch(DIES.map((each) => searchable(each.name, each)));
  for (const query of [NO_COLOUR, 'grey', 'pale', 'neutral']) expect(search.find(query)).toEqual([]);
  expect(search.find('oak')).toHaveLength(2);
});

test('they stand last, by name, and make no step of colour', () => {
  const ink = { id: 'ink', name: 'Reed', hex: '#4c9a52' };
  const items = [...DIES.map(({ id, name, hex, family }) => ({ id, name, hex, family })), ink];
  expect(rainbowOrder(items).map(({ name }) => name)).toEqual(['Reed', 'Ash', 'Oak 9', 'Oak 10']);
  expect(shelfFigures([rainbowOrder(items).map(keyed)])).toEqual({ breaks: 1, meanStep: null });
});
