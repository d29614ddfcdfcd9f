import { StyleSheet, View } from 'react-native';
import { colour, space } from '../../theme/tokens';
import { Txt } from '../../ui/Txt';

interface TableProps {
  readonly label: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Figures in rows and columns; the first column names the row. */
export function Table({ label, headings, rows }: TableProps) {
  return (
    <View role="table" aria-label={label}>
      <View role="row" style={styles.row}>
        {headings.map((heading) => (
          <View key={heading} role="columnheader" style={styles.cell}>
            <Txt look="quiet">{heading}</Txt>
          </View>
        ))}
      </View>
      {rows.map((row, i) => (
        <View key={i} role="row" style={styles.row}>
          {row.map((cell, k) => (
            <View key={k} role={k === 0 ? 'rowheader' : 'cell'} style={styles.cell}>
              <Txt>{cell}</Txt>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: space.s, borderBottomWidth: 1, borderBottomColor: colour.hairline },
  cell: { flex: 1, minWidth: 0, paddingVertical: 6 },
});
