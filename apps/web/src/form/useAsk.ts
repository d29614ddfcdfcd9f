import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef } from 'react';
import {
  useForm,
  useWatch,
  type Control,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
} from 'react-hook-form';
import type { z } from 'zod';
import { useOnce } from '../ui/useOnce';
import { forget, isKept, remember, remembered } from './draft';

/**
 * A small form: everything as typed, kept under `name` while it is half filled, and read by `schema` into what is sent.
 * What is wrong stands at its field. `submit` runs one sending at a time; what was sent is forgotten.
 */
export function useAsk<Said extends FieldValues, Sent>(
  name: string,
  schema: z.ZodType<Sent, Said>,
  start: Said,
  /** What is wrong is said while it is typed, where the form answers as one types. */
  { live = false }: { readonly live?: boolean } = {},
) {
  const { control, handleSubmit, setValue, setError, reset, getFieldState, formState } = useForm<
    Said,
    unknown,
    Sent
  >({
    resolver: zodResolver(schema),
    mode: live ? 'onChange' : 'onSubmit',
    defaultValues: remembered(name, start) as DefaultValues<Said>,
  });
  const said = useWatch({ control }) as Said;
  const startText = JSON.stringify(start);
  const begun = JSON.stringify(said) !== startText;
  const follows = useRef(startText);
  useEffect(() => {
    // A form nobody began follows what it starts with.
    if (follows.current !== startText) {
      follows.current = startText;
      if (!isKept(name)) return reset(JSON.parse(startText) as Said);
    }
    if (begun) remember(name, said);
    else forget(name);
  }, [name, said, begun, startText, reset]);
  const clear = (): void => {
    forget(name);
    reset(JSON.parse(follows.current) as Said);
  };
  const submit = useOnce((send: (sent: Sent) => Promise<unknown>) =>
    handleSubmit(async (sent) => {
      // A refusal is said by who sends; what was typed stays, as it does where the sender tells `false`.
      const done = await send(sent).catch(() => false);
      if (done !== false) clear();
    })(),
  );
  return {
    // Fields know what is typed, not what it is read into.
    control: control as unknown as Control<Said>,
    said,
    /** Something else was said than what it starts with. */
    begun,
    set: <F extends Path<Said>>(field: F, value: PathValue<Said, F>) => setValue(field, value),
    /** What is wrong with a field that shows it itself. */
    wrong: (field: Path<Said>): string | undefined => getFieldState(field, formState).error?.message,
    refuse: (field: Path<Said>, message: string) => setError(field, { message }),
    submit,
    clear,
  };
}
