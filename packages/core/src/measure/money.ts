/** Money in the currency's own smallest unit: cents, yen, fils. */
export interface Money {
  readonly minor: number;
  readonly currency: string;
}

const decimals = new Map<string, number>();

/** How many decimals a currency has: 2 for the euro, 0 for the yen, 3 for the dinar of Kuwait (ISO 4217, as the platform knows it). */
export function decimalsOf(currency: string): number {
  const known = decimals.get(currency) ?? askedDecimals(currency);
  decimals.set(currency, known);
  return known;
}

function askedDecimals(currency: string): number {
  try {
    const { maximumFractionDigits } = new Intl.NumberFormat('en', {
      style: 'currency',
      currency,
    }).resolvedOptions();
    return maximumFractionDigits ?? 2;
  } catch {
    return 2;
  }
}

/** Reads `4.50`, `4,50 EUR`, `450 JPY`; a bare amount is of `assumed`. Null where it is no price in that currency. */
export function parseMoney(text: string, assumed: string): Money | null {
  const found = /^(\d{1,7})(?:[.,](\d{1,4}))?\s*([A-Za-z]{3})?$/.exec(text.trim());
  const [, whole = '0', part = '', said] = found ?? [];
  const currency = (said ?? assumed).toUpperCase();
  const decimals = decimalsOf(currency);
  if (!found || part.length > decimals) return null;
  return { minor: Number(whole + part.padEnd(decimals, '0')), currency };
}

/** As it is typed: `4.50 EUR`. */
export function printMoney({ minor, currency }: Money): string {
  const decimals = decimalsOf(currency);
  return `${(minor / 10 ** decimals).toFixed(decimals)} ${currency}`;
}
