import { lineOf, NEEDED_AS } from '@red-shelf/core';
import { z } from 'zod';
import { id, named } from '../group';

/** Something storage still lacks, that a discarded thing might serve as. Sizes in µm; 0 where any will do. */
export const needBody = z.object({
  sort: z.literal('need'),
  what: z.enum(NEEDED_AS),
  where: named('What it is for'),
  widthUm: z.int().min(0).max(10_000_000).default(0),
  heightUm: z.int().min(0).max(10_000_000).default(0),
  count: z
    .int('How many must be a whole number.')
    .min(0, 'The number cannot be less than zero.')
    .max(1000, 'At most 1,000 of one thing.'),
});

/** "Use only this box": from a day until another, only what lives in one unit. */
export const challengeBody = z.object({
  sort: z.literal('challenge'),
  unitId: id,
  unitName: lineOf('The name', 60),
  from: z.iso.date(),
  until: z.iso.date(),
});
export type NeedBody = z.infer<typeof needBody>;
export type ChallengeBody = z.infer<typeof challengeBody>;
