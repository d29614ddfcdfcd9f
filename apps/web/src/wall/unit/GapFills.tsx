import { gapFills, type GapFill, type Kind, type Size } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '../../api/queries';
import { sayGapFill, sayGapLeft } from '../../copy/room';
import { space } from '../../theme/tokens';
import { KindChips } from '../../ui/KindChips';
import { RowLink } from '../../ui/RowLink';
import { Txt } from '../../ui/Txt';

interface GapFillsProps {
  /** The piece the gap is in. */
  readonly pieceId: string;
  readonly gap: Size;
  /** Everything there is, also what is put away. */
  readonly all: readonly UnitView[];
}

/** What could stand in an empty piece: what is spare already, or sorts of unit by how well they fill it. */
export function GapFills({ pieceId, gap, all }: GapFillsProps) {
  const { units } = usePreferences().preferences;
  const [kind, setKind] = useState<Kind | null>(null);
  const fills = useMemo(
    () =>
      gapFills(
        gap,
        all.filter(({ sort, facts }) => sort === 'unit' && facts.standing === 'spare'),
        kind,
      ),
    [gap, all, kind],
  );
  const go = ({ take: [first] }: GapFill): void => {
    if (!first) return;
    if (first.spare) router.setParams({ unit: first.unit.id });
    else
      router.push({
        pathname: '/rack',
        params: { template: first.unit.facts.template ?? '', within: pieceId },
      });
  };
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        What could stand in it?
      </Txt>
      <KindChips value={kind} onChange={setKind} />
      {fills.length === 0 && <Txt look="quiet">Nothing that holds these goes in.</Txt>}
      {fills.map((fill) => (
        <RowLink
          key={fill.take.map(({ unit }) => unit.id).join(' ')}
          title={sayGapFill(fill)}
          detail={sayGapLeft(fill, units)}
          onPress={() => go(fill)}
        />
      ))}
      <Txt look="quiet">Measure the gap at its narrowest, and what comes with handles by its handles.</Txt>
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space.s } });
