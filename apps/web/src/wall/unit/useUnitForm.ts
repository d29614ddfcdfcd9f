import type { UnitView } from '@red-shelf/contract';
import { useEffect, useMemo } from 'react';
import { useForm, useWatch, type FieldErrors, type Resolver } from 'react-hook-form';
import { forget, remember, remembered } from '../../form/draft';
import type { Units } from '../../copy/measure';
import { readUnit, type UnitErrors, type UnitSaid } from './said';

const resolverFor =
  (units: Units): Resolver<UnitSaid> =>
  (values) => {
    const wrong: UnitErrors = readUnit(values, units).errors;
    if (Object.keys(wrong).length === 0) return { values, errors: {} };
    const errors = Object.fromEntries(
      Object.entries(wrong).map(([field, message]) => [field, { type: 'custom', message }]),
    ) as FieldErrors<UnitSaid>;
    return { values: {}, errors };
  };

/**
 * The form of a unit, kept under `name` while it is half filled. `drawn` is the unit as it would be: what was typed where
 * it can be read, and what it was last where it cannot, so that the drawing follows as one types.
 */
export function useUnitForm(name: string, start: UnitSaid, unit: UnitView, units: Units) {
  const form = useForm<UnitSaid>({
    resolver: resolverFor(units),
    defaultValues: remembered(name, start),
  });
  const said = useWatch({ control: form.control }) as UnitSaid;
  useEffect(() => remember(name, said), [name, said]);
  const drawn = useMemo((): UnitView => {
    const { model, rules } = readUnit(said, units);
    return {
      ...unit,
      name: said.name,
      label: said.label.toUpperCase() || unit.label,
      model: model ?? unit.model,
      rules: rules ?? unit.rules,
    };
  }, [said, unit, units]);
  /** Rows become columns, as when one lays it on its side. */
  const turn = (): void => {
    const { rows, rowHeight, columns, columnWidth } = form.getValues();
    form.setValue('rows', columns);
    form.setValue('rowHeight', columnWidth);
    form.setValue('columns', rows);
    form.setValue('columnWidth', rowHeight);
  };
  return { form, said, drawn, turn, clear: () => forget(name) };
}
