import { zoneProgress } from '@red-shelf/core';
import type { DealtWith, SupplyView, UnitView } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { unitIdsOf } from '../../api/contents';
import type { Stash } from '../../api/queries';
import { unitTitle } from '../../copy/supply';
import { colour, LIP, space } from '../../theme/tokens';
import { Chip } from '../../ui/Chip';

/** How the address bar names what has no place. */
const NOWHERE = 'none';

/** Whether a thing stands in the zone that is gone through; every thing does when none is chosen. */
export const inZone = (supply: SupplyView, zone: string | undefined, units: readonly UnitView[]): boolean => {
  if (!zone) return true;
  const ids = unitIdsOf(supply).filter((id) => units.some((unit) => unit.id === id));
  return zone === NOWHERE ? ids.length === 0 : ids.includes(zone);
};

/** The rack a thing is counted under: the first one it has something in. */
const zoneOf = (supply: SupplyView): string | null => unitIdsOf(supply)[0] ?? null;

interface ZonesProps {
  readonly done: readonly DealtWith[];
  /** Things still to decide on. */
  readonly waiting: readonly SupplyView[];
  readonly stash: Stash;
}

/** How far sorting out has come, rack by rack; choosing one narrows the pile to it. */
export function Zones({ done, waiting, stash }: ZonesProps) {
  const { zone } = useLocalSearchParams<{ zone?: string }>();
  const { wall, byId } = stash;
  const zones = useMemo(
    () =>
      zoneProgress(
        waiting.map(zoneOf),
        done.map(({ supplyId, unitId }) => {
          const supply = byId.get(supplyId);
          return unitId === undefined ? (supply ? zoneOf(supply) : null) : unitId;
        }),
        wall.units.map(({ id }) => id),
      ),
    [waiting, done, byId, wall],
  );
  const titles = new Map(wall.units.map((unit) => [unit.id, unitTitle(unit)]));
  const all = { decided: done.length, of: done.length + waiting.length };
  return (
    <View style={styles.box} role="radiogroup" aria-label="Rack by rack">
      <Zone name="everywhere" id="" {...all} chosen={zone ?? ''} />
      {zones.map(({ unitId, ...far }) => (
        <Zone
          key={unitId}
          name={(unitId && titles.get(unitId)) ?? 'without a place'}
          id={unitId ?? NOWHERE}
          {...far}
          chosen={zone ?? ''}
        />
      ))}
    </View>
  );
}

interface ZoneProps {
  readonly name: string;
  readonly id: string;
  readonly chosen: string;
  readonly decided: number;
  readonly of: number;
}

function Zone({ name, id, chosen, decided, of }: ZoneProps) {
  return (
    <View style={styles.zone}>
      <Chip
        label={`${name}: ${decided} of ${of}`}
        on={chosen === id}
        onPress={() => router.setParams({ zone: id })}
      />
      <View style={styles.track}>
        <View style={[styles.done, { width: `${(100 * decided) / Math.max(1, of)}%` }]} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  zone: { gap: 2 },
  track: { height: LIP, backgroundColor: colour.hairline },
  done: { height: LIP, backgroundColor: colour.action },
});
