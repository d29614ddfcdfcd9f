import { z } from 'zod';

/** Stand-ins for outside things: a handheld colour reader, a barcode scanner, a list of colour names. */
export const reading = z.object({
  hex: z.string(),
  lab: z.object({ l: z.number(), a: z.number(), b: z.number() }),
});
export const readerRequest = z.object({
  /** What the simulated reader is held on. */
  on: z.string().regex(/^#[0-9a-f]{6}$/, 'Say what the reader is held on.'),
});
/** Names that may be asked for at once. */
export const MOST_NAMES = 2_000;
export const colourName = z.object({ name: z.string(), hex: z.string() });
export type ColourName = z.infer<typeof colourName>;
/** Things lying within reach of the simulated scanner. */
export const scannable = z.object({ label: z.string(), barcode: z.string() });

export const photoView = z.object({ id: z.string(), width: z.int(), height: z.int() });
export type PhotoView = z.infer<typeof photoView>;
/** Largest photo that is read, in bytes. */
export const MOST_PHOTO_BYTES = 15 * 1024 * 1024;
