import { findGaps, formOf } from '@red-shelf/core';
import type { GapQuestion, GapsView } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { useCallback, useMemo } from 'react';
import { call, routes } from '../api/client';
import { keys } from '../api/list';
import { recordsOf, useRecords, type Stash } from '../api/queries';

/** What tells rows of one question apart. */
export const aboutOf = {
  running: ({ supplyId }: GapsView['running'][number]) => supplyId,
  colours: ({ kind, hex }: GapsView['colours'][number]) => `${kind} ${hex}`,
  ranges: ({ range }: GapsView['ranges'][number]) => range.id,
  partners: ({ supplyId }: GapsView['partners'][number]) => supplyId,
  unused: ({ supplyId }: GapsView['unused'][number]) => supplyId,
  doubles: ({ supplyIds }: GapsView['doubles'][number]) => supplyIds.join(' '),
  room: ({ unitId }: GapsView['room'][number]) => unitId,
} as const;

const NONE: GapsView = {
  running: [],
  colours: [],
  ranges: [],
  partners: [],
  unused: [],
  doubles: [],
  room: [],
};

/** What the stash alone says while nobody answers: what is out and low. */
function fromStash({ supplies }: Stash): GapsView {
  const { out, low } = findGaps(supplies.map((supply) => ({ ...supply, placed: true })));
  return {
    ...NONE,
    running: [...out, ...low].map(({ id, kind, form, stock }) => ({
      ...{ question: 'running', supplyId: id, runsOut: null },
      state: stock.state === 'out' ? 'out' : 'low',
      advice: { do: 'buy', amount: formOf(kind, form).usualPurchase, bigger: false },
    })),
  };
}

/** The six questions: as the server works them out, without what is hushed and what is settled meanwhile. */
export function useGaps(stash: Stash | undefined): {
  readonly gaps: GapsView | null;
  readonly away: boolean;
  /** Whether something is asked still: it was neither put off nor switched off. */
  readonly isAsked: (question: GapQuestion, about: string) => boolean;
} {
  const { data: records } = useRecords();
  const { data, error } = useQuery({
    queryKey: keys.gaps,
    queryFn: () => call(routes.gaps, {}),
    placeholderData: keepPreviousData,
  });
  const hushed = useMemo(() => {
    const today = format(new Date(), 'yyyy-MM-dd');
    const now = recordsOf(records, 'hush').filter(({ body: { until } }) => until === null || until > today);
    return new Set(now.map(({ body: { question, about } }) => `${question} ${about}`));
  }, [records]);
  const isAsked = useCallback(
    (question: GapQuestion, about: string) => !hushed.has(`${question} ${about}`),
    [hushed],
  );
  const gaps = useMemo(() => {
    const all = data ?? (error && stash ? fromStash(stash) : null);
    return all && stash ? open(all, stash, isAsked) : null;
  }, [data, error, stash, isAsked]);
  return { gaps, away: error !== null && !data, isAsked };
}

function open(
  all: GapsView,
  { byId, wall }: Stash,
  asked: (question: GapQuestion, about: string) => boolean,
): GapsView {
  const here = (id: string): boolean => byId.get(id) !== undefined;
  return {
    running: all.running.filter((row) => {
      const stock = byId.get(row.supplyId)?.stock;
      // What was bought a moment ago is not out any more.
      return (
        stock &&
        (row.state === 'soon' || row.state === 'kept' || stock.state !== 'ok') &&
        asked('running', aboutOf.running(row))
      );
    }),
    colours: all.colours.filter((row) => asked('colours', aboutOf.colours(row))),
    ranges: all.ranges.filter((row) => asked('colours', aboutOf.ranges(row))),
    partners: all.partners.filter((row) => here(row.supplyId) && asked('partners', aboutOf.partners(row))),
    unused: all.unused.filter((row) => here(row.supplyId) && asked('unused', aboutOf.unused(row))),
    doubles: all.doubles.filter((row) => row.supplyIds.every(here) && asked('doubles', aboutOf.doubles(row))),
    room: all.room.filter(
      (row) => wall.units.some(({ id }) => id === row.unitId) && asked('room', aboutOf.room(row)),
    ),
  };
}
