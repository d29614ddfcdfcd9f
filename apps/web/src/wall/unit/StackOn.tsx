import { onTopOf, type Pose } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { unitTitle } from '../../copy/supply';
import { FoldedChoice } from '../../ui/FoldedChoice';

interface StackOnProps {
  /** What it may be put on: everything in the room but itself and what stands in it. */
  readonly others: readonly UnitView[];
  readonly all: readonly UnitView[];
  /** It is to stand there. */
  readonly onStack: (where: { readonly parentId: string; readonly pose: Pose }) => void;
}

/** It is an act and no state: nothing of it is chosen. */
const NONE = '–';

/** Puts it on top of another: what the tape would say of that place is filled in, and can be changed. */
export function StackOn({ others, all, onStack }: StackOnProps) {
  if (others.length === 0) return null;
  return (
    <FoldedChoice
      label="Put it on top of"
      options={others.map(unitTitle)}
      value={NONE}
      onChange={(title) => {
        const other = others.find((each) => unitTitle(each) === title);
        const where = other && onTopOf(other.id, all);
        if (where) onStack(where);
      }}
    />
  );
}
