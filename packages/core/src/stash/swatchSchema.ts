import { z } from 'zod';

/** A colour a supply really makes: how it was laid down, on what, and what was seen. */
export const MADE = ['stamped', 'swiped', 'blended', 'drawn', 'as bought'] as const;
export type Made = (typeof MADE)[number];
export const GROUNDS = ['white', 'black', 'kraft', 'this paper'] as const;
export type Ground = (typeof GROUNDS)[number];
/** How the colour was taken. */
export const TAKEN = ['typed', 'name', 'wheel', 'photo', 'reader'] as const;

const HEX = /^#[0-9a-f]{6}$/;
export const hexCode = z.string().regex(HEX, 'A colour must look like #c23b42.');

export const swatchSchema = z.object({
  id: z.string().min(1).max(64),
  hex: hexCode,
  made: z.enum(MADE),
  ground: z.enum(GROUNDS),
  taken: z.enum(TAKEN),
  /** CIEDE2000 spread of what was averaged (photo, reader). */
  spread: z.number().min(0).max(200).optional(),
  on: z.iso.date().optional(),
});
export type SupplySwatch = z.infer<typeof swatchSchema>;
