import { formOf } from '@red-shelf/core';
import { format } from 'date-fns/format';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { isToday } from 'date-fns/isToday';
import { parseISO } from 'date-fns/parseISO';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { awayIn } from '../api/away';
import { useRecords, type Stash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { sayLotAmount } from '../copy/lots';
import { many } from '../copy/words';
import { forgetAll, isBegun } from '../form/draft';
import { useHeldFor } from '../row/HeldForChoice';
import { ReasonRow } from '../row/ReasonRow';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { NewScraps } from './cut/NewScraps';
import { SetCount } from './SetCount';
import { UsedAsk } from './UsedAsk';
import { togetherBack, useOut, usePutBack, type Out } from './useOut';

/** From this hour on the day's work is put away. */
const EVENING = 18;
/** What is out longer than this is asked for at any hour, ms. */
const LONG_MS = 12 * 3_600_000;

const sinceSaid = (at: string): string => {
  const time = parseISO(at);
  return isToday(time) ? `since ${format(time, 'HH:mm')}` : `for ${formatDistanceToNow(time)}`;
};

/** What is in hand, since when; in the evening it asks to be put back, each as its place allows. */
export function OutNow({ stash }: { readonly stash: Stash }) {
  const { data } = useRecords();
  const packed = awayIn(data);
  const all = useOut(stash);
  const out = all.filter(({ supply }) => !packed.has(supply.id));
  const back = togetherBack(out);
  const now = new Date();
  const late =
    out.length > 0 &&
    (now.getHours() >= EVENING ||
      out.some(({ since }) => since !== null && now.getTime() - Date.parse(since) > LONG_MS));
  const putBack = usePutBack();
  return (
    <View role="region" aria-label="Out now" style={styles.part}>
      <Txt look="strong" level={2}>
        Out now
      </Txt>
      {all.length > out.length && (
        <Txt look="quiet">{`${many(all.length - out.length, 'thing is', 'things are')} packed in envelopes of projects.`}</Txt>
      )}
      {out.length === 0 && (
        <Note>
          Nothing is out. A thing goes “to the bench” from its place on the wall, or from its own page.
        </Note>
      )}
      {late && (
        <Note sort="attention">{`${many(out.length, 'thing')} still out: put back what is done with.`}</Note>
      )}
      {out.length > 0 && (
        <View role="list" style={styles.list}>
          {out.map((each) => (
            <OutRow
              key={each.lot.id}
              out={each}
              stash={stash}
              onBack={() => putBack.mutate(togetherBack([each]))}
            />
          ))}
        </View>
      )}
      {back.length > 1 && (
        <View style={styles.row}>
          <Button
            label={`Put ${back.length === out.length ? 'all' : many(back.length, 'thing')} back`}
            main={late}
            busy={putBack.isPending}
            onPress={() => putBack.mutate(back)}
          />
        </View>
      )}
    </View>
  );
}

/** One thing in hand: what was used of it, and back with it. */
function OutRow({
  out: { supply, lot, since, back },
  stash,
  onBack,
}: {
  readonly out: Out;
  readonly stash: Stash;
  readonly onBack: () => void;
}) {
  const spotName = useSpotName();
  const [asking, setAsking] = useState(() => isBegun(`used.${lot.id}`));
  const { counting } = formOf(supply.kind, supply.form);
  const heldFor = useHeldFor(supply, true);
  const use = useChange(() =>
    order(routes.actOnSupply, { id: supply.id, body: { act: 'use', amount: 1, ...heldFor.said } }),
  );
  const name = back ? spotName({ ...back, rank: 0 }) : '';
  return (
    <ReasonRow
      supply={supply}
      reason={[sayLotAmount(supply, lot), since ? sinceSaid(since) : ''].filter(Boolean).join(' · ')}
      below={
        <>
          {asking && (
            <UsedAsk
              supply={supply}
              lot={lot}
              onDone={() => {
                forgetAll(`used.${lot.id}`);
                setAsking(false);
              }}
            />
          )}
          {/* What was cut off it goes into a pocket. */}
          <NewScraps supply={supply} stash={stash} />
        </>
      }
    >
      {lot.as === 'whole' && counting === 'fill' ? (
        <Button
          label="Used a bit"
          says={`Used a bit of ${supply.name}`}
          onPress={() => use.mutate(undefined)}
        />
      ) : (
        <Button
          label="Used…"
          says={`Say what was used of ${supply.name}`}
          onPress={() => setAsking(!asking)}
        />
      )}
      <SetCount supply={supply} />
      {back ? (
        <Button
          label={back.exact ? `Back to ${name}` : `Into ${name}, near its place`}
          says={`Put ${supply.name} back`}
          onPress={onBack}
        />
      ) : (
        <Button
          label="Put away"
          says={`Put ${supply.name} away`}
          onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
        />
      )}
    </ReasonRow>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { backgroundColor: colour.card, marginHorizontal: -space.m },
});
