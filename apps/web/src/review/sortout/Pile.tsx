import { sortOutOrder, spaceFreed, VERDICTS, type Doubt, type Verdict } from '@red-shelf/core';
import type { DealtWith, SupplyView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { useStash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayLastUsed } from '../../copy/history';
import { sayStock, sayWhat } from '../../copy/supply';
import { many } from '../../copy/words';
import { colour, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Columns } from '../../ui/Columns';
import { Flag, Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { Txt } from '../../ui/Txt';
import { useKeys } from '../../ui/useKeys';
import { Salvage } from './Salvage';
import type { Session } from './session';
import { inZone, Zones } from './Zones';
import { useWhere } from '../../api/where';

const WHY: Readonly<Record<Doubt, string>> = {
  'never opened': 'never opened',
  'never used': 'opened, never used',
  'idle a year': 'not used for a year',
  doubled: 'you have its double',
  'half-liked': 'only half liked',
  retired: 'retired by its maker',
  'on trial': 'on trial',
};
const SAY: Readonly<Record<Verdict, string>> = {
  keep: 'Keep',
  'use once': 'Use once',
  'pass on': 'Pass on',
  'let go': 'Let go',
};

const WHAT_IT_DOES =
  'Use once and Pass on keep it in your stash, marked as leaving. Let go takes it out of your stash now; its history stays, and Undo brings it back.';

/** One pile being sorted out: the next thing, four verdicts, and what they free so far. */
export function Pile({
  session,
  done,
  supplies,
}: {
  readonly session: Session;
  /** What was decided so far. */
  readonly done: readonly DealtWith[];
  readonly supplies: readonly SupplyView[];
}) {
  const { stash } = useStash();
  const where = useWhere(stash);
  const { zone } = useLocalSearchParams<{ zone?: string }>();
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const decided = useMemo(() => new Set(done.map(({ supplyId }) => supplyId)), [done]);
  const [opened] = useState(() => Date.now());
  const queue = useMemo(() => sortOutOrder(supplies, opened), [supplies, opened]);
  const units = stash?.wall.units ?? [];
  const waiting = queue.filter(({ item }) => !decided.has(item.id));
  const here = waiting.filter(({ item }) => inZone(item, zone, units));
  const next = here.find(({ item }) => !skipped.has(item.id)) ?? here[0];
  const decide = useChange(({ supply, verdict }: { supply: SupplyView; verdict: Verdict }) =>
    order(routes.decideSupply, {
      id: supply.id,
      body: { version: supply.version, verdict, sessionId: session.id },
    }),
  );
  const finish = useChange(() =>
    order(routes.editRecord, {
      id: session.id,
      body: {
        version: session.version,
        body: { ...session.body, finishedOn: format(new Date(), 'yyyy-MM-dd') },
      },
    }),
  );
  // A verdict on its way must not be given twice; the thing that came after it need not wait for it.
  const deciding = decide.isPending && decide.variables.supply.id === next?.item.id;
  const say = (verdict: Verdict) => {
    if (next && !deciding) decide.mutate({ supply: next.item, verdict });
  };
  useKeys(Object.fromEntries(VERDICTS.map((verdict, i) => [String(i + 1), () => say(verdict)])));
  const freed = spaceFreed(
    done.flatMap(({ verdict, space: took }) => (verdict && took ? [{ verdict, space: took }] : [])),
  );
  const leave = (): void => router.setParams({ session: '', zone: '' });
  const total = done.length + waiting.length;
  return (
    <Page title={session.body.name} aside={`${done.length} of ${total} decided`}>
      <Columns
        first={
          next && stash ? (
            <View style={styles.card}>
              <View style={[styles.swatch, { backgroundColor: next.item.hex }]} />
              <Txt look="page" level={2}>
                {next.item.name}
              </Txt>
              <Txt look="quiet">{sayWhat(next.item)}</Txt>
              <Txt>
                {sayStock(next.item)} · {sayLastUsed(next.item)} · {where(next.item) ?? 'no place'}
              </Txt>
              <View style={styles.row}>
                {next.doubts.map((doubt) => (
                  <Flag key={doubt} label={WHY[doubt]} />
                ))}
                {next.item.facts.collection && <Flag label="collection, leave in peace" />}
              </View>
              <Salvage supply={next.item} />
              <View style={styles.verdicts}>
                {VERDICTS.map((verdict, i) => (
                  <View key={verdict} style={styles.verdict}>
                    <Button
                      label={SAY[verdict]}
                      says={`${SAY[verdict]} (${i + 1})`}
                      main={verdict === 'keep'}
                      disabled={deciding}
                      onPress={() => say(verdict)}
                    />
                  </View>
                ))}
              </View>
              <Txt look="quiet">{WHAT_IT_DOES}</Txt>
              <Button label="Later" onPress={() => setSkipped(new Set([...skipped, next.item.id]))} />
            </View>
          ) : (
            <Note>
              {waiting.length === 0
                ? 'Every thing of this pile is decided.'
                : `Every thing here is decided. ${many(waiting.length, 'thing')} of this pile ${waiting.length === 1 ? 'is' : 'are'} left elsewhere.`}
            </Note>
          )
        }
        second={
          <>
            {stash && session.body.unitId === null && (
              <Zones done={done} waiting={waiting.map(({ item }) => item)} stash={stash} />
            )}
            <View style={styles.box} role="list" aria-label="What it frees">
              {VERDICTS.map((verdict) => (
                <View key={verdict} role="listitem">
                  <Txt>
                    {SAY[verdict]}: {many(freed[verdict].count, 'thing')}
                    {verdict === 'keep' || freed[verdict].count === 0
                      ? ''
                      : `, frees ${many(freed[verdict].slots, 'slot')}, ${Math.round(freed[verdict].alongMm / 10)} cm along the shelf, ${freed[verdict].litres.toFixed(1)} l`}
                  </Txt>
                </View>
              ))}
            </View>
            <View style={styles.row}>
              <Button label="Leave it for now" onPress={leave} />
              <Button
                label="This pile is done"
                main={waiting.length === 0}
                busy={finish.isPending}
                onPress={() => finish.mutate(undefined, { onSuccess: leave })}
              />
            </View>
          </>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  card: {
    gap: space.s,
    padding: space.m,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  swatch: { height: 120, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  verdict: { flexBasis: '45%', flexGrow: 1 },
  verdicts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
