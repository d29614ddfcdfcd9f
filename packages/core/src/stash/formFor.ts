import type { FormDefinition } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Bodied } from './body';

/** A supply's form with what the person said of this one: its own uses from full to dry, its own "low". */
export function formFor({ kind, form: id, facts }: Bodied): FormDefinition {
  const form = formOf(kind, id);
  const { usesPerFill, lowAt } = facts;
  if (usesPerFill === undefined && lowAt === undefined) return form;
  return {
    ...form,
    ...(usesPerFill !== undefined && form.counting === 'fill' ? { usesPerFill } : {}),
    ...(lowAt !== undefined ? { lowAt } : {}),
  };
}
