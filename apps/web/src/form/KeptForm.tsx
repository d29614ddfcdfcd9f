import { useEffect } from 'react';
import { useWatch, type Control } from 'react-hook-form';
import type { SupplyForm } from './model';

interface KeptFormProps {
  readonly control: Control<SupplyForm>;
  readonly keep: (given: SupplyForm) => void;
}

/** Keeps what is typed with every letter; the form around it is not drawn anew for that. */
export function KeptForm({ control, keep }: KeptFormProps) {
  const given = useWatch({ control }) as SupplyForm;
  useEffect(() => keep(given), [given]);
  return null;
}
