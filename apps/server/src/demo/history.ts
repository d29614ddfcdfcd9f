import { formOf, type FormDefinition } from '@red-shelf/core';
import { DemoLedger, type Supply } from './ledger';
import { between, wholeBetween, type Random } from './random';

const DAY = 86_400_000;
const DAYS = 180;

/** How much one use takes, in the form's unit. */
function useAmount(form: FormDefinition, random: Random): number {
  if (form.counting === 'length') return Math.round(between(random, 10, 60)) * 10_000;
  return form.counting === 'sheets' ? wholeBetween(random, 1, 3) : 1;
}

function opening(form: FormDefinition, random: Random): { items: number; left: number } {
  switch (form.counting) {
    case 'fill': {
      const perFill = form.usesPerFill ?? 1;
      const items = random() < 0.12 ? 2 : 1;
      return { items, left: Math.round(perFill * (items - 1 + between(random, 0.45, 1))) };
    }
    case 'length': {
      const left = Math.round(between(random, 250, 914)) * 10_000;
      return { items: 1, left };
    }
    case 'sheets': {
      const left = wholeBetween(random, 8, 40);
      return { items: left, left };
    }
    case 'pieces': {
      const left = wholeBetween(random, 2, 6);
      return { items: left, left };
    }
  }
}

/** Six months of one supply's life: an opening count, uses in bursts, and a purchase or refill when it runs out. */
export function historyOf(supply: Supply, now: number, random: Random, newId: () => string): DemoLedger {
  const form = formOf(supply.kind, supply.form);
  const ledger = new DemoLedger(supply, newId);
  ledger.act(supply.createdAt, { act: 'count', ...opening(form, random) });
  // A few favourites carry most of the work; a fifth are never touched.
  const popularity = random();
  const uses = popularity < 0.2 ? 0 : Math.round(between(random, 1, 7) * (popularity > 0.82 ? 6 : 1));
  const days = Array.from({ length: uses }, () => between(random, 1, DAYS - 1)).sort((p, q) => q - p);
  for (const day of days) {
    const at = new Date(now - day * DAY).toISOString();
    const amount = useAmount(form, random);
    if (ledger.left < amount) {
      if (random() < 0.45) continue;
      const refill = form.counting === 'fill' && random() < 0.6;
      ledger.act(at, refill ? { act: 'refill' } : { act: 'buy', amount: form.usualPurchase });
      continue;
    }
    ledger.act(at, { act: 'use', amount });
  }
  return ledger;
}
