import { words } from '../copy/words';
import { whileIdle } from '../ui/whenIdle';
import { schemas, type Schemas } from './later';

/** How long the page is left to itself, ms. */
const START_AFTER_MS = 10_000;
/** So many supplies are checked at a stretch: some ms even where a phone is slow. */
const AT_ONCE = 10;

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
  // Not while the first screen is being drawn and first used.
  setTimeout(() => void schemas().then((known) => whileIdle(checking(known, route, answer))), START_AFTER_MS);
}

function* checking(
  { routes }: Pick<Schemas, 'routes'>,
  route: 'listSupplies' | 'since',
  { supplies, ...rest }: { readonly supplies: readonly unknown[] },
): Generator {
  let beside: object = rest;
  for (let from = 0; from === 0 || from < supplies.length; from += AT_ONCE) {
    const part = { ...beside, supplies: supplies.slice(from, from + AT_ONCE) };
    if (!routes[route].answer.safeParse(part).success) return tell(words.notUnderstood);
    beside = { ...rest, ...('changedRecords' in rest ? { changedRecords: [] } : {}) };
    yield;
  }
}
