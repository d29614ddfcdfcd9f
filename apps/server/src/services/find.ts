import { findSupply, type SupplyWithState } from '../db/supplyRepository';
import type { Readable } from '../db/tx';
import { notFound } from './refusal';

/** A supply that is in the stash, or a refusal. */
export async function mustFind(db: Readable, id: string): Promise<SupplyWithState> {
  const found = await findSupply(db, id);
  if (!found) throw notFound('supply');
  return found;
}
