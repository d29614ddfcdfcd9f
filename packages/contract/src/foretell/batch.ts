import { sparse, type Facts } from '@red-shelf/core';
import type { z } from 'zod';
import type { addMany, batchEdit, BatchSet } from '../batch';
import type { RecordView } from '../records';
import type { SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf, type WrittenSupply } from '../view';
import { afterLift, foretold, type Foretold, type Known, type Naming } from './known';
import { added, afterChange } from './supply';

type Batched = Pick<
  WrittenSupply,
  'maker' | 'range' | 'finish' | 'familyOverride' | 'familyReason' | 'facts'
>;

/** What a batch edit makes of a supply; null where it would be a trial without a day to decide by. */
export function afterBatch<T extends Batched>(before: T, set: BatchSet): T | null {
  const { addTags = [], dropTags = [], lift: _, ...said } = set;
  const { maker, range, finish, familyOverride, familyReason, ...rest } = said;
  const tags = [...new Set([...(before.facts.tags ?? []), ...addTags])].filter(
    (tag) => !dropTags.includes(tag),
  );
  const given = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined));
  const facts: Facts = { ...before.facts, ...given, tags };
  if (facts.status === 'trial' && !facts.decideOn) return null;
  return {
    ...before,
    maker: maker ?? before.maker,
    range: range ?? before.range,
    finish: finish ?? before.finish,
    familyOverride: familyOverride === undefined ? before.familyOverride : familyOverride,
    familyReason: familyReason ?? before.familyReason,
    facts: sparse(facts),
  };
}

/** Many supplies changed or removed in one change. Null where one of them is not as it was seen. */
export function foretellBatch(
  known: Known,
  naming: Naming,
  { supplies: seen, set = {}, remove = false }: z.output<typeof batchEdit>,
): Foretold | null {
  const supplies = seen.flatMap(({ id, version }) => {
    const supply = known.supply(id);
    return supply?.version === version ? [supply] : [];
  });
  if (supplies.length < seen.length) return null;
  const said = { name: supplies[0]?.name ?? '', count: supplies.length };
  if (remove)
    return foretold(naming, 'remove', said.name, { gone: supplies.map(({ id }) => id), count: said.count });
  const next: SupplyView[] = [];
  for (const supply of supplies) {
    const written = afterBatch(writtenOf(supply), set);
    if (!written) return null;
    const aged = { ...written, version: supply.version + 1, updatedAt: naming.at };
    const view = afterChange(naming, supply, viewOf(aged, supply.stock, lotsOfView(supply)));
    next.push(set.lift ? afterLift(naming, view) : view);
  }
  return foretold(naming, 'batch', said.name, { supplies: next, count: said.count });
}

/** What many new supplies are called together. */
export const nameOfMany = ({
  pack,
  supplies,
}: {
  readonly pack?: { readonly name: string } | undefined;
  readonly supplies: readonly { readonly name: string }[];
}): string =>
  pack?.name ?? (supplies.length === 1 ? (supplies[0]?.name ?? '') : `${supplies.length} supplies`);

/** Many new supplies, and the pack that remembers them. */
export function foretellAddMany(naming: Naming, given: z.output<typeof addMany>): Foretold | null {
  const { supplies, pack } = given;
  const views = added(naming, supplies);
  if (!views) return null;
  const { at } = naming;
  const members = views.map(({ id }, i) => ({ supplyId: id, amount: supplies[i]?.count.left ?? 0 }));
  const records: RecordView[] = pack
    ? [{ id: naming.nextId(), version: 1, createdAt: at, updatedAt: at, body: { ...pack, members } }]
    : [];
  const kind = pack ? 'pack' : 'add';
  return foretold(naming, kind, nameOfMany(given), { supplies: views, records, count: views.length });
}
