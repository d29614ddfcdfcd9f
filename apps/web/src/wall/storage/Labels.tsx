import {
  changedLabels,
  labelPrint,
  labelPrints,
  slotLabels,
  type Model,
  type SlotLabel,
} from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../../api/client';
import type { Contents } from '../../api/contents';
import { usePreferences } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { many } from '../../copy/words';
import { ChoiceField } from '../../form/bound';
import { twoSides, typed } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { saveFile } from '../../ui/files';
import { sayLength, type Units } from '../../copy/measure';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { labelled } from '../../judge/labelled';

const HIGH_UM = 12_000;
const WIDE_UM = 50_000;
const LEAST_UM = { wide: 8000, high: 5000 };
const UM_PER_MM = 1000;
const PAPERS = ['A4', 'letter'] as const;
const NOT_DRAWN = 'The labels could not be drawn. Look whether the app is still reachable, and try again.';

/** How large one label is, and on what paper. */
const labelSaid = (units: Units) =>
  z.object({
    size: typed(twoSides(units, 'A label has two sides: 50 × 12 mm, the width first.')).refine(
      ({ widthUm, heightUm }) => widthUm >= LEAST_UM.wide && heightUm >= LEAST_UM.high,
      'A label that small cannot be read; make it 8 × 5 mm or more.',
    ),
    paper: z.enum(PAPERS),
  });
interface Printed {
  readonly print: string;
  readonly each: Readonly<Record<string, string>>;
}
type LabelSaid = z.output<ReturnType<typeof labelSaid>>;

/** Labels of one unit, drawn to size for printing; printing them notes what they said, so that old ones are known. */
export function Labels({ unit, slots }: { readonly unit: UnitView; readonly slots: Contents }) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const ask = useAsk('labels', labelSaid(units), {
    size: `${sayLength(WIDE_UM, units)} × ${sayLength(HIGH_UM, units)}`,
    paper: units === 'inches' ? 'letter' : 'A4',
  });
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const note = useChange(({ print, each, model }: Printed & { model: Model }) => {
    const { version, name, rules, parentId, facts: known } = unit;
    const facts = { ...known, labelled: { on: format(new Date(), 'yyyy-MM-dd'), print, each } };
    const body = { version, name, rules, model, facts, ...(parentId ? { parentId } : {}) };
    return order(routes.editUnit, { id: unit.id, body });
  });
  const labels = slotLabels(unit, labelled(slots));
  const printed = unit.facts.labelled;
  const old = printed && printed.print !== labelPrint(labels);
  const changed = old ? changedLabels(labels, printed.each) : [];
  const draw = async (
    some: readonly SlotLabel[],
    { size: { widthUm, heightUm }, paper }: LabelSaid,
  ): Promise<void> => {
    const mm = { widthMm: widthUm / UM_PER_MM, heightMm: heightUm / UM_PER_MM };
    // Loaded when labels are made, so that nobody else waits for it.
    const { labelPdf, labelsOnPage } = await import('../../draw/printing');
    const sheet = paper === 'A4' ? 'a4' : 'letter';
    const { columns, rows } = labelsOnPage(mm, sheet);
    if (columns === 0 || rows === 0)
      return ask.refuse('size', `A label that large does not fit on ${paper}.`);
    const pdf = (await labelPdf(some, mm, sheet)) as BlobPart;
    saveFile(new Blob([pdf], { type: 'application/pdf' }), `labels-${unit.label}.pdf`);
    if (unit.model) note.mutate({ print: labelPrint(labels), each: labelPrints(labels), model: unit.model });
    return undefined;
  };
  const print = (some: readonly SlotLabel[]): void =>
    ask.submit(async (said) => {
      setBusy(true);
      setFailure(null);
      await draw(some, said).catch(() => setFailure(NOT_DRAWN));
      setBusy(false);
      // The labels of this rack are those of the next.
      return false;
    });
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
        <Field control={ask.control} name="size" label="Size of one" />
      </View>
      <ChoiceField control={ask.control} name="paper" label="On" options={PAPERS} />
      {failure && <Note sort="error">{failure}</Note>}
      {changed.length > 0 && changed.length < labels.length && (
        <Button
          label={`Print the ${many(changed.length, 'label')} that changed`}
          main
          busy={busy}
          onPress={() => print(changed)}
        />
      )}
      <Button label={`Print ${many(labels.length, 'label')}`} busy={busy} onPress={() => print(labels)} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
