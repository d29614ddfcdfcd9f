import { useSyncExternalStore } from 'react';
import { schemes, variable } from './tokens';

/** Light, dark, or whatever the device says. It belongs to the device: a phone at night, a desk by day. */
export const SCHEMES = ['as the device', 'light', 'dark'] as const;
export type SchemeChoice = (typeof SCHEMES)[number];
type Scheme = keyof typeof schemes;

const KEY = 'red-shelf.scheme';
const listeners = new Set<() => void>();
const deviceIsDark = (): MediaQueryList | undefined =>
  typeof matchMedia === 'function' ? matchMedia('(prefers-color-scheme: dark)') : undefined;

function kept(): SchemeChoice {
  try {
    const found = localStorage.getItem(KEY);
    return SCHEMES.find((each) => each === found) ?? 'as the device';
  } catch {
    return 'as the device';
  }
}
let choice: SchemeChoice = 'as the device';

const schemeNow = (): Scheme =>
  choice === 'as the device' ? (deviceIsDark()?.matches ? 'dark' : 'light') : choice;

const declared = (scheme: Scheme): string =>
  Object.entries(schemes[scheme])
    .map(([name, value]) => `${variable(name)}:${value}`)
    .join(';');

/** Gives the page its colours, before anything is drawn, and follows the device. */
export function beginScheme(): void {
  if (typeof document === 'undefined') return;
  choice = kept();
  const sheet = document.createElement('style');
  sheet.textContent = [
    `:root{${declared('light')};color-scheme:light}`,
    `:root[data-scheme=dark]{${declared('dark')};color-scheme:dark}`,
    `body{background:var(${variable('ground')})}`,
  ].join('\n');
  document.head.append(sheet);
  deviceIsDark()?.addEventListener('change', apply);
  apply();
}

function apply(): void {
  document.documentElement.dataset.scheme = schemeNow();
  for (const listener of listeners) listener();
}

export function chooseScheme(next: SchemeChoice): void {
  choice = next;
  try {
    localStorage.setItem(KEY, next);
  } catch {
    // A browser that keeps nothing: as long as the page lives.
  }
  apply();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
/** The scheme that is on. */
export const useScheme = (): Scheme => useSyncExternalStore(subscribe, schemeNow);
/** What was chosen. */
export const useSchemeChoice = (): SchemeChoice => useSyncExternalStore(subscribe, () => choice);
