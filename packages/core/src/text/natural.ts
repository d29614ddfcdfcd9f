let collator: Intl.Collator | undefined;

/**
 * Orders words as people do: 2 before 10, capitals beside small letters. Negative, zero or positive, as `sort` wants it.
 * Made when first asked for: that takes a phone a tenth of a second.
 */
export const naturally = (p: string, q: string): number =>
  (collator ??= new Intl.Collator('en', { numeric: true, sensitivity: 'base' })).compare(p, q);
