import { testUnit } from '../test/testUnit';
import { ROOM_ID } from '../unit';
import { moreLike } from './more';

const size = (w: number, h: number, d: number) => ({
  widthUm: w * 1000,
  heightUm: h * 1000,
  depthUm: d * 1000,
});
const piece = (id: string, outsideUm: ReturnType<typeof size> | undefined, parentId = ROOM_ID) =>
  testUnit({ id, sort: 'piece', parentId, model: null, facts: outsideUm ? { outsideUm } : {} });

test('more of the same go where nothing stands yet, as many as go in', () => {
  const rack = testUnit({ id: 'rack', parentId: 'full', facts: { outsideUm: size(300, 100, 200) } });
  const units = [
    rack,
    piece('full', size(900, 900, 400)),
    piece('bay', size(620, 310, 330)),
    piece('low', size(620, 90, 330)),
    piece('unmeasured', undefined),
  ];
  expect(moreLike(rack, units).map(({ piece: { id }, count }) => [id, count])).toEqual([['bay', 6]]);
  expect(moreLike(piece('x', undefined), units)).toEqual([]);
});
