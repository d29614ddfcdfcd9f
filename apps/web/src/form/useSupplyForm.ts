import { newSupply, type NewSupplyInput } from '@red-shelf/contract';
import type { Facts } from '@red-shelf/core';
import { useForm, type DefaultValues } from 'react-hook-form';
import { ApiError } from '../api/client';
import { usePreferences } from '../api/queries';
import type { TakenColour } from '../colour/taken';
import { readForm, type SupplyForm } from './model';

/** Where the contract's field stands in the form: facts are typed under `said`. */
const fieldOf = (path: readonly (string | number)[]): keyof SupplyForm => {
  const [first, second, third] = path.map(String);
  const said = first !== 'facts' ? first : second === 'attributes' ? `said.a_${third}` : `said.${second}`;
  return said as keyof SupplyForm;
};

/** Facts that a colour which was not typed brings with it. */
export const factsOfTaken = (taken: TakenColour | null): Facts =>
  taken?.others && taken.others.length > 0 ? { otherHexes: [...taken.others] } : {};

/** A supply's form and how it is read: what is wrong is said at its field, and nothing wrong is sent. */
export function useSupplyForm(defaultValues: SupplyForm) {
  const form = useForm<SupplyForm>({ defaultValues: defaultValues as DefaultValues<SupplyForm> });
  const { preferences } = usePreferences();
  const refuse = (path: string, message: string): void =>
    form.setError(path as keyof SupplyForm, { message });
  const read = (
    fields: SupplyForm,
    kept: Facts,
    count: Pick<NewSupplyInput, 'count' | 'parts'>,
  ): NewSupplyInput | null => {
    const reading = readForm(fields, kept, preferences);
    if (!reading.ok) {
      for (const { path, message } of reading.refusals) refuse(path, message);
      return null;
    }
    const body: NewSupplyInput = { ...reading.fields, ...count };
    const checked = newSupply.safeParse(body);
    if (checked.success) return body;
    for (const { path, message } of checked.error.issues)
      refuse(fieldOf(path.map((step) => (typeof step === 'symbol' ? '' : step))), message);
    return null;
  };
  /** Shows what the server refused at the fields it speaks of. */
  const showRefusal = (error: unknown): void => {
    if (!(error instanceof ApiError)) return;
    for (const { path, message } of error.problem.fields ?? []) refuse(fieldOf(path.split('.')), message);
  };
  /** Begins the next one: the fields as given, the name ready to be typed once they are drawn. */
  const startNext = (fields: SupplyForm): void => {
    // Without its fields' places the form could not put the cursor anywhere afterwards.
    form.reset(fields, { keepFieldsRef: true, keepSubmitCount: true });
    setTimeout(() => form.setFocus('name'));
  };
  return { form, read, showRefusal, startNext };
}
