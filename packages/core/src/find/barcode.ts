/** EAN-13, EAN-8 and UPC-A end in a check digit. Source: GS1 General Specifications, 7.9. */
function checkDigitHolds(digits: string): boolean {
  const [last = 0, ...rest] = [...digits].reverse().map(Number);
  const sum = rest.reduce((total, digit, i) => total + digit * (i % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10 === last;
}

/** A barcode without spaces; a UPC-A is written as the EAN-13 it is part of. Null for what is none. */
export function normaliseBarcode(text: string): string | null {
  const plain = text.replace(/\s/g, '');
  if (!/^\d{8}$|^\d{12,13}$/.test(plain)) return null;
  return plain.length === 12 ? `0${plain}` : plain;
}

export type BarcodeReading =
  | { readonly ok: true; readonly code: string }
  | { readonly ok: false; readonly code: 'not_a_barcode' | 'misread' };

/** Checks what a scanner sent; a wrong check digit means it was misread. */
export function readBarcode(text: string): BarcodeReading {
  const code = normaliseBarcode(text);
  if (!code) return { ok: false, code: 'not_a_barcode' };
  return checkDigitHolds(code) ? { ok: true, code } : { ok: false, code: 'misread' };
}

/** The digits with their check digit behind them. */
export function withCheckDigit(digits: string): string {
  const found = [...'0123456789'].find((digit) => checkDigitHolds(digits + digit));
  return `${digits}${found}`;
}
