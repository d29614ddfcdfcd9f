import type { Kind } from '../kinds/definition';
import { attributesSchemaOf } from '../kinds/attributeSchema';
import type { Facts } from './facts';

/** What is wrong with facts that are each right alone: a path into them, and a sentence. */
export interface FactRefusal {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** Checks facts against the form and each other. An empty list means all is well. */
export function checkFacts(kind: Kind, form: string, facts: Facts): FactRefusal[] {
  const refusals: FactRefusal[] = [];
  const attributes = attributesSchemaOf(kind, form).safeParse(facts.attributes ?? {});
  if (!attributes.success)
    for (const { path, message, code } of attributes.error.issues)
      refusals.push({
        path: ['attributes', ...path.filter((step) => typeof step !== 'symbol')],
        message: code === 'unrecognized_keys' ? 'That is not asked of this form.' : message,
      });
  if (facts.trueSwatch && !facts.swatches?.some(({ id }) => id === facts.trueSwatch))
    refusals.push({ path: ['trueSwatch'], message: 'The swatch marked true is not among the swatches.' });
  if (facts.status === 'trial' && !facts.decideOn)
    refusals.push({ path: ['decideOn'], message: 'A trial needs a day to decide by.' });
  if (facts.acquiredOn && facts.openedOn && facts.openedOn < facts.acquiredOn)
    refusals.push({ path: ['openedOn'], message: 'It was opened before it was acquired; check the dates.' });
  return refusals;
}

/** Attributes that the form still asks; changing the form drops the rest. */
export function fittingAttributes(kind: Kind, form: string, facts: Facts): Facts {
  const shape = attributesSchemaOf(kind, form);
  const kept = Object.entries(facts.attributes ?? {}).filter(
    ([id, value]) => shape.safeParse({ [id]: value }).success,
  );
  return { ...facts, attributes: Object.fromEntries(kept) };
}
