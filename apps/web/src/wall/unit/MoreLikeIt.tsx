import { moreLike } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { sayMoreLike } from '../../copy/room';
import { Txt } from '../../ui/Txt';

interface MoreLikeItProps {
  readonly unit: UnitView;
  /** Everything that stands in the room, also what is put away. */
  readonly all: readonly UnitView[];
}

/** How many more of the same would still find room, and whether they can still be bought. */
export function MoreLikeIt({ unit, all }: MoreLikeItProps) {
  const room = moreLike(unit, all).map(({ piece, count }) => ({ name: piece.name, count }));
  const spare = all.filter(
    ({ id, facts }) => id !== unit.id && facts.standing === 'spare' && facts.template === unit.facts.template,
  ).length;
  const said = sayMoreLike(room, spare, unit.facts.noLongerSold === true);
  return said === '' ? null : <Txt look="quiet">{said}</Txt>;
}
