import {
  KIND_DEFINITIONS,
  KINDS,
  LIST_FIELD_NAMES,
  LIST_FIELDS,
  type ColumnMapping,
  type Kind,
  type ListField,
} from '@red-shelf/core';
import type { ImportChoices, UploadView } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Menu } from 'react-native-paper';
import { call, routes } from '../api/client';
import { useDraft } from '../form/useDraft';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { PreviewStep } from './PreviewStep';

const MOST_NAME = 500;

interface MappingStepProps {
  readonly upload: UploadView;
  readonly onDone: () => void;
  readonly onOther: () => void;
}

/** Says which column is what; the preview follows every change. */
export function MappingStep({ upload, onDone, onOther }: MappingStepProps) {
  // Kept by its headings, so that the same list chosen again is known again.
  const [draft, setDraft] = useDraft<{ mapping: ColumnMapping; kind: Kind }>(
    `columns.${upload.headings.join('|').slice(0, MOST_NAME)}`,
    { mapping: upload.mapping, kind: 'ink' },
  );
  const { mapping, kind } = draft;
  const choices: ImportChoices = { mapping, defaults: { kind } };
  const preview = useQuery({
    queryKey: ['import', upload.id, choices],
    queryFn: () => call(routes.previewImport, { id: upload.id, body: choices }),
    placeholderData: keepPreviousData,
  });
  const shown = useDeferredValue(preview.data);
  return (
    <>
      <Txt look="title" level={2}>
        What the columns are
      </Txt>
      <ScrollView horizontal contentContainerStyle={styles.columns}>
        {upload.headings.map((heading, column) => (
          <View key={column} style={styles.column}>
            <FieldMenu
              heading={heading || `column ${column + 1}`}
              field={fieldOf(mapping, column)}
              onChoose={(field) => setDraft({ ...draft, mapping: remap(mapping, column, field) })}
            />
            <Txt look="strong" lines={1}>
              {heading || '–'}
            </Txt>
            {upload.sample.slice(0, 3).map((row, r) => (
              <Txt key={r} look="quiet" lines={1}>
                {row[column] || '–'}
              </Txt>
            ))}
          </View>
        ))}
      </ScrollView>
      <Txt look="quiet">Rows that do not say their kind are</Txt>
      <View style={styles.chips} role="radiogroup" aria-label="Kind of rows that do not say">
        {KINDS.map((each) => (
          <Chip
            key={each}
            label={KIND_DEFINITIONS[each].plural}
            on={each === kind}
            onPress={() => setDraft({ ...draft, kind: each })}
          />
        ))}
      </View>
      {preview.error && <Note sort="error">{preview.error.message}</Note>}
      {shown && (
        <PreviewStep
          upload={upload}
          choices={choices}
          preview={shown}
          settling={preview.isPlaceholderData || shown !== preview.data}
          onOutdated={() => void preview.refetch()}
          onDone={onDone}
        />
      )}
      <View style={styles.start}>
        <Button label="Another file" onPress={onOther} />
      </View>
    </>
  );
}

const fieldOf = (mapping: ColumnMapping, column: number): ListField | null =>
  LIST_FIELDS.find((field) => mapping[field] === column) ?? null;

/** Gives a column to a field; a field and a column belong to one another alone. */
function remap(mapping: ColumnMapping, column: number, field: ListField | null): ColumnMapping {
  const rest = Object.entries(mapping).filter(([other, at]) => at !== column && other !== field);
  return Object.fromEntries(field ? [...rest, [field, column]] : rest);
}

function FieldMenu({
  heading,
  field,
  onChoose,
}: {
  heading: string;
  field: ListField | null;
  onChoose: (field: ListField | null) => void;
}) {
  const [open, setOpen] = useState(false);
  // A menu takes the focus as soon as it is made, open or not: it is made when it is first opened.
  const [made, setMade] = useState(false);
  const choose = (next: ListField | null) => () => {
    setOpen(false);
    onChoose(next);
  };
  const label = field ? LIST_FIELD_NAMES[field] : 'left out';
  const press = (): void => {
    setMade(true);
    setOpen(true);
  };
  const button = <Button label={label} says={`Column ${heading}: ${label}`} onPress={press} />;
  if (!made) return button;
  return (
    <Menu visible={open} onDismiss={() => setOpen(false)} anchor={button} contentStyle={styles.menu}>
      <Menu.Item title="left out" onPress={choose(null)} />
      {LIST_FIELDS.map((each) => (
        <Menu.Item key={each} title={LIST_FIELD_NAMES[each]} onPress={choose(each)} />
      ))}
    </Menu>
  );
}

const styles = StyleSheet.create({
  columns: { gap: space.s, paddingBottom: space.s },
  column: {
    width: 132,
    gap: 4,
    padding: space.s,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  menu: { backgroundColor: colour.card },
  start: { alignItems: 'flex-start' },
});
