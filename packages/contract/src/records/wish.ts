import { KINDS, lineOf } from '@red-shelf/core';
import { z } from 'zod';
import { GAP_QUESTIONS } from '../gaps';
import { id, named, price } from '../group';

/** Something to buy: how much, and why. `amount` in what one buys by: things, sheets, pieces, µm. */
export const wishBody = z.object({
  sort: z.literal('wish'),
  /** The supply it is one of; null for something that is not owned yet. */
  supplyId: id.nullable(),
  name: named('The name'),
  kind: z.enum(KINDS),
  form: z.string().max(40),
  maker: lineOf('The maker', 80).default(''),
  range: lineOf('The range', 120).default(''),
  code: lineOf('A code', 40).default(''),
  hex: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .nullable(),
  amount: z.int('How much must be a whole number.').min(1, 'Buy at least one.').max(1e12),
  why: lineOf('Why', 200).default(''),
  price,
});

/** A question about something that is not asked for now, or never again. */
export const hushBody = z.object({
  sort: z.literal('hush'),
  question: z.enum(GAP_QUESTIONS),
  /** What it is about: ids or colours, as the question's rows are told apart. */
  about: z.string().min(1).max(300),
  /** Asked again from that day on; null for never. */
  until: z.iso.date().nullable(),
});
export type WishBody = z.infer<typeof wishBody>;
export type HushBody = z.infer<typeof hushBody>;
