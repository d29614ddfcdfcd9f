import { labelPrint, parseSize, slotLabels, type Model } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import type { Contents } from '../../api/contents';
import { usePreferences } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { many } from '../../copy/words';
import { useDraft } from '../../form/useDraft';
import { saveFile } from '../../ui/files';
import { sayLength } from '../../copy/measure';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Input } from '../../ui/Input';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { labelled } from '../../judge/labelled';

const HIGH_UM = 12_000;
const WIDE_UM = 50_000;

/** Labels of one unit, drawn to size for printing; printing them notes what they said, so that old ones are known. */
export function Labels({ unit, slots }: { readonly unit: UnitView; readonly slots: Contents }) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  // Never cleared: the labels of the last rack are those of the next.
  const [draft, setDraft] = useDraft('labels', {
    size: `${sayLength(WIDE_UM, units)} × ${sayLength(HIGH_UM, units)}`,
    paper: units === 'inches' ? 'letter' : 'A4',
  });
  const { size, paper } = draft;
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const note = useChange(({ print, model }: { print: string; model: Model }) => {
    const { version, name, rules, parentId, facts: known } = unit;
    const facts = { ...known, labelled: { on: format(new Date(), 'yyyy-MM-dd'), print } };
    const body = { version, name, rules, model, facts, ...(parentId ? { parentId } : {}) };
    return order(routes.editUnit, { id: unit.id, body });
  });
  const labels = slotLabels(unit, labelled(slots));
  const printed = unit.facts.labelled;
  const old = printed && printed.print !== labelPrint(labels);
  const print = async (): Promise<void> => {
    const sides = parseSize(size, 2, units === 'inches' ? 'in' : 'mm');
    if (!sides.ok) return setRefusal('A label has two sides: 50 × 12 mm, the width first.');
    const [wide = 0, high = 0] = sides.um;
    const mm = { widthMm: wide / 1000, heightMm: high / 1000 };
    setBusy(true);
    try {
      // Loaded when labels are made, so that nobody else waits for it.
      const { labelPdf, labelsOnPage } = await import('./labelPdf');
      const sheet = paper === 'A4' ? 'a4' : 'letter';
      const { columns, rows } = labelsOnPage(mm, sheet);
      if (mm.widthMm < 8 || mm.heightMm < 5)
        setRefusal('A label that small cannot be read; make it 8 × 5 mm or more.');
      else if (columns === 0 || rows === 0) setRefusal(`A label that large does not fit on ${paper}.`);
      else {
        setRefusal(null);
        saveFile(
          new Blob([(await labelPdf(labels, mm, sheet)) as BlobPart], { type: 'application/pdf' }),
          `labels-${unit.label}.pdf`,
        );
        if (unit.model) note.mutate({ print: labelPrint(labels), model: unit.model });
      }
    } catch {
      setRefusal('The labels could not be drawn. Look whether the app is still reachable, and try again.');
    } finally {
      setBusy(false);
    }
    return undefined;
  };
  return (
    <View style={styles.box} role="region" aria-label="Labels">
      <Txt look="strong" level={2}>
        Labels
      </Txt>
      <Txt look="quiet">
        {printed
          ? `Printed on ${format(parseISO(printed.on), 'd MMM yyyy')}${old ? '; what they say has changed since' : ', and still true'}.`
          : 'Never printed.'}
      </Txt>
      <View style={styles.row}>
        <Input label="Size of one" value={size} onChange={(text) => setDraft({ ...draft, size: text })} />
      </View>
      <Choice
        label="On"
        options={['A4', 'letter']}
        value={paper}
        onChange={(next) => setDraft({ ...draft, paper: next })}
      />
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label={`Print ${many(labels.length, 'label')}`} busy={busy} onPress={() => void print()} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
