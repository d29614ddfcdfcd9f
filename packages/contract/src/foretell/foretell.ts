import { PREFERENCES_ID } from '../fixed';
import { nameOfRecord } from '../recordName';
import type { RecordBody, RecordView } from '../records';
import { routes } from '../routes';
import { foretold, naming, type Foretold, type Known, type Naming } from './known';
import { foretellAddMany, foretellBatch } from './batch';
import { foretellMerge } from './merge';
import { foretellTakeDown, foretellUnit, foretellUnitEdit } from './unit';
import { foretellMoves } from './moves';
import { foretellPlace, foretellSize } from './place';
import { foretellAct } from './stock';
import { foretellAdd, foretellEdit, foretellRemove, foretellVerdict } from './supply';

/** A change as data: what is asked, of what, under which name, and when the person did it. */
export interface Command {
  readonly route: keyof typeof routes;
  /** What it is asked of; empty where of nothing. */
  readonly of: string;
  readonly body: unknown;
  /** Its name: made by the client, unique, later ones sort after earlier ones. */
  readonly id: string;
  /** UTC, ISO 8601. */
  readonly at: string;
}

function foretellRecord(
  known: Known,
  name: Naming,
  route: 'addRecord' | 'editRecord',
  of: string,
  body: RecordBody,
  version: number,
): Foretold | null {
  const { at } = name;
  const id = route === 'editRecord' ? of : body.sort === 'preferences' ? PREFERENCES_ID : name.nextId();
  const before = known.record(id);
  if ((before?.version ?? 0) !== version || (route === 'editRecord') !== (before !== undefined)) return null;
  const record: RecordView = {
    id,
    version: version + 1,
    createdAt: before?.createdAt ?? at,
    updatedAt: at,
    body,
  };
  return foretold(name, 'record', nameOfRecord(body), { records: [record] });
}

/**
 * What a command will have done, told from what a client knows, by the same rules the server follows. Null where only
 * the server can tell: because it will refuse, or because it knows more. What was foretold is replaced by the answer.
 */
export function foretell({ route, of, body: given, id, at }: Command, known: Known): Foretold | null {
  const name = naming(id, at);
  switch (route) {
    case 'actOnSupply': {
      const { data } = routes.actOnSupply.body.safeParse(given);
      return data ? foretellAct(known, name, of, data) : null;
    }
    case 'placeHolding': {
      const { data } = routes.placeHolding.body.safeParse(given);
      return data ? foretellPlace(known, name, of, data) : null;
    }
    case 'moveHoldings': {
      const { data } = routes.moveHoldings.body.safeParse(given);
      return data ? foretellMoves(known, name, data) : null;
    }
    case 'sizeHolding': {
      const { data } = routes.sizeHolding.body.safeParse(given);
      return data ? foretellSize(known, name, of, data) : null;
    }
    case 'addSupply': {
      const { data } = routes.addSupply.body.safeParse(given);
      return data ? foretellAdd(name, data) : null;
    }
    case 'editSupply': {
      const { data } = routes.editSupply.body.safeParse(given);
      return data ? foretellEdit(known, name, of, data) : null;
    }
    case 'removeSupply': {
      const { data } = routes.removeSupply.body.safeParse(given);
      return data ? foretellRemove(known, name, of, data.version) : null;
    }
    case 'addSupplies': {
      const { data } = routes.addSupplies.body.safeParse(given);
      return data ? foretellAddMany(name, data) : null;
    }
    case 'batchEdit': {
      const { data } = routes.batchEdit.body.safeParse(given);
      return data ? foretellBatch(known, name, data) : null;
    }
    case 'mergeSupplies': {
      const { data } = routes.mergeSupplies.body.safeParse(given);
      return data ? foretellMerge(known, name, data) : null;
    }
    case 'addUnit': {
      const { data } = routes.addUnit.body.safeParse(given);
      return data ? foretellUnit(known, name, data) : null;
    }
    case 'editUnit': {
      const { data } = routes.editUnit.body.safeParse(given);
      return data ? foretellUnitEdit(known, name, of, data) : null;
    }
    case 'removeUnit': {
      const { data } = routes.removeUnit.body.safeParse(given);
      return data ? foretellTakeDown(known, name, of, data.version) : null;
    }
    case 'decideSupply': {
      const { data } = routes.decideSupply.body.safeParse(given);
      return data ? foretellVerdict(known, name, of, data) : null;
    }
    case 'addRecord': {
      const { data } = routes.addRecord.body.safeParse(given);
      return data ? foretellRecord(known, name, route, of, data.body, 0) : null;
    }
    case 'editRecord': {
      const { data } = routes.editRecord.body.safeParse(given);
      return data ? foretellRecord(known, name, route, of, data.body, data.version) : null;
    }
    case 'removeRecord': {
      const { data } = routes.removeRecord.body.safeParse(given);
      const record = known.record(of);
      if (!data || record?.version !== data.version) return null;
      return foretold(name, 'record', nameOfRecord(record.body), { gone: [of] });
    }
    default:
      return null;
  }
}
