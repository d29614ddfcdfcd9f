import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { parseISO } from 'date-fns/parseISO';
import { StyleSheet, View } from 'react-native';
import { listOf, many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

/** What has parts that have to be there: a kit in its own order, and what is taken along on a journey. */
export const isWhole = ({ what, dissolvedOn }: GroupBody): boolean =>
  (what === 'kit' || what === 'travel') && dissolvedOn === null;

interface WholeProps {
  readonly body: GroupBody;
  readonly onKeep: (next: GroupBody) => void;
}

/** One part of it: there or not, and its turn. */
export function Whole({ body, supply, onKeep }: WholeProps & { readonly supply: SupplyView }) {
  const { members, away = [], what } = body;
  const at = members.findIndex(({ supplyId }) => supplyId === supply.id);
  const gone = away.includes(supply.id);
  const isOut = what === 'travel' && Boolean(body.awaySince);
  const flip = (): void => {
    const left = gone ? away.filter((id) => id !== supply.id) : [...away, supply.id];
    // What came back last ends the journey.
    onKeep({ ...body, away: left, ...(isOut && left.length === 0 ? { awaySince: null } : {}) });
  };
  const earlier = (): void => {
    const [before, own] = [members[at - 1], members[at]];
    if (before && own)
      onKeep({ ...body, members: members.map((each, i) => (i === at - 1 ? own : i === at ? before : each)) });
  };
  return (
    <View style={styles.row}>
      <Txt look="quiet">{`${at + 1} of ${members.length}${gone ? (isOut ? ', out' : ', missing') : ''}`}</Txt>
      {(what === 'kit' || isOut) && (
        <Button
          label={gone ? (isOut ? 'It is back' : 'It is there') : isOut ? 'Still out' : 'Missing'}
          says={`${supply.name}: ${gone ? (isOut ? 'it is back' : 'it is there') : isOut ? 'still out' : 'missing'}`}
          onPress={flip}
        />
      )}
      {at > 0 && <Button label="Earlier" says={`${supply.name} earlier`} onPress={earlier} />}
    </View>
  );
}

/** Whether all of it is there; a travel list is signed out as one, and asks for everything back. */
export function AllThere({
  body,
  members,
  onKeep,
}: WholeProps & { readonly members: readonly SupplyView[] }) {
  const { away = [], awaySince, what } = body;
  const missing = members.filter(({ id }) => away.includes(id));
  const names = listOf(missing.slice(0, 4).map(({ name }) => name));
  if (what === 'kit')
    return missing.length > 0 ? (
      <Note sort="attention">{`${many(missing.length, 'part')} of ${members.length} missing: ${names}${missing.length > 4 ? ' and others' : ''}.`}</Note>
    ) : null;
  if (!awaySince)
    return members.length === 0 ? null : (
      <View style={styles.row}>
        <Button
          label={`Take all ${members.length} along`}
          main
          onPress={() =>
            onKeep({ ...body, away: members.map(({ id }) => id), awaySince: new Date().toISOString() })
          }
        />
      </View>
    );
  return (
    <>
      <Note sort="attention">
        {`Out for ${formatDistanceToNow(parseISO(awaySince))}: ${many(missing.length, 'thing')} of ${members.length} to come back, ${names}${missing.length > 4 ? ' and others' : ''}.`}
      </Note>
      <View style={styles.row}>
        <Button
          label="All of it is back"
          main
          onPress={() => onKeep({ ...body, away: [], awaySince: null })}
        />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
