/** An object whose parts are each worked out when they are first read, and kept. */
export function eachOnce<T extends object>(parts: { readonly [K in keyof T]: () => T[K] }): T {
  const made: Partial<T> = {};
  for (const name of Object.keys(parts) as (keyof T)[])
    Object.defineProperty(made, name, {
      configurable: true,
      enumerable: true,
      get() {
        const value = parts[name]();
        Object.defineProperty(made, name, { value, enumerable: true });
        return value;
      },
    });
  return made as T;
}
