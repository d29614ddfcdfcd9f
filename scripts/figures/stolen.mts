import { readFileSync } from 'node:fs';

const STOLEN = 8;
/** /proc/stat counts in hundredths of a second. */
const TICK_MS = 10;

/** How long the host has kept this machine's processors to itself since it was started, ms; 0 where that cannot be read. */
function stolenMs(): number {
  try {
    const line = readFileSync('/proc/stat', 'utf8').split('\n')[0] ?? '';
    return TICK_MS * (Number(line.split(/ +/)[STOLEN]) || 0);
  } catch {
    return 0;
  }
}

/** What was measured while the host took the least, of at most so many tries; the first of which it took nearly nothing is enough. */
export async function leastStolen<T>(
  measure: () => Promise<T>,
  tries: number,
  mostMs = 30,
): Promise<{ readonly found: T; readonly stolen: number }> {
  let best: { found: T; stolen: number } | undefined;
  for (let i = 0; i < tries && (best?.stolen ?? Infinity) > mostMs; i++) {
    const before = stolenMs();
    const found = await measure();
    const stolen = stolenMs() - before;
    if (stolen < (best?.stolen ?? Infinity)) best = { found, stolen };
  }
  return best!;
}
