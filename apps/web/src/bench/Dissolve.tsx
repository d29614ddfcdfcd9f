import { holdsBack } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../api/queries';
import type { Where } from '../api/where';
import { many } from '../copy/words';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { sayKept } from './KitMember';
import { togetherBack, useOut, usePutBack } from './useOut';

interface DissolveProps {
  readonly body: GroupBody;
  readonly members: readonly SupplyView[];
  readonly where: Where;
  readonly stash: Stash;
  readonly onKeep: (next: GroupBody) => Promise<unknown>;
  readonly onDone: () => void;
}

/** What becomes of a group that is dissolved: what it keeps back is free, its home takes others, its things stand on their own. */
export function Dissolve({ body, members, where, stash, onKeep, onDone }: DissolveProps) {
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
  // What is out for it, in its envelope or beside it, goes back with it.
  const out = useOut(stash);
  const back = project
    ? togetherBack(out.filter(({ supply }) => members.some(({ id }) => id === supply.id)))
    : [];
  const putBack = usePutBack();
  const dissolve = async (): Promise<void> => {
    try {
      if (back.length > 0) await putBack.mutateAsync(back);
      const dissolvedOn = format(new Date(), 'yyyy-MM-dd');
      await onKeep({ ...body, dissolvedOn, home: null, away: [], awaySince: null });
      onDone();
    } catch {
      // The change has said what was refused; it stays open.
    }
  };
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
      <Button
        label={
          back.length > 0
            ? `Close it, ${many(back.length, 'thing')} back in place`
            : project
              ? 'Close it'
              : 'Dissolve it'
        }
        main
        onPress={() => void dissolve()}
      />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s }, list: { marginHorizontal: -space.m } });
