/** Keeps half-filled forms in this browser, so that they survive leaving. Each form has a name of its own. */
const key = (name: string): string => `red-shelf.${name}`;

export function remember(name: string, form: object): void {
  try {
    localStorage.setItem(key(name), JSON.stringify(form));
  } catch {
    // A browser that keeps nothing: the form lives as long as the page.
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(key(name));
  } catch {
    // As above.
  }
}

/** The kept form over a blank one; anything unreadable counts as blank. */
export function remembered<T extends object>(name: string, blank: T): T {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key(name)) ?? 'null');
    return kept && typeof kept === 'object' ? { ...blank, ...kept } : blank;
  } catch {
    return blank;
  }
}
