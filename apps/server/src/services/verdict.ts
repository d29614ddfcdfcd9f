import { formOf, PARTS, spaceOf, sparse, type Facts, type Verdict } from '@red-shelf/core';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import type { LedgerRecord } from '../db/ledgerRepository';
import type { SupplyWithState } from '../db/supplyRepository';
import { refuseStale, type Context } from './context';
import type { Ports } from './ports';
import { Recorder } from './recorder';
import { noteInSession } from './records';
import { entry, mustFind } from './supplies';
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

/** Everything that is left is discarded: the ledger says so, its history stays. */
function farewell(ports: Ports, { supply, stock }: SupplyWithState): LedgerRecord[] {
  if (!stock) return [];
  const at = ports.now();
  const form = formOf(supply.kind, supply.form);
  const amount = form.counting === 'fill' ? stock.items : stock.left;
  const main = amount > 0 ? [entry(ports.newId(), supply.id, at, 'discard', { amount })] : [];
  const parts = PARTS.flatMap((part) => {
    const left = stock.parts[part] ?? 0;
    return left > 0 ? [entry(ports.newId(), supply.id, at, 'discard', { amount: left, part })] : [];
  });
  return [...main, ...parts];
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
      await recorder.appendLedger(farewell(ports, found), [before]);
      await recorder.setPlaces(new Map([[id, null]]));
    }
    if (given.sessionId) {
      const space = spaceOf(supplyToView(found));
      await noteInSession(tx, recorder, ports, given.sessionId, {
        supplyId: id,
        verdict: given.verdict,
        unitId: found.placement?.unitId ?? null,
        space,
      });
    }
    const change = await recorder.finish('verdict', before.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}
