import type { ImportChoices, ImportPreview, ImportProgress, UploadView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { sayRow } from '../copy/reasons';
import { many } from '../copy/words';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { LongList } from '../ui/LongList';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useImport } from './useImport';

/** A row whose words fit a line. */
const LINE_HEIGHT = 54;
const keyOf = (row: ImportPreview['rows'][number]): string => String(row.line);

interface PreviewStepProps {
  readonly upload: UploadView;
  readonly choices: ImportChoices;
  readonly preview: ImportPreview;
  /** A newer preview is on its way. */
  readonly settling: boolean;
  readonly onOutdated: () => void;
  readonly onDone: () => void;
}

const VERDICTS = { add: 'added', change: 'changed', same: 'unchanged', refuse: 'refused' } as const;
type Verdict = keyof typeof VERDICTS;

/** Every row with what will become of it; nothing is written before "import". */
export function PreviewStep(props: PreviewStepProps) {
  const { preview } = props;
  const [only, setOnly] = useState<Verdict | null>(null);
  const rows = only ? preview.rows.filter(({ verdict }) => verdict === only) : preview.rows;
  return (
    <View style={styles.box}>
      <Txt look="title" level={2}>
        What will happen
      </Txt>
      <View style={styles.chips} role="radiogroup" aria-label="Rows to show">
        <Chip label={`all ${preview.rows.length}`} on={only === null} onPress={() => setOnly(null)} />
        {(Object.keys(VERDICTS) as Verdict[]).map((verdict) => (
          <Chip
            key={verdict}
            label={`${preview[verdict]} ${VERDICTS[verdict]}`}
            on={only === verdict}
            onPress={() => setOnly(verdict)}
          />
        ))}
      </View>
      <View style={styles.rows}>
        <LongList
          rows={rows}
          keyOf={keyOf}
          heightOf={() => LINE_HEIGHT}
          wraps
          draw={(row) => <Row row={row} />}
        />
      </View>
      <Begin {...props} />
    </View>
  );
}

/** Begins the import and shows how far it is; the rows above stay as they are meanwhile. */
function Begin({ upload, choices, preview, settling, onOutdated, onDone }: PreviewStepProps) {
  const [leaveOut, setLeaveOut] = useState(false);
  const { start, progress, cancel, failure } = useImport(upload.id, { onOutdated, onDone });
  const writes = preview.add + preview.change;
  const running = progress?.state === 'running' || start.isPending;
  return (
    <>
      {preview.refuse > 0 && (
        <Chip
          many
          label={`Leave the ${many(preview.refuse, 'refused row')} out and import the rest`}
          on={leaveOut}
          onPress={() => setLeaveOut(!leaveOut)}
        />
      )}
      {failure && <Note sort="error">{failure}</Note>}
      {running ? (
        <Running progress={progress} onCancel={cancel} />
      ) : (
        <Button
          label={writes === 0 ? 'Nothing to import' : `Import ${many(writes, 'supply', 'supplies')}`}
          main
          disabled={writes === 0 || settling || (preview.refuse > 0 && !leaveOut)}
          onPress={() => start.mutate({ ...choices, token: preview.token, leaveOutRefused: leaveOut })}
        />
      )}
    </>
  );
}

function Running({ progress, onCancel }: { progress: ImportProgress | undefined; onCancel: () => void }) {
  const { done = 0, total = 0 } = progress ?? {};
  return (
    <View style={styles.running}>
      <Txt look="strong">{`Importing: ${done} of ${total}`}</Txt>
      <ProgressBar progress={total === 0 ? 0 : done / total} accessibilityLabel="Import progress" />
      <Button label="Cancel" onPress={onCancel} />
    </View>
  );
}

function Row({ row }: { row: ImportPreview['rows'][number] }) {
  return (
    <View style={styles.row}>
      <Txt look="label" style={styles.line}>
        {row.line}
      </Txt>
      <View style={[styles.swatch, row.hex !== null && { backgroundColor: row.hex }]} />
      <View style={styles.words}>
        <Txt look="strong" lines={1}>
          {row.name || 'no name'}
        </Txt>
        <Txt look="quiet">
          {row.verdict === 'refuse' ? '⚠ ' : ''}
          {sayRow(row)}
        </Txt>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.m - 4 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  rows: { height: 340, backgroundColor: colour.card, borderWidth: 1, borderColor: colour.hairline },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s + 2,
    paddingVertical: 6,
    paddingHorizontal: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  line: { width: 40, textAlign: 'right', color: colour.quiet },
  swatch: { width: 28, height: 28, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
  words: { flex: 1, minWidth: 0 },
  running: { gap: space.s },
});
