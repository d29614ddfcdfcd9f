import { writeTable } from '@red-shelf/core';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { colour, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { saveFile } from '../../ui/files';
import { Txt } from '../../ui/Txt';
import { Table } from './Table';

interface ChartProps {
  readonly title: string;
  /** What it says, in a sentence: for those who do not see it, and those who do. */
  readonly says: string;
  /** Its twin: the same, figure by figure. */
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Of the file it is saved as. */
  readonly file: string;
  /** Draws it so many px wide. */
  readonly children: (width: number) => ReactNode;
}

/** A chart with its sentence, its table, and its file. */
export function Chart({ title, says, headings, rows, file, children }: ChartProps) {
  const [width, setWidth] = useState(0);
  const [open, setOpen] = useState(false);
  const save = (): void =>
    saveFile(new Blob([writeTable([headings, ...rows])], { type: 'text/csv' }), `${file}.csv`);
  return (
    <View style={styles.box} role="region" aria-label={title}>
      <Txt look="strong" level={2}>
        {title}
      </Txt>
      <Txt>{says}</Txt>
      <View
        role="img"
        aria-label={`${title}. ${says}`}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      >
        {width > 0 && rows.length > 0 && children(width)}
      </View>
      {open && <Table label={title} headings={headings} rows={rows} />}
      {rows.length > 0 && (
        <View style={styles.row}>
          <Button
            label={open ? 'Without the table' : 'As a table'}
            says={`${title}: ${open ? 'without the table' : 'as a table'}`}
            onPress={() => setOpen(!open)}
          />
          <Button label="CSV" says={`${title}: save as CSV`} onPress={save} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: {
    ...{ gap: space.s, padding: space.m, borderRadius: radius.m, borderWidth: 1 },
    ...{ borderColor: colour.hairline, backgroundColor: colour.card },
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
