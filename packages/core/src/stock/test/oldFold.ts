import type { FormDefinition } from '../../kinds/definition';
import type { OldPart as Part } from '../fromLedger';

/** The fold before lots, kept as the slow and obvious reference that the new one is held against. */

type Act = 'count' | 'use' | 'buy' | 'refill' | 'discard' | 'open' | 'cut' | 'undo';

/** One line of the append-only ledger, as the core sees it. */
interface LedgerEntry {
  readonly id: string;
  readonly act: Act;
  /** UTC, ISO 8601. */
  readonly at: string;
  /**
   * use: uses, sheets, pieces or µm. buy and discard: items of a `fill` form, else sheets, pieces or µm.
   * open: packs. cut: sheets.
   */
  readonly amount?: number | null;
  /** count of a `fill` form: things on the shelf. cut: bases gained. */
  readonly items?: number | null;
  /** count: uses (fill), sheets, pieces or µm that are left. open: sheets gained. cut: scraps gained. */
  readonly left?: number | null;
  /** count, use, buy, discard: of packs, bases or scraps instead of the main count. */
  readonly part?: Part | null;
  /** undo: the entry that is cancelled. */
  readonly undoes?: string | null;
}

type StockState = 'ok' | 'low' | 'out';

interface Stock {
  /** Things on the shelf; for forms that are counted one by one the same as `left`, for lengths 1 or 0. */
  readonly items: number;
  /** Uses (fill), sheets, pieces or µm that are left. */
  readonly left: number;
  /** Unopened packs, cut bases and scraps, where there are any. */
  readonly parts: Readonly<Partial<Record<Part, number>>>;
  readonly state: StockState;
  readonly uses: number;
  readonly lastUsedAt: string | null;
}

type Rule = Pick<FormDefinition, 'counting' | 'usesPerFill' | 'lowAt'>;

/** Entries that count: those that no standing undo cancels. Undos are read newest first, so an undone undo cancels nothing. */
function standingEntries(entries: readonly LedgerEntry[]): LedgerEntry[] {
  const cancelled = new Set<string>();
  for (const entry of [...entries].reverse())
    if (entry.act === 'undo' && entry.undoes && !cancelled.has(entry.id)) cancelled.add(entry.undoes);
  return entries.filter((entry) => entry.act !== 'undo' && !cancelled.has(entry.id));
}

interface Tally {
  items: number;
  left: number;
  parts: Record<Part, number>;
}

/**
 * Stock is what the ledger adds up to, oldest entry first. Pads and markers wear down use by use and never
 * below empty, since uses per fill is an estimate; counted things and lengths are exact.
 */
export function oldStock(entries: readonly LedgerEntry[], form: Rule): Stock {
  const tally: Tally = { items: 0, left: 0, parts: { packs: 0, bases: 0, scraps: 0 } };
  let uses = 0;
  let lastUsedAt: string | null = null;
  for (const entry of standingEntries(entries)) {
    applyEntry(tally, entry, form);
    if (entry.act !== 'use' && entry.act !== 'cut') continue;
    uses++;
    if (lastUsedAt === null || entry.at > lastUsedAt) lastUsedAt = entry.at;
  }
  const items =
    form.counting === 'fill'
      ? tally.items
      : form.counting === 'length'
        ? Math.min(1, tally.left)
        : tally.left;
  const parts = Object.fromEntries(Object.entries(tally.parts).filter(([, n]) => n > 0));
  // Unopened packs are stock too: with one in the drawer nothing is low.
  const state = tally.parts.packs > 0 ? 'ok' : stateOf(tally.left, form.lowAt);
  return { items, left: tally.left, parts, state, uses, lastUsedAt };
}

const stateOf = (left: number, lowAt: number): StockState =>
  left <= 0 ? 'out' : left <= lowAt ? 'low' : 'ok';

function applyEntry(tally: Tally, entry: LedgerEntry, form: Rule): void {
  const perFill = form.counting === 'fill' ? (form.usesPerFill ?? 1) : 1;
  const amount = entry.amount ?? 0;
  if (entry.part) {
    tally.parts[entry.part] = partAfter(tally.parts[entry.part], entry);
    return;
  }
  switch (entry.act) {
    case 'count':
      tally.items = entry.items ?? 0;
      tally.left = entry.left ?? 0;
      break;
    case 'use':
      tally.left = Math.max(0, tally.left - amount);
      break;
    case 'buy':
      tally.items += amount;
      tally.left += amount * perFill;
      break;
    case 'refill':
      tally.left = Math.max(tally.left, tally.items * perFill);
      break;
    case 'discard':
      tally.items = Math.max(0, tally.items - amount);
      // The emptiest things go first, so what is left shrinks only when the rest cannot hold it.
      tally.left =
        form.counting === 'fill'
          ? Math.min(tally.left, tally.items * perFill)
          : Math.max(0, tally.left - amount);
      break;
    case 'open':
      tally.parts.packs = Math.max(0, tally.parts.packs - amount);
      tally.left += entry.left ?? 0;
      break;
    case 'cut':
      tally.left = Math.max(0, tally.left - amount);
      tally.parts.bases += entry.items ?? 0;
      tally.parts.scraps += entry.left ?? 0;
      break;
    case 'undo':
      break;
  }
}

/** A separate count after an entry that speaks of it. */
function partAfter(had: number, { act, amount, left }: LedgerEntry): number {
  if (act === 'count') return left ?? 0;
  if (act === 'buy') return had + (amount ?? 0);
  return Math.max(0, had - (amount ?? 0));
}
