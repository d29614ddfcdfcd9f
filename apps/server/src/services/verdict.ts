import { formOf, mainLot, spaceOf, sparse, type Facts, type Posted, type Verdict } from '@red-shelf/core';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import type { SupplyWithState } from '../db/supplyRepository';
import { refuseStale, type Context } from './context';
import { Recorder } from './recorder';
import { noteInSession } from './records';
import { mustFind } from './find';
import { supplyToView } from './views';

/** What a verdict does to a supply's facts. A kept trial becomes current. */
function factsAfter({ decideOn, ...facts }: Facts, verdict: Verdict): Facts {
  switch (verdict) {
    case 'keep':
      return facts.status === 'trial' || facts.status === 'leaving'
        ? { ...facts, status: 'current' }
        : { ...facts, ...(decideOn ? { decideOn } : {}) };
    case 'use once':
      return { ...facts, status: 'leaving', tags: [...new Set([...(facts.tags ?? []), 'use once'])] };
    case 'pass on':
      return { ...facts, status: 'leaving', grade: 'give away' };
    case 'let go':
      return { ...facts, status: 'gone' };
  }
}

/** Everything that is left is gone: the ledger says so for every lot, its history stays. */
function farewell({ supply, lots }: SupplyWithState): Posted[] {
  const left = lots.filter((lot) => lot.items > 0 || lot.left > 0);
  if (left.length === 0) return [];
  const { counting } = formOf(supply.kind, supply.form);
  const amount = left.reduce((sum, lot) => {
    if (lot.as !== 'whole') return sum;
    return sum + (counting === 'fill' ? lot.items : lot.left);
  }, 0);
  return [
    {
      happening: { act: 'discard', of: 'whole', amount },
      postings: left.map(({ id }) => ({ holdingId: id, items: 0, left: 0, how: 'to' })),
      made: [],
    },
  ];
}

/** Writes a verdict of sorting out: what it means for the supply, its stock, its slot and the session, in one change. */
export async function decideSupply(
  { store, ports }: Context,
  id: string,
  given: { version: number; verdict: Verdict; sessionId?: string | undefined },
): Promise<{ supply: SupplyView; change: ChangeView }> {
  return store.write(async (tx) => {
    const found = await mustFind(tx, id);
    refuseStale(given.version, supplyToView(found));
    const before = found.supply;
    const recorder = new Recorder(tx, ports);
    const facts = sparse(factsAfter(before.facts, given.verdict));
    await recorder.writeSupply(before, {
      ...before,
      facts,
      version: before.version + 1,
      updatedAt: ports.now(),
    });
    if (given.verdict === 'let go') {
      await recorder.move(found.lots.map((lot) => ({ lotId: lot.id, to: null })));
      await recorder.post(farewell(found).map((act) => ({ supplyId: id, act })));
    }
    if (given.sessionId) {
      const space = spaceOf(supplyToView(found));
      await noteInSession(tx, recorder, ports, given.sessionId, {
        supplyId: id,
        verdict: given.verdict,
        unitId: mainLot(found.lots)?.spot?.unitId ?? null,
        space,
      });
    }
    const change = await recorder.finish('verdict', before.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}
