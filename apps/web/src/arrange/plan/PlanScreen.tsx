import { spotsOf, planOf } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useContents } from '../../api/contents';
import { recordsOf, usePreferences, useRecords, useStash } from '../../api/queries';
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
import { placeBack } from './placeFor';
import type { Step } from './step';
import { useCarrying } from './usePlan';

/** A plan carried out lift by lift: each large, with where from and where to; stopped and gone on with at any time. */
export function PlanScreen() {
  const { plan: id } = useLocalSearchParams<{ plan?: string }>();
  const { stash: whole, error } = useStash();
  // The frame shows first; what thousands of lifts need is made ready after it.
  const stash = useGradually(1) > 0 ? whole : undefined;
  const { data: records } = useRecords();
  const plan = recordsOf(records, 'plan').find((each) => each.id === id);
  const carrying = useCarrying(plan?.body, stash);
  /** Lots that were put off, and the lifts made here, the last one first. */
  const [later, setLater] = useState<readonly string[]>([]);
  const [made, setMade] = useState<readonly Step[]>([]);
  const lift = useChange(
    ({ step, back }: { step: Step; back: boolean }) => {
      const lot = stash?.byId
        .get(step.thing.supply.id)
        ?.holdings.find(({ id: each }) => each === step.thing.lot.id);
      const place = !back ? (carrying?.placeOf(step) ?? null) : stash ? placeBack(step, stash) : null;
      return order(routes.placeHolding, {
        id: step.thing.lot.id,
        body: { version: lot?.version ?? step.thing.lot.version, place },
      });
    },
    { silent: true },
  );
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
  const sent = useRef<{ step: Step; back: boolean } | null>(null);
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
  const last = made[0];
  /** What was tapped is not sent twice; but nothing waits for the server. */
  const wasSent = (step: Step, back: boolean): boolean => {
    if (sent.current?.step.lift === step.lift && sent.current.back === back) return true;
    sent.current = { step, back };
    return false;
  };
  /** What was refused may be tapped again. */
  const again = (): void => void (sent.current = null);
  const done = (): void => {
    if (!now || wasSent(now, false)) return;
    lift.mutate(
      { step: now, back: false },
      { onSuccess: () => setMade((all) => [now, ...all]), onError: again },
    );
  };
  const takeBack = (): void => {
    if (!last || wasSent(last, true)) return;
    lift.mutate(
      { step: last, back: true },
      { onSuccess: () => setMade((all) => all.slice(1)), onError: again },
    );
  };
  const putOff = (): void => {
    if (now) setLater((all) => [...all.filter((each) => each !== now.thing.lot.id), now.thing.lot.id]);
  };
  useKeys({ Enter: unlessFocused(done), ' ': unlessFocused(done), u: takeBack, l: putOff });
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
          <LiftCard
            step={now}
            place={carrying.placeOf(now)}
            stash={stash}
            left={steps.length}
            together={inARow(ready)}
          />
          <View style={styles.acts}>
            <Button label="Done" says="Done: it stands there now" main grow onPress={done} />
            <Button label="Later" says="Put this one off" disabled={steps.length < 2} onPress={putOff} />
            <Button label="Take back" says="Take the last lift back" disabled={!last} onPress={takeBack} />
          </View>
          <NextLifts steps={ready.slice(1)} />
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
            make={async () =>
              (await import('../print')).printLifts(
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
          disabled={carrying.done === 0 && made.length === 0}
          busy={turn.isPending}
          onPress={() => turn.mutate(undefined, { onSuccess: () => setMade([]) })}
        />
      </View>
    </Page>
  );
}

/** How many lifts from the next one on go the same way: they are carried together. */
function inARow(steps: readonly Step[]): number {
  const [first] = steps;
  const end = steps.findIndex(
    ({ from, to }) => from?.unitId !== first?.from?.unitId || to?.unitId !== first?.to?.unitId,
  );
  return end < 0 ? steps.length : end;
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
