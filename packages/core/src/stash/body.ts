import type { Supply } from './supply';
import type { Attributes } from '../kinds/attributes';
import type { FormDefinition, LotAs, Piling, Size } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Facts } from './facts';
import { packSizeOf } from './packSize';
import type { FlatSize, Tally } from './holding';

/** What is asked of a supply to know its body. */
export type Bodied = Pick<Supply, 'kind' | 'form' | 'facts'>;
/** What is asked of a lot: what it is and how much of it there is. One whole thing when left out. */
export interface BodiedLot extends Partial<Tally> {
  readonly as: LotAs;
  readonly sizeUm?: FlatSize | null;
}

/** How large, thick and heavy a lot is. */
export interface Body {
  /** One of them, as it stands: what decides whether it goes in at all. */
  readonly one: Size;
  /** All of them together; larger than one along the side they pile up on. */
  readonly all: Size;
  /** Of all of them, mg. */
  readonly massMg: number;
  /** Where the size comes from: measured outside, the kind's own answers, or what such things usually measure. */
  readonly from: 'measured' | 'answers' | 'usual';
}

/** Bulk of uncoated card, cm³/g: calliper in µm is grammage in g/m² times this. */
const BULK_CM3_PER_G = 1.25;
/** Nothing is drawn or kept thinner than a divider. */
const THINNEST_UM = 1000;
/** Flanges of a spool, both together. */
const FLANGES_UM = 3000;

const lengthIn = (attributes: Attributes, id: string): number | undefined => {
  const value = attributes[id];
  return typeof value === 'number' && value > 0 ? value : undefined;
};

/** A size the kind's own answers give: a spool's outside, a sheet's sides, a bottle's contents. */
function answeredSize({ envelope, volumeUl }: FormDefinition, attributes: Attributes): Size | null {
  const length = (id: string): number | undefined => lengthIn(attributes, id);
  const [outer, winding, sheetWidth, sheetHeight] = [
    length('spoolOuter'),
    length('cardWidth'),
    length('sheetWidth'),
    length('sheetHeight'),
  ];
  if (outer) {
    const depthUm = Math.max(envelope.depthUm, (length('width') ?? 0) + FLANGES_UM);
    return { widthUm: outer, heightUm: outer, depthUm };
  }
  if (winding) return { ...envelope, widthUm: winding };
  const volume = length('volume');
  if (volume && volumeUl) {
    // Bottles of one form are alike: each side goes with the cube root of what they hold.
    const grown = Math.cbrt(volume / volumeUl);
    return {
      widthUm: Math.round(envelope.widthUm * grown),
      heightUm: Math.round(envelope.heightUm * grown),
      depthUm: Math.round(envelope.depthUm * grown),
    };
  }
  return sheetWidth || sheetHeight ? flat(envelope, sheetWidth, sheetHeight) : null;
}

/** Sets the two large sides of a flat thing; which they are follows from its usual size. */
function flat(envelope: Size, widthUm?: number, heightUm?: number): Size {
  const standing = envelope.widthUm < envelope.depthUm && envelope.widthUm < envelope.heightUm;
  const high = heightUm ?? envelope.heightUm;
  return standing
    ? { widthUm: envelope.widthUm, heightUm: high, depthUm: widthUm ?? envelope.depthUm }
    : { widthUm: widthUm ?? envelope.widthUm, heightUm: high, depthUm: envelope.depthUm };
}

/** Thickness of one of a pile, µm; of card from its weight where that is known. */
function eachUm(piles: Piling, one: Size, facts: Facts): number {
  const weight = facts.attributes?.weight;
  if (piles.eachUm !== undefined && typeof weight === 'object')
    return Math.round((weight.cgsm / 100) * BULK_CM3_PER_G);
  return piles.eachUm ?? one[piles.along];
}

/**
 * How large, how thick, how heavy a lot is: the outside size that was typed, else what the kind's own answers give, else
 * what the form usually measures; thickness and mass follow the count. Sizes in µm, mass in mg.
 */
export function bodyOf({ kind, form: formId, facts }: Bodied, lot: BodiedLot = { as: 'whole' }): Body {
  const form = formOf(kind, formId);
  const answered = answeredSize(form, facts.attributes ?? {});
  const cut = (lot.as === 'base' || lot.as === 'scrap') && lot.sizeUm;
  if (cut && form.counting === 'length') return coilOf(lot.items ?? 1, cut, facts);
  const measured = facts.size !== undefined && !cut;
  const one = cut
    ? flat(form.envelope, cut.widthUm, cut.heightUm)
    : (facts.size ?? answered ?? form.envelope);
  const count = countOf(lot, form, facts);
  const from = measured ? 'measured' : cut || answered ? 'answers' : 'usual';
  const massMg = Math.round((facts.massMg ?? form.massG * 1000) * count);
  const { piles } = form;
  // A pile of sheets that was measured was measured as it stands.
  if (!piles || (measured && piles.eachUm !== undefined)) return { one, all: one, massMg, from };
  const each = eachUm(piles, one, facts);
  const thick = Math.max(THINNEST_UM, Math.round(each * Math.max(1, count)));
  const single = piles.eachUm === undefined ? one : { ...one, [piles.along]: Math.max(THINNEST_UM, each) };
  return { one: single, all: { ...one, [piles.along]: thick }, massMg, from };
}

/** A remnant is wound up: so large across, and so deep, µm. */
const COIL_UM = 40_000;
/** Mass of a metre where nobody said, g. */
const METRE_G = 4;
function coilOf(items: number, { widthUm, heightUm }: FlatSize, facts: Facts): Body {
  const { metreMass } = facts.attributes ?? {};
  const metreMg = typeof metreMass === 'number' ? metreMass : METRE_G * 1000;
  const one = { widthUm: COIL_UM, heightUm: COIL_UM, depthUm: Math.min(widthUm, heightUm) };
  const metres = Math.max(widthUm, heightUm) / 1e6;
  const all = { ...one, depthUm: one.depthUm * Math.max(1, items) };
  return { one, all, massMg: Math.round(metreMg * metres * items), from: 'answers' };
}

/** How many things lie together in a lot: sheets of a packet, packets of packs, spools. */
export const thingsIn = ({ kind, form, facts }: Bodied, lot: BodiedLot): number =>
  countOf(lot, formOf(kind, form), facts);

function countOf({ as, items, left }: BodiedLot, form: FormDefinition, facts: Facts): number {
  const many = items ?? 1;
  if (as === 'pack') return many * packSizeOf({ facts });
  if (as !== 'whole') return many;
  // Of a length only what is left is counted: while there is some, there is the thing it is wound on.
  if (form.counting === 'length') return left ? Math.max(1, many) : many;
  return form.counting === 'sheets' || (form.counting === 'pieces' && form.piles) ? (left ?? many) : many;
}
