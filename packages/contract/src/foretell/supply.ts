import {
  effectiveHex,
  factsAfter,
  farewell,
  formFor,
  formOf,
  inStash,
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
import { afterEvent, afterLift, foretold, newLot, type Foretold, type Known, type Naming } from './known';
import { liftUnfit } from './lift';
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

/** New supplies with what was counted of each; the server makes first the supplies, then their lots, then their parts. */
export function added(naming: Naming, given: readonly NewSupply[]): SupplyView[] | null {
  const { at } = naming;
  const ids = given.map(() => naming.nextId());
  const mains = ids.map((id) => newLot({ id: naming.nextId(), as: 'whole', sizeUm: null }, id));
  const views: SupplyView[] = [];
  for (const [i, { count, parts, ...fields }] of given.entries()) {
    const [id = '', main] = [ids[i], mains[i]];
    const written = { ...coloured(fields), id, version: 1, number: NO_NUMBER, createdAt: at, updatedAt: at };
    const view = counted(naming, viewOf(written, NEVER_USED, main ? [main] : []), { count, parts });
    if (!view) return null;
    views.push(view);
  }
  return views;
}

/** A new supply once it was counted. */
function counted(
  naming: Naming,
  supply: SupplyView,
  { count, parts }: Pick<NewSupply, 'count' | 'parts'>,
): SupplyView | null {
  const counts = [
    { act: 'count', ...count } as const,
    ...PARTS.flatMap((of) => (parts?.[of] ? [{ act: 'count', of, items: 0, left: parts[of] } as const] : [])),
  ];
  let view = supply;
  for (const request of counts) {
    const plan = planned(view, request, naming);
    if (!plan) return null;
    const made = plan.made.map((lot) => newLot(lot, supply.id));
    view = afterEvent(view, posted(naming, view, plan), made);
  }
  return view;
}

/** A new supply. */
export function foretellAdd(naming: Naming, given: NewSupply): Foretold | null {
  const supplies = added(naming, [given]);
  return supplies && foretold(naming, 'add', given.name, { supplies });
}

/** A supply as it was edited, lifted where it no longer fits. */
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
  const changed = afterChange(naming, supply, viewOf(written, supply.stock, lotsOfView(supply)));
  const next = liftUnfit(known, naming, changed);
  return foretold(naming, 'edit', fields.name, { supplies: [next.supply], lifted: next.lifted });
}

export function foretellRemove(known: Known, naming: Naming, id: string, version: number): Foretold | null {
  const supply = known.supply(id);
  if (!supply || version !== supply.version) return null;
  return foretold(naming, 'remove', supply.name, { gone: [id] });
}

/** A supply that was changed; where it left the stash by that, nothing of it is left. */
export function afterChange(naming: Naming, before: SupplyView, after: SupplyView): SupplyView {
  if (!inStash(before) || inStash(after)) return after;
  const act = farewell(lotsOfView(before), formOf(before.kind, before.form));
  const lifted = afterLift(naming, after);
  return act ? afterEvent(lifted, posted(naming, lifted, act)) : lifted;
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
  const next = afterChange(naming, supply, viewOf(written, supply.stock, lotsOfView(supply)));
  const records = session ? noted(naming, session, supply, verdict) : [];
  const kind = verdict === 'let go' ? 'let go' : 'verdict';
  return foretold(naming, kind, supply.name, { supplies: [next], records });
}

/** The row a verdict leaves in its sitting. */
function noted(
  naming: Naming,
  session: RecordView,
  supply: SupplyView,
  verdict: z.output<typeof verdictBody>['verdict'],
): RecordView[] {
  if (session.body.sort !== 'session') return [];
  const unitId = mainLot(supply.holdings)?.spot?.unitId ?? null;
  const entry = { supplyId: supply.id, verdict, unitId, space: spaceOf(supply) };
  return [
    {
      id: naming.nextId(),
      version: 1,
      createdAt: naming.at,
      updatedAt: naming.at,
      body: { sort: 'done', sessionId: session.id, entries: [entry] },
    },
  ];
}
