import { KINDS } from '@red-shelf/core';
import { z } from 'zod';

const id = z.string();
const when = z.object({ median: z.string(), low: z.string(), high: z.string() }).nullable();
const entry = z.object({ name: z.string(), code: z.string(), hex: z.string() });
const rangeNamed = z.object({ id, maker: z.string(), name: z.string(), kind: z.enum(KINDS) });

const running = z.object({
  question: z.literal('running'),
  supplyId: id,
  state: z.enum(['out', 'low', 'soon', 'kept']),
  runsOut: when,
  advice: z.discriminatedUnion('do', [
    z.object({ do: z.literal('buy'), amount: z.number(), bigger: z.boolean() }),
    z.object({ do: z.literal('spare') }),
    z.object({ do: z.literal('ask') }),
    z.object({ do: z.literal('leave') }),
  ]),
});
/** A hole of the person's own colours, with what of a range would fill it. */
const hole = z.object({
  question: z.literal('colours'),
  kind: z.enum(KINDS),
  hex: z.string(),
  weight: z.number(),
  nearestId: id.nullable(),
  difference: z.number(),
  fill: z.object({ range: rangeNamed, entry, difference: z.number() }).nullable(),
});
/** A range that is owned in part. */
const range = z.object({
  question: z.literal('ranges'),
  range: rangeNamed,
  owned: z.int(),
  usedUp: z.int(),
  missing: z.array(entry),
});
const partner = z.object({
  question: z.literal('partners'),
  supplyId: id,
  lacks: z.array(
    z.object({ name: z.string(), kind: z.enum(KINDS), form: z.string().nullable(), out: z.boolean() }),
  ),
});
const unused = z.object({
  question: z.literal('unused'),
  supplyId: id,
  why: z.enum([
    'not learned yet',
    'do not like it',
    'saving it',
    'never opened',
    'opened, not used',
    'forgotten',
  ]),
  days: z.int(),
});
const double = z.object({
  question: z.literal('doubles'),
  why: z.enum(['spares', 'same', 'alike']),
  supplyIds: z.array(id).min(1),
  /** Of spares: how many there are, and how many are meant. */
  have: z.int().optional(),
  meant: z.int().optional(),
  difference: z.number().optional(),
});
const room = z.object({ question: z.literal('room'), unitId: id, filled: z.int(), of: z.int(), full: when });

export const GAP_QUESTIONS = ['running', 'colours', 'partners', 'unused', 'doubles', 'room'] as const;
export type GapQuestion = (typeof GAP_QUESTIONS)[number];

/** Six questions, each with its rows; what comes first matters most. */
export const gapsView = z.object({
  running: z.array(running),
  colours: z.array(hole),
  ranges: z.array(range),
  partners: z.array(partner),
  unused: z.array(unused),
  doubles: z.array(double),
  room: z.array(room),
});
export type GapsView = z.infer<typeof gapsView>;
