import {
  doubles,
  doublesTogether,
  forgottenTen,
  heldByGroups,
  isOnWall,
  KINDS,
  kindsTogether,
  missingOfKind,
  missingPartners,
  neverUsed,
  outOfSight,
  roomLeft,
  runningRow,
  soonestFirst,
  type Kind,
  type RunningRow,
  idleDays,
  type FullWhen,
} from '@red-shelf/core';
import { PREFERENCES_ID, type GapsView, type SupplyView } from '@red-shelf/contract';
import { breathe } from '../db/tx';
import { stashList, type Context } from './context';
import { keptOf } from './kept';
import { recordsNow, wallNow } from './since';
import { useDigest, type UseDigest } from './useDigest';

const dayOf = (time: number): string => new Date(time).toISOString().slice(0, 10);
const daysOf = (full: FullWhen | null) =>
  full && { median: dayOf(full.median), low: dayOf(full.low), high: dayOf(full.high) };

/** So many supplies are looked at before others are answered. */
const AT_ONCE = 200;

/** What is running out, missing, forgotten, doubled, and where room ends: worked out from the stash and its ledger. */
export async function gapsNow(context: Context): Promise<GapsView> {
  const usesOf = await useDigest(context.store).read();
  const [supplies, wall, records] = await Promise.all([
    stashList(context).all(),
    wallNow(context),
    recordsNow(context),
  ]);
  const now = Date.parse(context.ports.now());
  const today = { now, day: dayOf(now) };
  const ranges = records.flatMap(({ id, version, body }) =>
    body.sort === 'range' ? [{ ...body, id, version }] : [],
  );
  const held = heldByGroups(
    records.flatMap(({ id, body }) => (body.sort === 'group' ? [{ ...body, id }] : [])),
  );
  const kept = (id: string): number => (held.get(id) ?? []).reduce((sum, { amount }) => sum + amount, 0);
  const running: RunningRow<SupplyView>[] = [];
  for (const [i, supply] of supplies.entries()) {
    const row = rowOf(supply, usesOf(supply.id), today, kept(supply.id));
    if (row) running.push(row);
    // The first time each is worked out; others are answered meanwhile.
    if (i % AT_ONCE === AT_ONCE - 1) await breathe();
  }
  running.sort(soonestFirst);
  await breathe();
  const keep = keptOf(context.store);
  const kinds = [...byForm(supplies)];
  const colours = kindsTogether(
    kinds.map(([kind, forms]) => {
      const own = [...forms.values()].flat();
      const of = ranges.filter((range) => range.kind === kind);
      const asked = [...own, ...of.map(({ id, version }) => `${id} ${version}`)];
      return keep(`missing ${kind}`, asked, () => missingOfKind(own, of, kind));
    }),
  );
  await breathe();
  const named = ({
    id,
    maker,
    name,
    kind,
  }: (typeof ranges)[number] | (typeof colours.ranges)[number]['range']) => ({
    ...{ id, maker, name, kind },
  });
  return {
    running: running.map(({ item, state, runsOut, advice }) => ({
      ...{ question: 'running', supplyId: item.id, state, runsOut, advice },
    })),
    colours: colours.holes.map(({ nearest, fill, kind, hex, weight, difference }) => ({
      ...{ question: 'colours', kind, hex, weight, difference },
      nearestId: nearest?.id ?? null,
      fill: fill && { ...fill, range: named(fill.range) },
    })),
    ranges: colours.ranges.map(({ range, owned, usedUp, missing }) => ({
      ...{ question: 'ranges', range: named(range), owned, usedUp, missing: [...missing] },
    })),
    partners: partnersOf(supplies, habitsIn(records)),
    unused: unusedOf(supplies, now, isDeep(wall)),
    doubles: doublesTogether(
      // Only what is of one form can be there twice.
      kinds.flatMap(([kind, forms]) =>
        [...forms].map(([form, own]) => keep(`doubles ${kind} ${form}`, own, () => doubles(own))),
      ),
    ).map((row) => ({
      ...{ question: 'doubles', why: row.why, supplyIds: row.items.map(({ id }) => id) },
      ...(row.why === 'spares' ? { have: row.have, meant: row.meant } : {}),
      ...(row.why === 'alike' ? { difference: row.difference } : {}),
    })),
    room: roomOf(supplies, wall, now),
  };
}

