import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type DefaultValues, type FieldValues } from 'react-hook-form';
import type { z } from 'zod';

/** A form with a passphrase in it: unlike others, nothing of it is kept while it is half filled. */
export function useSecret<Said extends FieldValues, Sent>(schema: z.ZodType<Sent, Said>, start: Said) {
  return useForm<Said, unknown, Sent>({
    resolver: zodResolver(schema),
    mode: 'onSubmit',
    defaultValues: start as DefaultValues<Said>,
  });
}
