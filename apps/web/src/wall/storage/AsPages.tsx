import type { Sheets } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { sayPages, sayPocket } from '../../copy/fit';
import type { Units } from '../../copy/measure';
import { measure, typed, typedOr, whole } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Field } from '../../ui/Field';
import { Txt } from '../../ui/Txt';

interface AsPagesProps {
  /** Whose sheets they are: what is typed is kept for them. */
  readonly of: string;
  readonly sheets: Sheets;
  readonly units: Units;
}

const MOST_POCKETS = 200;
const START = { pockets: '4', perPocket: '1', page: '', covers: '' };

const pageSaid = (units: Units) =>
  z.object({
    pockets: typed(whole(1, MOST_POCKETS, `A page has 1 to ${MOST_POCKETS} pockets, both sides counted.`)),
    perPocket: typed(whole(1, MOST_POCKETS, `Into a pocket go 1 to ${MOST_POCKETS} sheets.`)),
    page: typedOr(null, measure('length', units)),
    covers: typedOr(null, measure('length', units)),
  });

/** Sheets as the pages of a book: how many pages, and how thick the book gets at its spine. */
export function AsPages({ of, sheets, units }: AsPagesProps) {
  const schema = pageSaid(units);
  const { control, said } = useAsk(`pages.${of}`, schema, START, { live: true });
  const read = schema.safeParse(said);
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        As pages of a book
      </Txt>
      <Txt look="quiet">{sayPocket(sheets, units)}</Txt>
      <View style={styles.fields}>
        <Field control={control} name="pockets" label="Pockets a page" numeric />
        <Field control={control} name="perPocket" label="Sheets a pocket" numeric />
        <Field control={control} name="page" label="Page thickness" hint="0.4 mm, empty" />
        <Field control={control} name="covers" label="Cover thickness" hint="20 mm, rings too" />
      </View>
      {read.success && <Txt look="strong">{sayPages(sheets, read.data, units)}</Txt>}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
