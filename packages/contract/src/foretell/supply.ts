import {
  effectiveHex,
  factsAfter,
  farewell,
  formFor,
  formOf,
  mainLot,
  PARTS,
  spaceOf,
  sparse,
} from '@red-shelf/core';
import type { z } from 'zod';
import type { verdictBody } from '../batch';
import type { RecordView } from '../records';
import type { EditedSupply, NewSupply, SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf, type WrittenSupply } from '../view';
import { afterEvent, foretold, newLot, type Foretold, type Known, type Naming } from './known';
import { planned, posted } from './stock';

/** The true swatch decides the colour; facts that say nothing are not kept. */
export const coloured = <T extends Pick<WrittenSupply, 'hex' | 'facts'>>(fields: T): T => ({
  ...fields,
  hex: effectiveHex(fields.hex, fields.facts),
  facts: sparse(fields.facts),
});

/** Short numbers are given by the server; until then it has none. */
const NO_NUMBER = 0;
const NEVER_USED = { uses: 0, used: 0, lastUsedAt: null } as const;

/** A new supply with what was counted of it. */
export function foretellAdd(naming: Naming, { count, parts, ...fields }: NewSupply): Foretold | null {
  const id = naming.nextId();
  const { at } = naming;
  const written = { ...coloured(fields), id, version: 1, number: NO_NUMBER, createdAt: at, updatedAt: at };
  const main = newLot({ id: naming.nextId(), as: 'whole', sizeUm: null }, id);
  let supply: SupplyView | null = viewOf(written, NEVER_USED, [main]);
  const counts = [
    { act: 'count', ...count } as const,
    ...PARTS.flatMap((of) => (parts?.[of] ? [{ act: 'count', of, items: 0, left: parts[of] } as const] : [])),
  ];
  for (const request of counts) {
    const plan = supply && planned(supply, request, naming);
    if (!supply || !plan) return null;
    const made = plan.made.map((lot) => newLot(lot, id));
    supply = afterEvent(supply, posted(naming, supply, plan), made);
  }
  return foretold(naming, 'add', fields.name, { supplies: [supply] });
}

/** A supply as it was edited. Where it will have to give way is not told beforehand. */
export function foretellEdit(
  known: Known,
  naming: Naming,
  id: string,
  { version, ...fields }: EditedSupply,
): Foretold | null {
  const supply = known.supply(id);
  if (!supply || version !== supply.version) return null;
  // Counted by other rules, its whole history has to be added up anew.
  const [was, is] = [formFor(supply), formFor(fields)];
  if (was.counting !== is.counting || was.usesPerFill !== is.usesPerFill) return null;
  const written = { ...writtenOf(supply), ...coloured(fields), version: version + 1, updatedAt: naming.at };
  const next = viewOf(written, supply.stock, lotsOfView(supply));
  return foretold(naming, 'edit', fields.name, { supplies: [next] });
}

export function foretellRemove(known: Known, naming: Naming, id: string, version: number): Foretold | null {
  const supply = known.supply(id);
  if (!supply || version !== supply.version) return null;
  return foretold(naming, 'remove', supply.name, { gone: [id] });
}

/** What a verdict makes of a supply, and the session it was given in. */
export function foretellVerdict(
  known: Known,
  naming: Naming,
  id: string,
  { version, verdict, sessionId }: z.output<typeof verdictBody>,
): Foretold | null {
  const supply = known.supply(id);
  const session = sessionId === undefined ? null : known.record(sessionId);
  if (!supply || version !== supply.version || session === undefined) return null;
  const facts = sparse(factsAfter(supply.facts, verdict));
  const written = { ...writtenOf(supply), facts, version: version + 1, updatedAt: naming.at };
  let next = viewOf(written, supply.stock, lotsOfView(supply));
  if (verdict === 'let go') {
    const shifts = lotsOfView(next).flatMap(({ id: holdingId, spot }) =>
      spot ? [{ holdingId, from: spot, to: null }] : [],
    );
    const { id: eventId, at } = naming;
    const move = { act: 'move', id: eventId, supplyId: id, at, postings: [], shifts } as const;
    const act = farewell(lotsOfView(supply), formOf(supply.kind, supply.form));
    next = afterEvent(next, move);
    if (act) next = afterEvent(next, posted(naming, next, act));
  }
  const records = session ? noted(session, supply, verdict, naming.at) : [];
  return foretold(naming, 'verdict', supply.name, { supplies: [next], records });
}

function noted(
  session: RecordView,
  supply: SupplyView,
  verdict: z.output<typeof verdictBody>['verdict'],
  at: string,
): RecordView[] {
  if (session.body.sort !== 'session') return [];
  const unitId = mainLot(supply.holdings)?.spot?.unitId ?? null;
  const decided = { supplyId: supply.id, verdict, unitId, space: spaceOf(supply) };
  const done = [...session.body.done.filter(({ supplyId }) => supplyId !== supply.id), decided];
  return [{ ...session, version: session.version + 1, updatedAt: at, body: { ...session.body, done } }];
}
