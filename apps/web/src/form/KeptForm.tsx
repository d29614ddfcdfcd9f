import { useEffect } from 'react';
import { useWatch, type Control } from 'react-hook-form';
import type { SupplyForm } from './model';

interface KeptFormProps {
  readonly control: Control<SupplyForm>;
  readonly keep: (given: SupplyForm) => void;
}

/** Keeps a draft with every letter typed, without drawing the whole form again. */
export function KeptForm({ control, keep }: KeptFormProps) {
  const given = useWatch({ control }) as SupplyForm;
  useEffect(() => keep(given), [given]);
  return null;
}
