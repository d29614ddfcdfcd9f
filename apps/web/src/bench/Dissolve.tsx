import { holdsBack } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '../api/queries';
import type { Where } from '../api/where';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { sayKept } from './KitMember';

interface DissolveProps {
  readonly body: GroupBody;
  readonly members: readonly SupplyView[];
  readonly where: Where;
  readonly onKeep: (next: GroupBody) => Promise<unknown>;
  readonly onDone: () => void;
}

/** What becomes of a group that is dissolved: what it keeps back is free, its home takes others, its things stand on their own. */
export function Dissolve({ body, members, where, onKeep, onDone }: DissolveProps) {
  const { units } = usePreferences().preferences;
  const project = body.what === 'project';
  const amountOf = new Map(body.members.map(({ supplyId, amount }) => [supplyId, amount]));
  const freed = (supply: SupplyView): string => {
    const amount = holdsBack(body.what) ? (amountOf.get(supply.id) ?? 0) : 0;
    const place = where(supply);
    return [
      amount > 0 ? `${sayKept(supply, amount, units)} free again` : '',
      place ? `stands in ${place}` : 'has no place yet',
    ]
      .filter(Boolean)
      .join(' · ');
  };
  const dissolve = (): void =>
    void onKeep({ ...body, dissolvedOn: format(new Date(), 'yyyy-MM-dd'), home: null }).then(
      onDone,
      () => undefined,
    );
  return (
    <View style={styles.box} role="group" aria-label={project ? 'Close it' : 'Dissolve it'}>
      <Txt>
        {project
          ? 'What it still keeps back is free again.'
          : body.home
            ? 'Its things stand on their own then, by kind and colour, and its home takes other things too.'
            : 'Its things stand on their own then, by kind and colour.'}
      </Txt>
      <View role="list" style={styles.list}>
        {members.map((supply) => (
          <ReasonRow key={supply.id} supply={supply} reason={freed(supply)} />
        ))}
      </View>
      <Button label={project ? 'Close it' : 'Dissolve it'} main onPress={dissolve} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s }, list: { marginHorizontal: -space.m } });
