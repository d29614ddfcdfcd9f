import type { Supply } from '../stash/supply';
import { holdsOf } from './models/models';
import { addressIn, placesIn, type Addressed } from './unit';

/** What the label of one place says: its address, and what lives there. */
export interface SlotLabel {
  /** Cell of the place, or its number where things lie loose. */
  readonly slot: number;
  readonly address: string;
  readonly name: string;
  /** Maker, range and code, as far as they are known. */
  readonly detail: string;
  /** What of it lives there, where it is not the whole thing: "unopened packs", "scraps". */
  readonly lot: string;
  /** The short number of the thing, or null for an open slot. */
  readonly number: number | null;
  readonly hex: string | null;
}

/** What a label needs to know of the thing in its place. */
export type Labelled = Pick<Supply, 'name' | 'maker' | 'range' | 'code' | 'number' | 'hex'> & {
  /** Left out where it is the whole thing. */
  readonly lot?: string;
};

/** One label for every place of a unit, open ones too, in reading order; where things lie loose, one for each. */
export function slotLabels(unit: Addressed, contents: readonly (Labelled | null)[]): SlotLabel[] {
  const loose = unit.model !== null && holdsOf(unit.model).shares;
  const many = loose ? Math.max(1, contents.length) : placesIn(unit);
  return Array.from({ length: many }, (_, slot) => {
    const here = contents[slot] ?? null;
    return {
      slot,
      address: addressIn(unit, loose ? null : slot),
      name: here?.name ?? '',
      detail: here ? [here.maker, here.range, here.code].filter(Boolean).join(' · ') : '',
      lot: here?.lot ?? '',
      number: here?.number ?? null,
      hex: here?.hex ?? null,
    };
  });
}

const FNV_OFFSET = 0x811c9dc5;
const FNV_PRIME = 0x01000193;

/** FNV-1a, 32 bit (Fowler, Noll and Vo). */
function hash(text: string, start: number): string {
  let h = start;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), FNV_PRIME);
  return (h >>> 0).toString(16).padStart(8, '0');
}
const textOf = ({ address, name, detail, lot }: SlotLabel): string =>
  `${address}|${name}|${detail}${lot && `|${lot}`}`;

/** A short name for what a unit's labels say, so that labels which no longer say what is there can be told. */
export function labelPrint(labels: readonly SlotLabel[]): string {
  const text = labels.map(textOf).join('\n');
  return hash(text, FNV_OFFSET) + hash(text, FNV_OFFSET ^ FNV_PRIME);
}

/** The same of every single one, by its address; of several at one address, of all of them. */
export function labelPrints(labels: readonly SlotLabel[]): Readonly<Record<string, string>> {
  const texts = new Map<string, string>();
  for (const label of labels)
    texts.set(label.address, [texts.get(label.address), textOf(label)].filter(Boolean).join('\n'));
  return Object.fromEntries([...texts].map(([address, text]) => [address, hash(text, FNV_OFFSET)]));
}

/** Labels that say something else than what was printed, or were never printed; all of them where nobody knows. */
export function changedLabels(
  labels: readonly SlotLabel[],
  printed: Readonly<Record<string, string>> | undefined,
): readonly SlotLabel[] {
  if (!printed) return labels;
  const now = labelPrints(labels);
  return labels.filter(({ address }) => printed[address] !== now[address]);
}
