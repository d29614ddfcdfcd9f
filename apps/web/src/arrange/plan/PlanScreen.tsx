import { goesOf } from '@red-shelf/core';
import { spotsOf, planOf } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useContents } from '../../api/contents';
import { recordsOf, usePreferences, useRecords, useStash, useStashLater } from '../../api/queries';
import { useSpotName } from '../../api/spotName';
import { useChange } from '../../api/useChange';
import { paperOf } from '../../copy/measure';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { PrintButton } from '../../ui/PrintButton';
import { Txt } from '../../ui/Txt';
import { useGradually } from '../../ui/useGradually';
import { useKeys } from '../../ui/useKeys';
import { Waiting } from '../../ui/Waiting';
import { Kept } from './Kept';
import { LiftCard } from './LiftCard';
import { NextLifts } from './NextLifts';
import { OldLabels } from './OldLabels';
import type { Step } from './step';
import { useLifting } from './useLifting';
import { useCarrying } from './usePlan';
import { printLifts } from '../print';

/** A plan carried out lift by lift: each large, with where from and where to; stopped and gone on with at any time. */
export function PlanScreen() {
  const { plan: id } = useLocalSearchParams<{ plan?: string }>();
  const { error } = useStash();
  // A lift is written down first, and shows a frame later: both together would take long where there are thousands.
  const whole = useStashLater();
  // The frame shows first; what thousands of lifts need is made ready after it.
  const stash = useGradually(1) > 0 ? whole : undefined;
  const { data: records } = useRecords();
  const plan = recordsOf(records, 'plan').find((each) => each.id === id);
  const carrying = useCarrying(plan?.body, stash);
  /** Lots that were put off. */
  const [later, setLater] = useState<readonly string[]>([]);
  const { done, takeBack, hasMade, forget } = useLifting(stash, carrying);
  const remove = useChange(() =>
    order(routes.removeRecord, { id: id ?? '', body: { version: plan?.version ?? 0 } }),
  );
  const turn = useChange(() => {
    if (!plan) throw new Error('There is no such plan');
    const [to, from] = [spotsOf(plan.body, 'from'), spotsOf(plan.body, 'to')];
    const moves = [...to].map(([lotId, spot]) => ({ lotId, from: from.get(lotId) ?? null, to: spot }));
    return order(routes.editRecord, {
      id: plan.id,
      body: { version: plan.version, body: planOf(plan.body.name, moves) },
    });
  });
  const spotName = useSpotName();
  const { preferences } = usePreferences();
  const steps = carrying?.steps ?? [];
  const contents = useContents(stash);
  /** Whether something stands there still that was put off. */
  const isTaken = ({ thing, to }: Step): boolean => {
    const there = to && to.cell !== null ? contents.get(to.unitId)?.[to.cell] : null;
    return there ? there.lot.id !== thing.lot.id : false;
  };
  const ready = steps.filter((step) => !later.includes(step.thing.lot.id) && !isTaken(step));
  // What was put off comes when nothing else is left.
  const now = ready[0] ?? steps[0];
  const place = useMemo(() => (now && carrying?.placesOf([now])[0]) ?? null, [now, carrying]);
  /** What is carried over with it, itself among it. */
  const go = goesOf(ready)[0] ?? [];
  const putOff = (): void => {
    if (now) setLater((all) => [...all.filter((each) => each !== now.thing.lot.id), now.thing.lot.id]);
  };
  const one = (): void => done(now ? [now] : []);
  useKeys({
    ...{ Enter: unlessFocused(one), ' ': unlessFocused(one), u: takeBack, l: putOff },
    ...(go.length > 1 ? { a: () => done(go) } : {}),
  });
  const leave = (): void => {
    remove.mutate(undefined, { onSuccess: () => router.replace('/arrange') });
  };
  if (!stash || !records) return <Waiting error={error} />;
  if (plan && !carrying) return <Waiting error={null} />;
  if (!plan || !carrying)
    return (
      <Page title="Arranging">
        <Note>This plan is there no more: it was finished, or left as it was.</Note>
        <Button label="To Arrange" onPress={() => router.replace('/arrange')} />
      </Page>
    );
  return (
    <Page title={plan.body.name} aside={`${carrying.done} of ${carrying.of} in place`} narrow>
      {carrying.no && <Note sort="error">{NO_WAY}</Note>}
      <Kept carrying={carrying} stash={stash} />
      {now ? (
        <>
          <LiftCard step={now} place={place} stash={stash} left={steps.length} together={go.length} />
          {go.length > 1 && (
            <Button
              label={`All ${go.length} are there`}
              says={`All ${go.length} that go this way stand there now`}
              onPress={() => done(go)}
            />
          )}
          <View style={styles.acts}>
            <Button label="Done" says="Done: it stands there now" main grow onPress={one} />
            <Button label="Later" says="Put this one off" disabled={steps.length < 2} onPress={putOff} />
            <Button label="Take back" says="Take the last lift back" disabled={!hasMade} onPress={takeBack} />
          </View>
          <NextLifts steps={ready.slice(1)} listed={go.length - 1} />
        </>
      ) : (
        !carrying.no && (
          <>
            <Note>
              <Txt>
                <Txt look="strong">All of it is done.</Txt>{' '}
                {`${many(carrying.done, 'thing')} stand where they were to go. Live with it as long as you like: until you keep it so, all of it can be put back.`}
              </Txt>
            </Note>
            <OldLabels stash={stash} unitIds={plan.body.units} />
          </>
        )
      )}
      <View style={styles.acts}>
        <Button
          label={now ? 'Leave the rest as it is' : 'Keep it so'}
          main={!now}
          busy={remove.isPending}
          onPress={leave}
        />
        {now && (
          <PrintButton
            label="Print the list"
            name="lifts.pdf"
            make={() =>
              printLifts(
                plan.body.name,
                steps,
                (spot) => (spot ? spotName(spot) : 'no place'),
                stash.wall.units,
                paperOf(preferences),
              )
            }
          />
        )}
        <Button
          label="Put all of it back"
          says="Put everything back to where it stood before this plan"
          disabled={carrying.done === 0 && !hasMade}
          busy={turn.isPending}
          onPress={() => turn.mutate(undefined, { onSuccess: forget })}
        />
      </View>
    </Page>
  );
}

/** What has the focus is pressed by Enter and Space; where nothing has, they mean the lift. */
const unlessFocused = (act: () => void) => (): void => {
  const focused = document.activeElement?.closest<HTMLElement>('button, a, [role=button], [role=link]');
  if (focused) focused.click();
  else act();
};

const NO_WAY =
  'There is no way to carry this out as things stand now: two of them would stand in one place. Leave the rest as it is, and plan anew.';

const styles = StyleSheet.create({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
