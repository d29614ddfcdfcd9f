import type { FormDefinition } from '../kinds/definition';
import { printLength } from '../measure/length';
import type { Stock } from './stock';

/** Levels people say without counting. */
export const LEVELS = ['full', 'half', 'low', 'empty'] as const;
export type Level = (typeof LEVELS)[number];

const LEVEL_SHARE: Readonly<Record<Level, number>> = { full: 1, half: 0.5, low: 0.15, empty: 0 };

/** Uses that are left in `items` things of which the open one is at `level`. */
export function usesAtLevel(items: number, level: Level, usesPerFill: number): number {
  if (items <= 0) return 0;
  return Math.round((items - 1 + LEVEL_SHARE[level]) * usesPerFill);
}

/** The level of the open one: what a person would say on looking at it. */
export function levelOf(stock: Pick<Stock, 'items' | 'left'>, usesPerFill: number): Level {
  if (stock.left <= 0 || stock.items <= 0) return 'empty';
  const share = Math.min(1, stock.left / usesPerFill - Math.max(0, Math.ceil(stock.left / usesPerFill) - 1));
  if (share > 0.75) return 'full';
  return share > 0.25 ? 'half' : 'low';
}

/** What is left, in as few words as a shelf label: `2 · half`, `18 sheets`, `2.4 m`, `out`. */
export function sayLeft(stock: Pick<Stock, 'items' | 'left'>, form: FormDefinition): string {
  if (stock.left <= 0 && stock.items <= 0) return 'out';
  switch (form.counting) {
    case 'fill': {
      const level = levelOf(stock, form.usesPerFill ?? 1);
      return stock.items > 1 ? `${stock.items} · ${level}` : level;
    }
    case 'sheets':
      return `${stock.left} ${stock.left === 1 ? 'sheet' : 'sheets'}`;
    case 'pieces':
      return `${stock.left} left`;
    case 'length':
      return printLength(Math.round(stock.left / 10_000) * 10_000, stock.left < 1_000_000 ? 'cm' : 'm');
  }
}
