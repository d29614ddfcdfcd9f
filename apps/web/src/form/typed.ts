import { parseSize } from '@red-shelf/core';
import { z } from 'zod';
import { readMeasure, readPrice, type Units } from '../copy/measure';

type Reading<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** A schema for what was typed: read by `of`, or refused with its sentence. */
export const typed = <T>(of: (text: string) => Reading<T>) =>
  z.string().transform((text, context): T => {
    const read = of(text.trim());
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.message });
    return z.NEVER;
  });

/** The same for a field that may stay empty: then it says `nothing`. */
export const typedOr = <T, N>(nothing: N, of: (text: string) => Reading<T>) =>
  typed<T | N>((text) => (text === '' ? { ok: true, value: nothing } : of(text)));

/** A whole number from `least` to `most`, refused with one sentence. */
export const whole =
  (least: number, most: number, message: string) =>
  (text: string): Reading<number> => {
    const value = /^\d{1,9}$/.test(text) ? Number(text) : NaN;
    return value >= least && value <= most ? { ok: true, value } : { ok: false, message };
  };

/** A length, mass or volume: µm, mg or µl. */
export const measure =
  (type: 'length' | 'mass' | 'volume', units: Units) =>
  (text: string): Reading<number> => {
    const read = readMeasure(text, type, units);
    return read.ok ? { ok: true, value: Number(read.value) } : read;
  };

/** Width and height, µm. */
export const twoSides =
  (units: Units, message: string) =>
  (text: string): Reading<{ widthUm: number; heightUm: number }> => {
    const read = parseSize(text, 2, units === 'inches' ? 'in' : 'mm');
    if (!read.ok) return { ok: false, message };
    const [widthUm = 0, heightUm = 0] = read.um;
    return { ok: true, value: { widthUm, heightUm } };
  };

export const price = (currency: string) => (text: string) => readPrice(text, currency);

/** Words that must not be missing. */
export const words = (message: string) => z.string().trim().min(1, message);

/** What was read has to be what the contract takes; else the contract's own sentence stands at the field it speaks of. */
export const into =
  <S extends z.ZodType>(schema: S) =>
  (value: z.input<S>, context: z.RefinementCtx): z.output<S> => {
    const read = schema.safeParse(value);
    if (read.success) return read.data;
    for (const { path, message } of read.error.issues) context.addIssue({ code: 'custom', path, message });
    return z.NEVER;
  };