/** The supplies of each kind, form by form; read once, since reading ten thousand takes its time. */
function byForm(supplies: readonly SupplyView[]): Map<Kind, Map<string, SupplyView[]>> {
  const kinds = new Map(KINDS.map((kind) => [kind, new Map<string, SupplyView[]>()]));
  for (const supply of supplies) {
    const forms = kinds.get(supply.kind);
    const own = forms?.get(supply.form);
    if (own) own.push(supply);
    else forms?.set(supply.form, [supply]);
  }
  return kinds;
}

type Uses = ReturnType<Awaited<ReturnType<UseDigest['read']>>>;
interface KnownRow {
  readonly uses: Uses;
  readonly day: string;
  readonly kept: number;
  readonly row: RunningRow<SupplyView> | null;
}
const rows = new WeakMap<SupplyView, KnownRow>();

/** Whether a supply runs out; worked out once a day for what was not touched. */
function rowOf(
  supply: SupplyView,
  uses: Uses,
  { now, day }: { readonly now: number; readonly day: string },
  kept: number,
): KnownRow['row'] {
  const known = rows.get(supply);
  if (known?.uses === uses && known.day === day && known.kept === kept) return known.row;
  const row = runningRow(supply, uses, now, kept);
  rows.set(supply, { uses, day, kept, row });
  return row;
}

type Wall = Awaited<ReturnType<typeof wallNow>>;

/** How the person said they buy partners. */
const habitsIn = (records: Awaited<ReturnType<typeof recordsNow>>) => {
  const kept = records.find(({ id }) => id === PREFERENCES_ID)?.body;
  return kept?.sort === 'preferences' ? kept.partnerHabits : undefined;
};

/** Partners that are missing, a row for each supply. */
function partnersOf(
  supplies: readonly SupplyView[],
  said: Parameters<typeof missingPartners>[1],
): GapsView['partners'] {
  const rows = new Map<string, GapsView['partners'][number]>();
  for (const { item, partner, out } of missingPartners(supplies, said)) {
    const row = rows.get(item.id) ?? { question: 'partners', supplyId: item.id, lacks: [] };
    row.lacks.push({ name: partner.name, kind: partner.kind, form: partner.form ?? null, out });
    rows.set(item.id, row);
  }
  return [...rows.values()];
}

const isDeep = ({ units }: Wall): ((unitId: string) => boolean) => {
  const deep = new Set(units.filter(({ facts }) => facts.reach === 'far').map(({ id }) => id));
  return (unitId) => deep.has(unitId);
};

/** What was never used, and this week's ten that are forgotten. */
function unusedOf(
  supplies: readonly SupplyView[],
  now: number,
  deep: (unitId: string) => boolean,
): GapsView['unused'] {
  const never = neverUsed(supplies, now);
  const known = new Set(never.map(({ item }) => item.id));
  const ten = forgottenTen(supplies, now, outOfSight(deep)).filter(({ id }) => !known.has(id));
  return [
    ...ten.map((item) => ({
      ...{ question: 'unused' as const, supplyId: item.id, why: 'forgotten' as const },
      days: Math.floor(idleDays(item, now)),
    })),
    ...never.map(({ item, why, days }) => ({ question: 'unused' as const, supplyId: item.id, why, days })),
  ];
}

function roomOf(supplies: readonly SupplyView[], { units }: Wall, now: number): GapsView['room'] {
  const there = new Map<string, { cell: number | null; since: number }[]>();
  for (const { holdings, createdAt } of supplies)
    for (const { spot } of holdings)
      if (spot) {
        const list = there.get(spot.unitId) ?? [];
        list.push({ cell: spot.cell, since: Date.parse(createdAt) });
        there.set(spot.unitId, list);
      }
  return roomLeft(units.filter(isOnWall), (id) => there.get(id) ?? [], now).map(
    ({ unit, filled, of, full }) => ({
      ...{ question: 'room' as const, unitId: unit.id, filled, of, full: daysOf(full) },
    }),
  );
}
