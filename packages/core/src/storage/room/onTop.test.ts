import { testUnit } from '../test/testUnit';
import { ROOM_ID } from '../unit';
import { onTopOf } from './onTop';
import { sceneOf } from './scene';

const size = (w: number, h: number) => ({ widthUm: w * 1000, heightUm: h * 1000, depthUm: 300_000 });
const piece = (id: string, parentId: string, w: number, h: number, along: number, up: number) =>
  testUnit({
    id,
    parentId,
    sort: 'piece',
    model: null,
    label: '',
    facts: { outsideUm: size(w, h), pose: { alongUm: along * 1000, upUm: up * 1000 } },
  });

test('what is put on top of another stands on it in the drawing, in the room as in a piece', () => {
  const units = [
    piece('desk', ROOM_ID, 1500, 740, 200, 0),
    piece('box', 'desk', 300, 200, 100, 740),
    piece('top', ROOM_ID, 250, 100, 0, 0),
  ];
  expect(onTopOf('desk', units)).toEqual({ parentId: ROOM_ID, pose: { alongUm: 200_000, upUm: 740_000 } });
  const there = onTopOf('box', units)!;
  expect(there).toEqual({ parentId: 'desk', pose: { alongUm: 100_000, upUm: 940_000 } });
  const stacked = units.map((unit) =>
    unit.id === 'top'
      ? { ...unit, parentId: there.parentId, facts: { ...unit.facts, pose: there.pose } }
      : unit,
  );
  const box = (id: string) => sceneOf(stacked).standing.find(({ unit }) => unit.id === id)!.box;
  expect(box('top').y + box('top').h).toBe(box('box').y);
  expect(box('top').x).toBe(box('box').x);
  expect(onTopOf('nobody', units)).toBeNull();
});
