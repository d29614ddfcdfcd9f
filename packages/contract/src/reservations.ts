import { fold } from '@red-shelf/core';

/** An older app kept what was put aside in the facts of each supply, for a project by its name. */
interface OldReservation {
  readonly project: string;
  readonly amount: number;
}
interface Owner {
  readonly id: string;
  readonly facts: unknown;
}
/** A project as a record. */
interface ProjectRow {
  readonly id: string;
  readonly version: number;
  readonly body: object;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly removedAt: string | null;
}

const isReservation = (given: unknown): given is OldReservation => {
  const { project, amount } = (given ?? {}) as Partial<OldReservation>;
  return (
    typeof project === 'string' && fold(project) !== '' && Number.isInteger(amount) && Number(amount) > 0
  );
};

/** What was put aside of a supply, by project. */
export function oldReservationsOf(facts: unknown): OldReservation[] {
  const { reserved } = (facts ?? {}) as { reserved?: unknown };
  return Array.isArray(reserved) ? reserved.filter(isReservation) : [];
}

/** Facts as they are today, without what was put aside. */
export function withoutReservations<F>(facts: F): F {
  if (typeof facts !== 'object' || facts === null || !('reserved' in facts)) return facts;
  const { reserved: _, ...rest } = facts;
  return rest as F;
}

/** One project may have been typed in several ways; its first spelling stands. By folded name, in the order of names. */
export const projectNames = (owners: readonly Owner[]): ReadonlyMap<string, string> => {
  const names = new Map<string, string>();
  for (const { facts } of owners)
    for (const { project } of oldReservationsOf(facts))
      if (!names.has(fold(project))) names.set(fold(project), project);
  return new Map([...names].sort(([a], [b]) => (a < b ? -1 : 1)));
};

/** A project that keeps back what was put aside for it; `i` is its number among all of them. `at` is ISO 8601. */
export function projectRow(i: number, name: string, owners: readonly Owner[], at: string): ProjectRow {
  const members = owners.flatMap(({ id: supplyId, facts }) => {
    const mine = oldReservationsOf(facts).filter(({ project }) => fold(project) === fold(name));
    const amount = mine.reduce((sum, each) => sum + each.amount, 0);
    return amount > 0 ? [{ supplyId, amount }] : [];
  });
  members.sort((a, b) => (a.supplyId < b.supplyId ? -1 : 1));
  return {
    id: `project-${i + 1}`,
    version: 1,
    body: {
      sort: 'group',
      what: 'project',
      name,
      note: '',
      source: '',
      acquiredOn: null,
      members,
      matches: [],
      dissolvedOn: null,
      home: null,
    },
    createdAt: at,
    updatedAt: at,
    removedAt: null,
  };
}

/** The projects of all that was put aside. */
export const projectsOf = (owners: readonly Owner[], at: string): ProjectRow[] =>
  [...projectNames(owners).values()].map((name, i) => projectRow(i, name, owners, at));
