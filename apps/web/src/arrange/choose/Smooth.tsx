import type { ArrangeRequest, Strips } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../../api/client';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { keys } from '../../api/list';
import type { Stash } from '../../api/queries';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { ColourThreads } from '../../ui/ColourThreads';
import { Range } from '../../ui/Range';
import { Txt } from '../../ui/Txt';

interface SmoothProps {
  readonly stash: Stash;
  readonly request: Pick<ArrangeRequest, 'kinds' | 'recipes'> & {
    readonly scheme: NonNullable<ArrangeRequest['scheme']>;
  };
  /** While the arranging itself is worked out, which comes first. */
  readonly wait: boolean;
  /** How the person's own rainbow stands; null where another order is tried. */
  readonly mine: { readonly smooth: number; readonly lightness: string } | null;
  readonly onChange: (change: { smooth?: number; lightness?: 'light-first' | 'dark-first' }) => void;
}

export const stripsKey = [...keys.arrange, 'strips'] as const;

/** So long a thumb rests before what follows is worked out anew. */
const REST_MS = 350;

/** Between the order of lightness and the smoothest path: the strip and both figures follow the thumb. */
export function Smooth({ stash, request: { kinds, recipes, scheme }, wait, mine, onChange }: SmoothProps) {
  const keep = usePreferenceChange();
  const { smooth = 0, ...rest } = scheme;
  const [thumb, setThumb] = useState(smooth);
  useEffect(() => setThumb(smooth), [smooth]);
  useEffect(() => {
    if (thumb === smooth) return undefined;
    const timer = setTimeout(() => onChange({ smooth: thumb }), REST_MS);
    return () => clearTimeout(timer);
  });
  const asked = { kinds, ...(recipes ? { recipes } : {}), scheme: rest };
  const { data } = useQuery({
    queryKey: [...stripsKey, asked],
    queryFn: ({ signal }) => call(routes.strips, { body: asked, signal }),
    enabled: !wait,
    placeholderData: keepPreviousData,
  });
  const stop = data && nearestStop(data, thumb);
  const row = useMemo(
    () => (data && stop ? stop.row.flatMap((i) => stash.byId.get(data.ids[i] ?? '') ?? []) : []),
    [data, stop, stash],
  );
  const dark = scheme.lightness === 'dark-first';
  const way = dark ? 'dark to light' : 'light to dark';
  return (
    <View style={styles.box}>
      <View style={styles.chips} role="radiogroup" aria-label="Order inside a family">
        <Chip label="light to dark" on={!dark} onPress={() => onChange({ lightness: 'light-first' })} />
        <Chip label="dark to light" on={dark} onPress={() => onChange({ lightness: 'dark-first' })} />
      </View>
      <ColourThreads items={row} says={`${row.length} things in this order`} height={44} />
      <Range
        label="How smooth"
        value={thumb}
        most={1}
        step={0.1}
        onChange={setThumb}
        says={saySmooth(thumb, way)}
      />
      <View style={styles.ends}>
        <Txt look="quiet">{way}</Txt>
        <Txt look="strong">{thumb > 0 && thumb < 1 ? saySmooth(thumb, way) : ''}</Txt>
        <Txt look="quiet">smoothest</Txt>
      </View>
      {stop && (
        <Txt look="quiet">
          {`Mean step from one to the next ${step(stop.meanStep)} (${way} ${step(data.stops[0]?.meanStep)}, smoothest ${step(data.stops.at(-1)?.meanStep)}) · ${share(stop.byLightness)} of each family’s pairs stand ${way}`}
        </Txt>
      )}
      {mine && (mine.smooth !== smooth || mine.lightness !== scheme.lightness) && (
        <Button
          label="Always like this"
          says="Keep this as my own rainbow"
          busy={keep.isPending}
          onPress={() => keep.mutate({ smooth, lightness: scheme.lightness })}
        />
      )}
    </View>
  );
}

const step = (mean: number | null | undefined): string =>
  mean === null || mean === undefined ? '–' : mean.toFixed(1);
const share = (of: number | null): string => (of === null ? '–' : `${Math.round(100 * of)}%`);

/** The strip that was made for the smoothness next to the thumb's. */
const nearestStop = ({ stops }: Strips, smooth: number): Strips['stops'][number] | undefined =>
  [...stops].sort((p, q) => Math.abs(p.smooth - smooth) - Math.abs(q.smooth - smooth))[0];

const saySmooth = (smooth: number, way: string): string =>
  smooth === 0 ? way : smooth === 1 ? 'as smooth as can be' : `${Math.round(100 * smooth)}% smooth`;

const styles = StyleSheet.create({
  box: { gap: space.xs },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  ends: { flexDirection: 'row', justifyContent: 'space-between', gap: space.s },
});
