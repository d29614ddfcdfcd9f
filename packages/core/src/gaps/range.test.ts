import { ownedOfRange, readRange } from './range';

const read = (text: string) => readRange(new TextEncoder().encode(text));

test('a CSV with name, code and hex, whatever the columns are called', () => {
  expect(read('Code;Colour;Hex\n401;Fern Gate;#4c9a52\n402;Moss;nonsense\n')).toEqual({
    ok: true,
    name: '',
    entries: [{ name: 'Fern Gate', code: '401', hex: '#4c9a52' }],
    leftOut: 1,
  });
});

test('a palette file', () => {
  expect(read('GIMP Palette\nName: Towpath\nColumns: 4\n#\n 76 154  82 Fern Gate\n 1 2 999 Bad\n')).toEqual({
    ok: true,
    name: 'Towpath',
    entries: [{ name: 'Fern Gate', code: '', hex: '#4c9a52' }],
    leftOut: 1,
  });
});

test.each([
  ['', 'not_a_list'],
  ['Maker,Price\nx,1\n', 'no_columns'],
  ['Name,Hex\nx,not one\n', 'nothing_in_it'],
  ['GIMP Palette\nName: none\n', 'nothing_in_it'],
])('%j is refused as %s', (text, code) => expect(read(text)).toEqual({ ok: false, code }));

test('what is owned is known by its code in the range, or by name and maker', () => {
  const entries = [
    { name: 'Fern Gate', code: '401', hex: '#4c9a52' },
    { name: 'Moss', code: '402', hex: '#2c5a32' },
    { name: 'Reed', code: '403', hex: '#8c9a52' },
  ];
  const known = (id: string, name: string, code: string, kind = 'ink') => ({
    id,
    name,
    code,
    maker: 'Hollin',
    range: 'Towpath',
    kind,
  });
  const supplies = [
    known('a', 'fern gate', ''),
    known('b', 'Renamed', '402'),
    known('c', 'Reed', '403', 'marker'),
  ];
  const owned = ownedOfRange(entries, { maker: 'hollin', name: 'towpath', kind: 'ink' }, supplies);
  expect(owned.map((supply) => supply?.id ?? null)).toEqual(['a', 'b', null]);
});
