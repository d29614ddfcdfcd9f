import { SHEET_SIZE_UM } from '../kinds/cardstock';
import type { Bodied } from './body';
import type { FlatSize } from './holding';

/** Width and height of a supply's sheets, µm: as they were typed, as its form has them, or the outside size; null where nothing says. */
export function sheetSizeOf({ form, facts }: Pick<Bodied, 'form' | 'facts'>): FlatSize | null {
  const { sheetWidth, sheetHeight } = facts.attributes ?? {};
  const [formWidth, formHeight] = SHEET_SIZE_UM[form] ?? [];
  const widthUm = typeof sheetWidth === 'number' && sheetWidth > 0 ? sheetWidth : formWidth;
  const heightUm = typeof sheetHeight === 'number' && sheetHeight > 0 ? sheetHeight : formHeight;
  if (widthUm && heightUm) return { widthUm, heightUm };
  if (!facts.size) return null;
  const [longest = 0, second = 0] = Object.values<number>({ ...facts.size }).sort((a, b) => b - a);
  return { widthUm: second, heightUm: longest };
}
