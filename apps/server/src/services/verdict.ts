import {
  factsAfter,
  farewell,
  formOf,
  inStash,
  mainLot,
  spaceOf,
  sparse,
  type Verdict,
} from '@red-shelf/core';
import type { ChangeView, SupplyView } from '@red-shelf/contract';
import type { SupplyWithState } from '../db/supplyRepository';
import { refuseStale, type Context } from './context';
import { Recorder } from './recorder';
import { noteInSession } from './records';
import { mustFind } from './find';
import { supplyToView } from './views';

/** What was there of supplies that leave the stash goes: no lot has a place, and history says how much that was. */
export async function letGo(
  recorder: Recorder,
  going: readonly Pick<SupplyWithState, 'supply' | 'lots'>[],
): Promise<void> {
  await recorder.move(going.flatMap(({ lots }) => lots.map(({ id }) => ({ lotId: id, to: null }))));
  await recorder.post(
    going.flatMap(({ supply: { id, kind, form }, lots }) => {
      const act = farewell(lots, formOf(kind, form));
      return act ? [{ supplyId: id, act }] : [];
    }),
  );
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
    if (inStash(before) && !inStash({ facts })) await letGo(recorder, [found]);
    if (given.sessionId) {
      const space = spaceOf(supplyToView(found));
      await noteInSession(tx, recorder, ports, given.sessionId, {
        supplyId: id,
        verdict: given.verdict,
        unitId: mainLot(found.lots)?.spot?.unitId ?? null,
        space,
      });
    }
    const kind = given.verdict === 'let go' ? 'let go' : 'verdict';
    const change = await recorder.finish(kind, before.name, 1);
    return { supply: supplyToView(await mustFind(tx, id)), change };
  });
}
