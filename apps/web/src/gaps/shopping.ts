import { formOf, printMoney, writeTable } from '@red-shelf/core';
import type { RecordView, WishBody } from '@red-shelf/contract';
import { sayMuch, sayPurchase } from '../copy/gaps';
import type { Units } from '../copy/measure';
import type { PaperSize } from '../draw/paper';

export type Wish = RecordView & { body: WishBody };

/** What a purchase costs, and what one sheet of it does; null where no price is known. */
function costOf({ price, kind, form, amount }: WishBody) {
  if (!price) return null;
  const { counting, usualPurchase } = formOf(kind, form);
  const times = amount / usualPurchase;
  const whole = { minor: Math.round(price.minor * times), currency: price.currency };
  const each =
    counting === 'sheets'
      ? { minor: Math.round(price.minor / usualPurchase), currency: price.currency }
      : null;
  return { whole, each };
}

/** "12.40 EUR, 0.62 EUR a sheet". */
export function sayCost(wish: WishBody): string {
  const cost = costOf(wish);
  if (!cost) return '';
  return [printMoney(cost.whole), cost.each ? `${printMoney(cost.each)} a sheet` : '']
    .filter(Boolean)
    .join(', ');
}

/** What all of it costs, by currency, as far as prices are known. */
export function sayTotal(wishes: readonly Wish[]): string {
  const sums = new Map<string, number>();
  let unknown = 0;
  for (const { body } of wishes) {
    const cost = costOf(body);
    if (cost) sums.set(cost.whole.currency, (sums.get(cost.whole.currency) ?? 0) + cost.whole.minor);
    else unknown++;
  }
  const said = [...sums].map(([currency, minor]) => printMoney({ minor, currency })).join(' and ');
  if (said === '') return '';
  return unknown > 0 ? `About ${said}, and ${unknown} whose price is not known.` : `About ${said}.`;
}

/** "Reed Pond (312), Hollin Towpath". */
export const sayWish = ({ name, code, maker, range }: WishBody): string =>
  `${name}${code ? ` (${code})` : ''}${maker || range ? `, ${`${maker} ${range}`.trim()}` : ''}`;

/** The list as plain text, a line each. */
export const asText = (wishes: readonly Wish[], units: Units): string =>
  wishes
    .map(({ body }) => {
      const cost = sayCost(body);
      const much = sayMuch(body.kind, body.form, body.amount, units);
      return `[ ] ${much}${sayWish(body)} – ${formOf(body.kind, body.form).name}${cost ? ` – ${cost}` : ''}`;
    })
    .join('\n');

/** The list as CSV. */
export const asCsv = (wishes: readonly Wish[], units: Units): string =>
  writeTable([
    ['Name', 'Code', 'Maker', 'Range', 'Kind', 'Form', 'Colour', 'Amount', 'Why', 'Price'],
    ...wishes.map(({ body }) => [
      ...[body.name, body.code, body.maker, body.range, body.kind, formOf(body.kind, body.form).name],
      ...[body.hex ?? '', sayPurchase(body.kind, body.form, body.amount, units), body.why, sayCost(body)],
    ]),
  ]);

/** The list to print, with squares to tick. */
export async function printList(wishes: readonly Wish[], units: Units, paper: PaperSize): Promise<Blob> {
  const { Sheet } = await import('../draw/printing');
  const sheet = await Sheet.open(paper);
  sheet.title('Shopping list');
  for (const { body } of wishes)
    sheet.line({
      ticks: 1,
      ...(body.hex ? { hex: body.hex } : {}),
      words: `${sayMuch(body.kind, body.form, body.amount, units)}${sayWish(body)}, ${formOf(body.kind, body.form).name}`,
      aside: sayCost(body),
    });
  const total = sayTotal(wishes);
  if (total) sheet.text(total);
  return sheet.save();
}
