import { ROOM_ID, type UnitTemplate } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';

/** A unit just as its template says, for drawing. */
export const asUnit = ({ id, name, holds, model }: UnitTemplate): UnitView => ({
  id: 'new',
  version: 1,
  parentId: ROOM_ID,
  sort: 'unit',
  label: '',
  name,
  model,
  rules: { kinds: [...holds] },
  facts: { template: id },
});
