import type { Size } from '../../kinds/definition';
import { getIn, type GetIn, type Opening } from '../../fit/getIn';
import { holdsOf } from '../models/models';
import type { Unit } from '../unit';
import { outsideOf } from './front';

type Standing = Pick<Unit, 'model' | 'facts'>;

/** The inside of what another stands in, µm; null for furniture, on which things stand and hang as well, and for cells. */
function insideOf({ model }: Standing): Size | null {
  const holds = model && holdsOf(model);
  return holds?.shares ? holds.space(null) : null;
}

/** A drawer that is pulled out and what has a lid are open above, everything else in front; as large as they are inside. */
function openingOf({ facts }: Standing, { widthUm, heightUm, depthUm }: Size): Opening {
  return facts.opens === 'pulled out' || facts.opens === 'lid'
    ? { side: 'top', widthUm, heightUm: depthUm }
    : { side: 'front', widthUm, heightUm };
}

/** Whether a unit goes into what it is to stand in, and through its opening; null where somebody would have to measure first. */
export function nestIn(unit: Standing, parent: Standing): GetIn | null {
  const [thing, space] = [outsideOf(unit), insideOf(parent)];
  return thing && space ? getIn(thing, space, [openingOf(parent, space)]) : null;
}
