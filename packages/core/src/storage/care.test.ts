import { CARE_IDS, careFor, careRule, PLACE_MARKS, type CareId, type PlaceSign } from './care';
import { mayLive, type Lodger, type RoomNow } from './mayLive';
import { evenGrid } from './models/grid';
import { testUnit } from './test/testUnit';
import { marksIn, ROOM_ID, type Unit } from './unit';

const EMPTY: RoomNow = { livingIn: () => [] };
const thing = (kind: Lodger['supply']['kind'], form: string, attributes = {}): Lodger['supply'] => ({
  id: 's',
  kind,
  form,
  facts: { attributes },
});
const LIGHT_MG = 100_000;
const HEAVY_MG = 3_000_000;

const SIGNS: readonly PlaceSign[] = [
  ...PLACE_MARKS,
  'heap',
  'pile',
  'long rod',
  'open',
  'hidden',
  'to show',
  'to hide',
  'over paper',
  'under liquids',
  'unrecorded',
  'deep',
];

test.each<[CareId, readonly PlaceSign[], Lodger['supply'], number]>([
  ['sun fades', ['sun'], thing('cardstock', 'sheet-12'), LIGHT_MG],
  ['wood yellows', ['bare wood'], thing('sticker', 'sheet'), LIGHT_MG],
  ['damp curls', ['damp'], thing('cardstock', 'sheet-12'), LIGHT_MG],
  ['damp rusts', ['damp'], thing('companion', 'die'), LIGHT_MG],
  ['heat and fumes', ['heat'], thing('ink', 'full-pad', { chemistry: 'permanent solvent' }), LIGHT_MG],
  ['heat melts', ['heat'], thing('sticker', 'sheet'), LIGHT_MG],
  ['child finds', ['child'], thing('companion', 'beads'), LIGHT_MG],
  ['child finds', ['child'], thing('marker', 'alcohol-dual'), LIGHT_MG],
  ['heavy and high', ['high'], thing('cardstock', 'sheet-12'), HEAVY_MG],
  ['bottle lies', ['heap'], thing('ink', 'refill'), LIGHT_MG],
  ['pad tilts', ['heap'], thing('ink', 'full-pad'), LIGHT_MG],
  ['marker stands', ['heap'], thing('marker', 'alcohol-dual'), LIGHT_MG],
  ['falls over', ['loose'], thing('cardstock', 'sheet-12'), HEAVY_MG],
  ['paper lies', ['pile'], thing('cardstock', 'sheet-12'), LIGHT_MG],
  ['liquid above paper', ['over paper'], thing('ink', 'refill'), LIGHT_MG],
  ['paper below liquid', ['under liquids'], thing('sticker', 'sheet'), LIGHT_MG],
  ['glass high', ['glass', 'high'], thing('companion', 'beads'), LIGHT_MG],
  ['rod sags', ['long rod'], thing('ribbon', 'spool'), LIGHT_MG],
  ['hidden, to be seen', ['hidden', 'to show'], thing('ribbon', 'spool'), LIGHT_MG],
  ['seen, to be hidden', ['open', 'to hide'], thing('ribbon', 'spool'), LIGHT_MG],
])('%s: where it is %s', (rule, where, supply, massMg) => {
  expect(careFor(supply, new Set(where), massMg)).toContain(rule);
  for (const sign of where)
    expect(careFor(supply, new Set(SIGNS.filter((each) => each !== sign)), massMg)).not.toContain(rule);
});

test('what suffers nothing somewhere is not warned of', () => {
  const pad = thing('ink', 'full-pad', { chemistry: 'dye' });
  expect(careFor(pad, new Set(PLACE_MARKS.filter((mark) => mark !== 'glass')), LIGHT_MG)).toEqual([]);
  for (const id of CARE_IDS) expect(['known', 'usual']).toContain(careRule(id).sure);
});

test('a place warns by what it is like and what it stands in, but for what was left so with a reason', () => {
  const shelf: Unit = testUnit({ id: 'shelf', parentId: ROOM_ID, model: null, facts: { marks: ['sun'] } });
  const file = testUnit({
    id: 'file',
    parentId: 'shelf',
    model: evenGrid(1, 4, { widthUm: 10_000, heightUm: 320_000, depthUm: 320_000 }),
    rules: { kinds: ['cardstock'] },
    facts: { marks: ['bare wood'] },
  });
  const room: RoomNow = {
    ...EMPTY,
    marksOf: (unit) => marksIn(unit, new Map([shelf, file].map((each) => [each.id, each]))),
  };
  const card: Lodger = {
    supply: thing('cardstock', 'sheet-12'),
    lot: { id: 'l', as: 'whole', items: 1, left: 1, spot: null },
  };
  const rules = (unit: Unit) => {
    const answer = mayLive(card, { unit, cell: 0 }, room);
    return Array.isArray(answer) ? answer.map((each) => ('rule' in each ? each.rule : each.code)) : answer;
  };
  expect(rules(file)).toEqual(['sun fades', 'wood yellows']);
  const accepted = [{ rule: 'sun fades' as const, because: 'the blind is down' }];
  expect(rules({ ...file, facts: { ...file.facts, accepted } })).toEqual(['wood yellows']);
  // Of a unit alone, what it says itself counts.
  expect(mayLive(card, { unit: file, cell: 0 }, EMPTY)).toEqual([{ code: 'care', rule: 'wood yellows' }]);
});

test('a drawer in tall furniture that nothing holds is free to fall; unknown fixing is not held against it; a drawer is a heap', () => {
  const tower = (fixedTo?: 'nothing' | 'wall') =>
    testUnit({
      id: 'tower',
      sort: 'piece',
      parentId: ROOM_ID,
      model: null,
      facts: {
        outsideUm: { widthUm: 400_000, heightUm: 1_200_000, depthUm: 400_000 },
        ...(fixedTo ? { fixedTo } : {}),
      },
    });
  const drawer = testUnit({
    id: 'drawer',
    parentId: 'tower',
    model: { model: 'loose', widthUm: 300_000, heightUm: 100_000, depthUm: 300_000, fillPercent: 70 },
  });
  const signs = (above: Unit) => [
    ...marksIn(drawer, new Map([above, drawer].map((each) => [each.id, each]))),
  ];
  expect(signs(tower('nothing'))).toEqual(['loose', 'heap']);
  expect(signs(tower('wall'))).toEqual(['heap']);
  expect(signs(tower())).toEqual(['heap']);
});
