import type { GapQuestion } from '@red-shelf/contract';
import { addMonths } from 'date-fns/addMonths';
import { format } from 'date-fns/format';
import { Pressable, StyleSheet, View } from 'react-native';
import { space, TOUCH } from '../theme/tokens';
import { Txt } from '../ui/Txt';
import { useGapActs } from './acts';

interface HushProps {
  readonly question: GapQuestion;
  readonly about: string;
  /** What the row is about, for those who hear it. */
  readonly name: string;
}

/** A question that is not asked for a month, or never again. */
export function Hush({ question, about, name }: HushProps) {
  const { hush } = useGapActs();
  return (
    <View style={styles.row}>
      <Quiet
        label="later"
        says={`Ask in a month: ${name}`}
        onPress={() => hush(question, about, format(addMonths(new Date(), 1), 'yyyy-MM-dd'))}
      />
      <Quiet label="never" says={`Never ask again: ${name}`} onPress={() => hush(question, about, null)} />
    </View>
  );
}

function Quiet({ label, says, onPress }: { label: string; says: string; onPress: () => void }) {
  return (
    <Pressable role="button" aria-label={says} onPress={onPress} style={styles.quiet}>
      <Txt look="quiet" style={styles.word}>
        {label}
      </Txt>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  quiet: {
    minHeight: TOUCH,
    minWidth: TOUCH,
    justifyContent: 'center',
    alignItems: 'center',
    paddingHorizontal: space.xs,
  },
  word: { textDecorationLine: 'underline' },
});
