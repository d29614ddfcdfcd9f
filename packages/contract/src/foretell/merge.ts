import {
  countRuleOf,
  formFor,
  isThere,
  mainLot,
  sparse,
  type Facts,
  type Holding,
  beginningOf,
  MOST_CHARACTERS,
} from '@red-shelf/core';
import type { z } from 'zod';
import type { merge } from '../batch';
import type { RecordView } from '../records';
import { renamed } from '../renamed';
import type { SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf, type WrittenSupply } from '../view';
import { foretold, type Foretold, type Known, type Naming } from './known';
import { liftUnfit } from './lift';

const union = <T>(
  a: readonly T[] = [],
  b: readonly T[] = [],
  key: (item: T) => unknown = (item) => item,
): T[] => {
  const known = new Set(a.map(key));
  return [...a, ...b.filter((item) => !known.has(key(item)))];
};

/** Where the one thing stands in its life: it was let go only where both were. */
function joinedStatus(keep: Facts, other: Facts): Facts['status'] {
  const said = [keep.status, other.status];
  return said.every((status) => status === 'gone')
    ? 'gone'
    : said.find((status) => status && status !== 'gone');
}

/** What is said of the kept one stands; the other fills in what is not said, and lists are joined. */
function joinedFacts(keep: Facts, other: Facts): Facts {
  return sparse({
    ...other,
    ...keep,
    status: joinedStatus(keep, other),
    attributes: { ...other.attributes, ...keep.attributes },
    tags: union(keep.tags, other.tags).slice(0, 30),
    swatches: union(keep.swatches, other.swatches, ({ id }) => id).slice(0, 24),
    photos: union(keep.photos, other.photos, ({ id }) => id).slice(0, 12),
    otherHexes: union(keep.otherHexes, other.otherHexes).slice(0, 8),
    trueSwatch: keep.trueSwatch,
  });
}

type Joined = Pick<WrittenSupply, 'maker' | 'range' | 'code' | 'note' | 'facts' | 'version' | 'updatedAt'>;

/** Two records of one thing made one: the kept one's words, filled in from the other. */
export function joined<T extends Joined>(keep: T, other: T, at: string): T {
  return {
    ...keep,
    maker: keep.maker || other.maker,
    range: keep.range || other.range,
    code: keep.code || other.code,
    note: beginningOf([keep.note, other.note].filter(Boolean).join('\n'), MOST_CHARACTERS.note),
    facts: joinedFacts(keep.facts, other.facts),
    version: keep.version + 1,
    updatedAt: at,
  };
}

/** Lots in the order they are made anew in: those that can be seen first, the main one before them. */
export function inMakingOrder<L extends Holding>(lots: readonly L[]): readonly L[] {
  const main = mainLot(lots);
  const others = lots.filter((lot) => lot !== main);
  return [...(main ? [main] : []), ...others.filter(isThere), ...others.filter((lot) => !isThere(lot))];
}

const latest = (a: string | null, b: string | null): string | null => ((a ?? '') > (b ?? '') ? a : b);
const ruleOf = (supply: Pick<WrittenSupply, 'kind' | 'form' | 'facts'>): string =>
  JSON.stringify(countRuleOf(formFor(supply)));

/** Two records of one thing, made one. Null where their histories have to be added up anew by other rules. */
export function foretellMerge(known: Known, naming: Naming, seen: z.output<typeof merge>): Foretold | null {
  const [keep, other] = [known.supply(seen.keep.id), known.supply(seen.other.id)];
  if (!keep || !other || keep === other) return null;
  if (keep.version !== seen.keep.version || other.version !== seen.other.version) return null;
  if (keep.kind !== other.kind || keep.form !== other.form) return null;
  const written = joined(writtenOf(keep), writtenOf(other), naming.at);
  if (new Set([keep, other, written].map(ruleOf)).size > 1) return null;
  const next = liftUnfit(
    known,
    naming,
    viewOf(written, usedTogether(keep, other), [...lotsOfView(keep), ...takenOver(naming, other, keep.id)]),
  );
  return foretold(naming, 'merge', keep.name, {
    supplies: [next.supply],
    gone: [other.id],
    records: recordsRenamed(known, naming, other.id, keep.id),
    lifted: next.lifted,
    count: 2,
  });
}

/** Kits, palettes and drawers that named the one that left. */
const recordsRenamed = (known: Known, { at }: Naming, from: string, to: string): RecordView[] =>
  [...known.records()].flatMap((record) => {
    const body = renamed(record.body, from, to);
    return body ? [{ ...record, body, version: record.version + 1, updatedAt: at }] : [];
  });

const usedTogether = ({ stock: a }: SupplyView, { stock: b }: SupplyView) => ({
  uses: a.uses + b.uses,
  used: a.used + b.used,
  lastUsedAt: latest(a.lastUsedAt, b.lastUsedAt),
});

/** The other's lots under the kept one's name: made, told what they hold, and set down where they were. */
const takenOver = (naming: Naming, other: SupplyView, supplyId: string): Holding[] =>
  inMakingOrder(lotsOfView(other)).map((lot) => ({
    ...lot,
    id: naming.nextId(),
    supplyId,
    version: lot.spot ? 3 : 2,
  }));
