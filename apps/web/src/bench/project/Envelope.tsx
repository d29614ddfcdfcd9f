import { HAND_ID } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { parseISO } from 'date-fns/parseISO';
import { StyleSheet, View } from 'react-native';
import { many } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

interface EnvelopeProps {
  readonly body: GroupBody;
  readonly members: readonly SupplyView[];
  readonly onKeep: (next: GroupBody) => void;
}

const isOut = ({ holdings }: SupplyView): boolean => holdings.some(({ spot }) => spot?.unitId === HAND_ID);

/** Work in progress: what is on the bench for it is packed into one envelope, and unpacked when it goes on. */
export function Envelope({ body, members, onKeep }: EnvelopeProps) {
  const { awaySince, away = [] } = body;
  const out = members.filter(isOut);
  if (awaySince)
    return (
      <Note>
        <Txt>{`${many(away.length, 'thing')} packed into its envelope, ${formatDistanceToNow(parseISO(awaySince))} ago.`}</Txt>
        <View style={styles.row}>
          <Button
            label="Unpack it onto the bench"
            onPress={() => onKeep({ ...body, away: [], awaySince: null })}
          />
        </View>
      </Note>
    );
  if (out.length === 0) return null;
  return (
    <View style={styles.row}>
      <Button
        label={`Pack ${many(out.length, 'thing')} into its envelope`}
        onPress={() =>
          onKeep({ ...body, away: out.map(({ id }) => id), awaySince: new Date().toISOString() })
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
