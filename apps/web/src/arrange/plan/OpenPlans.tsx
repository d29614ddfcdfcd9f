import type { PlanBody, RecordView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { recordsOf, useRecords, type Stash } from '../../api/queries';
import { many } from '../../copy/words';
import { colour, LIP, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';
import { useGradually } from '../../ui/useGradually';
import { useCarrying } from './usePlan';

/** Plans that were begun and are not done: gone on with from here, on any device. */
export function OpenPlans({ stash }: { readonly stash: Stash }) {
  const { data } = useRecords();
  return recordsOf(data, 'plan').map((plan) => <Open key={plan.id} plan={plan} stash={stash} />);
}

function Open({
  plan,
  stash,
}: {
  readonly plan: RecordView & { readonly body: PlanBody };
  readonly stash: Stash;
}) {
  // The page comes first.
  const carrying = useCarrying(plan.body, useGradually(1) > 0 ? stash : undefined);
  const left = carrying?.steps.length;
  return (
    <View style={styles.plan} role="region" aria-label={`Begun: ${plan.body.name}`}>
      <View style={styles.words}>
        <Txt look="strong">{plan.body.name}</Txt>
        <Txt look="quiet">
          {left === undefined ? ' ' : left === 0 ? 'all of it is done' : `${many(left, 'lift')} to go`}
        </Txt>
      </View>
      <Button
        label={left === 0 ? 'Look' : 'Go on'}
        says={`Go on with ${plan.body.name}`}
        main={left !== 0}
        onPress={() => router.push({ pathname: '/arrange/plan', params: { plan: plan.id } })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  plan: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderRadius: radius.s,
    borderLeftWidth: LIP,
    borderLeftColor: colour.lip,
  },
  words: { flex: 1 },
});
