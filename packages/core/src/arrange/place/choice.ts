import { isRefusal } from '../../storage/mayLive';
import type { LeftOverReason, Placing, Zone } from './zones';

/** Things with the same choice of zones, in their order. */
export interface PlaceClass<T> {
  /** Indices of the zones they may live in, in the order of the path. */
  readonly zones: readonly number[];
  /** With those that are wider than need be. */
  readonly all: readonly number[];
  readonly members: T[];
}
export interface LeftOut<T> {
  readonly item: T;
  readonly reason: LeftOverReason;
}

/** Puts things that may live in the same zones together; those that may live in none say why. */
export function classesOf<T extends Placing>(
  ordered: readonly T[],
  zones: readonly Zone<T>[],
): { classes: PlaceClass<T>[]; out: LeftOut<T>[] } {
  const known = new Map<string, number[] | LeftOverReason>();
  const choiceOf = (item: T): number[] | LeftOverReason => {
    const found = item.alike === undefined ? undefined : known.get(item.alike);
    if (found) return found;
    const choice = zonesFor(item, zones);
    if (item.alike !== undefined) known.set(item.alike, choice);
    return choice;
  };
  const classes = new Map<string, PlaceClass<T>>();
  const out: LeftOut<T>[] = [];
  for (const item of ordered) {
    const choice = choiceOf(item);
    if ('code' in choice) {
      out.push({ item, reason: choice });
      continue;
    }
    const key = choice.join();
    const found = classes.get(key);
    if (found) found.members.push(item);
    else classes.set(key, { zones: choice, all: choice, members: [item] });
  }
  return { classes: narrowest([...classes.values()], zones), out };
}

/** Cells that hold so much more than the narrowest that takes a thing are wide for it. */
const WIDE = 1.6;
/** Of the narrow ones so much may be filled before the wide ones are used as well. */
const MOST_FILLED = 0.95;

/** Each class in the narrowest zones that take it, as long as there is room in them for all that are no wider; else in all that do. */
function narrowest<T>(classes: readonly PlaceClass<T>[], zones: readonly Zone<T>[]): PlaceClass<T>[] {
  const sized = (z: number): number => zones[z]?.volumeUl ?? 0;
  const narrow = (choice: readonly number[]): readonly number[] => {
    const least = Math.min(...choice.map(sized).filter((volume) => volume > 0));
    return choice.filter((z) => sized(z) <= WIDE * least);
  };
  const wanted = new Map<number, number>();
  for (const { zones: choice, members } of classes) {
    const into = narrow(choice);
    const room = into.reduce((sum, z) => sum + (zones[z]?.room ?? 0), 0);
    for (const z of into)
      wanted.set(z, (wanted.get(z) ?? 0) + (members.length * (zones[z]?.room ?? 0)) / Math.max(1, room));
  }
  return classes.map((each) => {
    const into = narrow(each.zones);
    const fits = into.every((z) => (wanted.get(z) ?? 0) <= MOST_FILLED * (zones[z]?.room ?? 0));
    return fits && into.length > 0 ? { ...each, zones: into } : each;
  });
}

/** What keeps a thing out when arranging: a no, or a place that is kept for others. Tight fits are put up with. */
function whyNot<T>(item: T, { unit, cell }: Zone<T>): LeftOverReason | null {
  const answer = unit.takes(item, cell);
  if (isRefusal(answer)) return answer;
  const kept = answer?.find(({ code }) => code === 'kept_for_others' || code === 'belongs_elsewhere');
  return (kept as LeftOverReason | undefined) ?? null;
}

/** How much a reason says: the one that came nearest to taking the thing is given. */
const TELLING: readonly LeftOverReason['code'][] = [
  'limit_reached',
  'run_full',
  'stack_full',
  'too_deep',
  'too_high',
  'too_wide',
  'bore_too_small',
  'belongs_elsewhere',
  'kept_for_others',
];

/** Indices of the zones an item may live in, or the reason of the one that came nearest to taking it. */
function zonesFor<T>(item: T, zones: readonly Zone<T>[]): number[] | LeftOverReason {
  const choice: number[] = [];
  let reason: LeftOverReason = { code: 'wrong_kind' };
  const rank = ({ code }: LeftOverReason): number =>
    TELLING.includes(code) ? TELLING.indexOf(code) : TELLING.length;
  zones.forEach((zone, z) => {
    const no = whyNot(item, zone);
    if (!no) choice.push(z);
    else if (rank(no) < rank(reason)) reason = no;
  });
  return choice.length > 0 ? choice : reason;
}

/** Splits off what must stay out when there is too little room: the least used, the last in id order first. The rest keeps its order. */
export function mostUsed<T extends Placing>(members: readonly T[], room: number): { staying: T[]; out: T[] } {
  if (members.length <= room) return { staying: [...members], out: [] };
  const ranked = [...members].sort((p, q) => (q.uses ?? 0) - (p.uses ?? 0) || (p.id < q.id ? -1 : 1));
  const out = new Set(ranked.slice(room));
  return { staying: members.filter((each) => !out.has(each)), out: members.filter((each) => out.has(each)) };
}
