import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Dormant } from './Dormant';
import { Reserve } from './Reserve';
import { FreeAside } from './FreeAside';

interface ManageProps {
  readonly supply: SupplyView;
  readonly onEdit: () => void;
  readonly onRemoved: () => void;
}

/** The rest of what is done to a supply, after its stock: edit it; and folded, copy it in another colour, put some aside for a project, take it out of the stash. */
export function Manage({ supply, onEdit, onRemoved }: ManageProps) {
  const [asking, setAsking] = useState<'reserve' | 'sleep' | null>(null);
  const [more, setMore] = useState(false);
  const flip = (what: 'reserve' | 'sleep') => () => setAsking(asking === what ? null : what);
  const done = () => setAsking(null);
  const remove = useChange(() =>
    order(routes.removeSupply, { id: supply.id, body: { version: supply.version } }),
  );
  return (
    <View style={styles.box}>
      <View style={styles.acts}>
        <Button label="Edit" grow onPress={onEdit} />
        <Button
          label={more ? 'Less' : 'More'}
          says={more ? 'Fewer acts' : 'More acts'}
          grow
          onPress={() => setMore(!more)}
        />
      </View>
      <View style={[styles.acts, !more && styles.folded]}>
        <Button
          label="Another colour"
          says="Add the same thing in another colour"
          grow
          onPress={() => router.push({ pathname: '/stash/add', params: { like: supply.id } })}
        />
        <Button label="Put aside" grow onPress={flip('reserve')} />
        <Button
          label="Let it sleep"
          says="Let it sleep until its purpose may come back"
          grow
          onPress={flip('sleep')}
        />
        <Button
          label="Remove"
          grow
          busy={remove.isPending}
          onPress={() => remove.mutate(undefined, { onSuccess: onRemoved })}
        />
      </View>
      {asking === 'reserve' && <Reserve supply={supply} onDone={done} />}
      {asking === 'sleep' && <Dormant supply={supply} onDone={done} />}
      <FreeAside supplyId={supply.id} />
    </View>
  );
}

const styles = StyleSheet.create({
  folded: { display: 'none' },
  box: { gap: space.s },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
