import { words } from '../copy/words';
import { whenIdle } from '../ui/whenIdle';
import { schemas, type Schemas } from './later';

/** How long the page is left to itself, ms. */
const START_AFTER_MS = 10_000;
/** So many supplies are checked at a stretch: a few ms. */
const AT_ONCE = 100;

let tell: (sentence: string) => void = () => undefined;
/** Who is told when an answer turns out to be none this app understands. */
export const onNotUnderstood = (hear: (sentence: string) => void): void => {
  tell = hear;
};

/**
 * Checks a long answer by the contract while nobody waits: it is shown first, since ten thousand supplies take a while,
 * and when it is not what the contract says the person is told.
 */
export function checkSoon(
  route: 'listSupplies' | 'since',
  answer: { readonly seq: number; readonly order: string; readonly supplies: readonly unknown[] },
): void {
  const { supplies, ...rest } = answer;
  const parts = Array.from({ length: Math.ceil(supplies.length / AT_ONCE) }, (_, i) =>
    supplies.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
  );
  let beside: object = { ...rest };
  const next = ({ routes }: Pick<Schemas, 'routes'>): void => {
    const part = parts.shift() ?? [];
    const read = routes[route].answer.safeParse({ ...beside, supplies: part });
    if (!read.success) return tell(words.notUnderstood);
    beside = { ...rest, ...('changedRecords' in rest ? { changedRecords: [] } : {}) };
    if (parts.length > 0) whenIdle(() => next({ routes }));
    return undefined;
  };
  // Not while the first screen is being drawn and first used.
  setTimeout(() => void schemas().then((known) => whenIdle(() => next(known))), START_AFTER_MS);
}
