import type { SupplyForm } from './SupplyFields';

const KEY = 'red-shelf.add';

/** Keeps a half-filled form in this browser, so that it survives leaving. */
export function remember(form: SupplyForm): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(form));
  } catch {
    // A browser that keeps nothing: the form lives as long as the page.
  }
}

export function forget(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // As above.
  }
}

/** The kept form over a blank one; anything unreadable counts as blank. */
export function remembered(blank: SupplyForm): SupplyForm {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    return kept && typeof kept === 'object' ? { ...blank, ...kept } : blank;
  } catch {
    return blank;
  }
}
