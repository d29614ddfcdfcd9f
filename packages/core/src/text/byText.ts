/** Orders texts that no person reads as words, such as ids and ISO dates: negative, zero or positive, as `sort` wants it. */
export const byText = (p: string, q: string): number => (p < q ? -1 : p > q ? 1 : 0);
