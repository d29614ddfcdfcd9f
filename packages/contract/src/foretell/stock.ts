import {
  countRuleOf,
  emptiedShifts,
  formFor,
  planPosting,
  refillRequest,
  sparse,
  type Facts,
  type Posted,
  type StashEvent,
  type StockRequest,
} from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '../supply';
import { afterUseFor, readHeldFor } from '../heldFor';
import { lotsOfView, viewOf, writtenOf } from '../view';
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
  const held = 'heldFor' in body && body.heldFor ? readHeldFor(body.heldFor, known.record) : null;
  const request = asRequest(supply, bottle, body, held?.name);
  const plan = request && planned(supply, request, naming);
  if (!plan) return null;
  const event = posted(naming, supply, plan);
  const supplies = [supply, ...(bottle ? [bottle] : [])].map((each) =>
    afterEvent(each, event, each === supply ? plan.made.map((lot) => newLot(lot, supplyId)) : []),
  );
  if (!held) return foretold(naming, 'act', supply.name, { supplies });
  const { facts, kit } = afterUseFor(held, supplyId, supply.facts, plan.happening);
  const record = kit && 'heldFor' in body && known.record(body.heldFor ?? '');
  return foretold(naming, 'act', supply.name, {
    supplies: supplies.map((each) => (facts ? withFacts(each, facts, naming.at) : each)),
    records: record ? [{ ...record, version: record.version + 1, updatedAt: naming.at, body: kit }] : [],
  });
}

/** A supply of which something else is known. */
function withFacts(supply: SupplyView, facts: Facts, at: string): SupplyView {
  const written = writtenOf(supply);
  return viewOf(
    { ...written, facts: sparse(facts), version: written.version + 1, updatedAt: at },
    supply.stock,
    lotsOfView(supply),
  );
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
