import {
  countRuleOf,
  emptiedShifts,
  formFor,
  planPosting,
  refillRequest,
  type Posted,
  type StashEvent,
  type StockRequest,
} from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '../supply';
import { afterUseFor, readHeldFor } from '../heldFor';
import { lotsOfView } from '../view';
import { afterEvent, foretold, newLot, type Foretold, type Known, type Naming } from './known';

/** A supply and its bottle after an act. Null where it will be refused, or where it cannot be told. */
export function foretellAct(
  known: Known,
  naming: Naming,
  supplyId: string,
  body: StockRequestBody,
): Foretold | null {
  const supply = known.supply(supplyId);
  if (!supply) return null;
  const bottle = body.act === 'refill' && body.fromId ? known.supply(body.fromId) : null;
  if (bottle === undefined) return null;
  const heldFor = 'heldFor' in body ? body.heldFor : undefined;
  const held = heldFor ? readHeldFor(heldFor, known.record) : null;
  if (heldFor && !held) return null;
  const request = asRequest(supply, bottle, body, held?.name);
  const plan = request && planned(supply, request, naming);
  if (!plan) return null;
  const event = posted(naming, supply, plan);
  const supplies = [supply, ...(bottle ? [bottle] : [])].map((each) =>
    afterEvent(each, event, each === supply ? plan.made.map((lot) => newLot(lot, supplyId)) : []),
  );
  const less = held && afterUseFor(held, supply, plan.happening);
  const record = less && heldFor ? known.record(heldFor) : undefined;
  return foretold(naming, 'act', supply.name, {
    supplies,
    records:
      record && less ? [{ ...record, version: record.version + 1, updatedAt: naming.at, body: less }] : [],
  });
}

function asRequest(
  supply: SupplyView,
  bottle: SupplyView | null,
  body: StockRequestBody,
  project: string | undefined,
): StockRequest | null {
  if (body.act === 'use' || body.act === 'cut') {
    const { heldFor: _, ...rest } = body;
    return { ...rest, project };
  }
  if (body.act !== 'refill') return body;
  const { fromId: _, ...rest } = body;
  const request = refillRequest(supply, bottle && { ...bottle, lots: lotsOfView(bottle) }, rest);
  return 'code' in request ? null : request;
}

/** What an act does to a supply's lots; null where it will be refused. */
export function planned(supply: SupplyView, request: StockRequest, { nextId }: Naming): Posted | null {
  const form = formFor(supply);
  const plan = planPosting(request, lotsOfView(supply), form, countRuleOf(form), nextId);
  return 'code' in plan ? null : plan;
}

/** An act as an event: what it uses up of packs, bases and scraps loses its place. */
export function posted(
  { id, at }: Naming,
  supply: SupplyView,
  { happening, postings }: Pick<Posted, 'happening' | 'postings'>,
): StashEvent {
  const lots = new Map(lotsOfView(supply).map((lot) => [lot.id, lot]));
  return { id, supplyId: supply.id, at, postings, shifts: emptiedShifts(postings, lots), ...happening };
}
