import type { EnvelopeMm, Kind } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Facts } from './facts';

/** A supply's outside size as it stands in its slot: its own where it was measured, else its form's. */
export function envelopeOf({
  kind,
  form,
  facts,
}: {
  readonly kind: Kind;
  readonly form: string;
  readonly facts: Facts;
}): EnvelopeMm {
  const { size } = facts;
  if (!size) return formOf(kind, form).envelope;
  return { widthMm: size.widthUm / 1000, heightMm: size.heightUm / 1000, depthMm: size.depthUm / 1000 };
}
