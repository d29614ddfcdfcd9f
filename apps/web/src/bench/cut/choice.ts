import { z } from 'zod';

const panel = z.object({
  id: z.string(),
  name: z.string(),
  widthUm: z.int().min(1),
  heightUm: z.int().min(1),
  count: z.int().min(1).max(500),
  /** False where the grain or a print says which way is up. */
  mayTurn: z.boolean(),
});
export type Panel = z.infer<typeof panel>;

const card = z.object({
  supplyId: z.string(),
  panels: z.array(panel),
  /** Strips of full length may be cut up too. */
  strips: z.boolean(),
  /** Scraps of colours hardly told apart may serve too. */
  near: z.boolean(),
});
export type CardChoice = z.infer<typeof card>;

/** What is to be cut, card by card. */
export const cutChoice = z.object({ cards: z.array(card) });

export const newCard = (supplyId: string): CardChoice => ({
  supplyId,
  panels: [],
  strips: false,
  near: true,
});
