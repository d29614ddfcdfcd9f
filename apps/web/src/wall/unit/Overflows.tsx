import type { UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import { countIn, useContents } from '../../api/contents';
import { useStash } from '../../api/queries';
import { unitTitle } from '../../copy/supply';
import { many } from '../../copy/words';
import { RowLink } from '../../ui/RowLink';

interface OverflowsProps {
  readonly unit: UnitView;
  readonly units: readonly UnitView[];
}

/** Where what is too much for a unit goes: listed with it, so that it is not forgotten there. */
export function Overflows({ unit, units }: OverflowsProps) {
  const contents = useContents(useStash().stash);
  const takers = units.filter(({ facts }) => facts.overflowOf === unit.id);
  if (takers.length === 0) return null;
  return (
    <View role="list" aria-label="What is too much for it">
      {takers.map((each) => (
        <RowLink
          key={each.id}
          title={`What is too much for it goes to ${unitTitle(each)}`}
          detail={`${many(countIn(contents.get(each.id)), 'thing')} there now`}
          onPress={() => router.setParams({ unit: each.id })}
        />
      ))}
    </View>
  );
}
