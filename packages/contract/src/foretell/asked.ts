import type { ChangeView } from '../change';
import { nameOfRecord } from '../recordName';
import { routes } from '../routes';
import type { Command } from './foretell';
import type { Known } from './known';

const KIND: Partial<Record<Command['route'], ChangeView['kind']>> = {
  addSupply: 'add',
  addSupplies: 'add',
  editSupply: 'edit',
  removeSupply: 'remove',
  actOnSupply: 'act',
  placeHolding: 'place',
  moveHoldings: 'place',
  sizeHolding: 'lot',
  batchEdit: 'batch',
  mergeSupplies: 'merge',
  decideSupply: 'verdict',
  addUnit: 'unit',
  editUnit: 'unit',
  removeUnit: 'unit',
  applyArrange: 'arrange',
  startArrange: 'record',
  arrangeBack: 'record',
  undoChange: 'undo',
};

/** How many things a command names; 0 where only the server can count them. */
function countIn({ route, body }: Command): number {
  if (route === 'applyArrange' || route === 'startArrange') return 0;
  const { supplies, moves } = (body ?? {}) as { readonly supplies?: unknown; readonly moves?: unknown };
  const named = supplies ?? moves;
  return Array.isArray(named) ? named.length : 1;
}

function nameIn({ route, of, body }: Command, known: Known): string {
  if (route === 'applyArrange' || route === 'startArrange') {
    const { data } = routes[route].body.safeParse(body);
    return (data?.unitIds ?? []).flatMap((id) => known.unit(id)?.name ?? []).join(', ');
  }
  if (route === 'mergeSupplies') {
    const { data } = routes.mergeSupplies.body.safeParse(body);
    return known.supply(data?.keep.id ?? '')?.name ?? '';
  }
  const record = known.record(of);
  const named = known.supply(of) ?? known.unit(of) ?? (body as { readonly name?: unknown } | undefined);
  if (record) return nameOfRecord(record.body);
  return typeof named?.name === 'string' ? named.name : '';
}

/** A command in the words of a change, for one of which it cannot be told what it will do. */
export const askedFor = (command: Command, known: Known): ChangeView => ({
  id: command.id,
  kind: KIND[command.route] ?? 'record',
  name: nameIn(command, known),
  count: countIn(command),
});
