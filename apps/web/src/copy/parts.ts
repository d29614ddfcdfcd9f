import { formOf, PARTS, type FlatSize, type Kind, type Part } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { saySize } from './cut';
import { sayLength, type Units } from './measure';
import { many } from './words';

type Names = readonly [one: string, several: string];

const NAMES: Readonly<Record<Part, Names>> = {
  pack: ['unopened pack', 'unopened packs'],
  base: ['cut base', 'cut bases'],
  scrap: ['scrap', 'scraps'],
};
/** What remains of a thing has another name with ribbon and with stickers. */
const REMAINS: Partial<Record<Kind, Names>> = {
  ribbon: ['remnant', 'remnants'],
  sticker: ['part sheet', 'part sheets'],
};

const namesOf = (part: Part, kind: Kind): Names => (part === 'scrap' && REMAINS[kind]) || NAMES[part];

/** "scraps", "remnants": several of a part of a kind. */
export const partsName = (part: Part, kind: Kind): string => namesOf(part, kind)[1];
/** "1 scrap", "3 remnants". */
export const manyParts = (n: number, part: Part, kind: Kind): string => many(n, ...namesOf(part, kind));
/** "a scrap", "a remnant", "an unopened pack". */
export const onePart = (part: Part, kind: Kind): string =>
  `${part === 'pack' ? 'an' : 'a'} ${namesOf(part, kind)[0]}`;

/** How large what remains is: of ribbon how long, of the rest width and height. */
export const sayRemains = (kind: Kind, sizeUm: FlatSize, units: Units): string =>
  kind === 'ribbon' ? sayLength(Math.max(sizeUm.widthUm, sizeUm.heightUm), units) : saySize(sizeUm, units);

/** "2 unopened packs · 14 cut bases · 3 scraps", or null where there are none. */
export const sayParts = ({ kind, stock }: SupplyView): string | null =>
  PARTS.flatMap((part) => {
    const n = stock.parts[part] ?? 0;
    return n > 0 ? [manyParts(n, part, kind)] : [];
  }).join(' · ') || null;

/** "no packs, bases or scraps"; of what a form keeps. */
export function sayNoParts({ kind, form }: Pick<SupplyView, 'kind' | 'form'>): string {
  const names = (formOf(kind, form).parts ?? []).map((part) => partsName(part, kind));
  const last = names.pop() ?? '';
  return `no ${names.length > 0 ? `${names.join(', ')} or ` : ''}${last}`;
}
