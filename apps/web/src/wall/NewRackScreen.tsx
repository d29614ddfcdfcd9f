import { zodResolver } from '@hookform/resolvers/zod';
import { UNIT_TEMPLATES, type UnitTemplate } from '@red-shelf/core';
import { newUnit, type NewUnit } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { call, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { words } from '../copy/words';
import { forget, remember, remembered } from '../form/draft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Caution } from '../ui/Caution';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { UnitDrawing } from './UnitDrawing';
import { unitSizeMm } from './geometry';

const from = ({ id, name, rows, columns }: UnitTemplate): NewUnit => ({ template: id, name, rows, columns });
const [FIRST] = UNIT_TEMPLATES;

/** Put up a rack: choose its sort, say how many rows and columns, see it drawn. */
export function NewRackScreen() {
  const { template: asked } = useLocalSearchParams<{ template?: string }>();
  const wanted = UNIT_TEMPLATES.find(({ id }) => id === asked);
  const form = useForm<NewUnit>({
    resolver: zodResolver(newUnit),
    defaultValues: wanted ? from(wanted) : FIRST ? remembered('rack', from(FIRST)) : {},
  });
  const given = useWatch({ control: form.control });
  useEffect(() => remember('rack', given), [given]);
  const template = UNIT_TEMPLATES.find(({ id }) => id === given.template) ?? FIRST;
  const add = useChange((body: NewUnit) => call(routes.addUnit, { body }));
  const submit = form.handleSubmit(async (body) => {
    await add.mutateAsync(body);
    forget('rack');
    router.replace('/');
  });
  const valid = newUnit.safeParse(given);
  return (
    <Page title="Put up a rack" narrow>
      <View style={styles.chips} role="radiogroup" aria-label="Sort of rack">
        {UNIT_TEMPLATES.map((each) => (
          <Chip
            key={each.id}
            label={each.name}
            on={each.id === template?.id}
            onPress={() => form.reset(from(each))}
          />
        ))}
      </View>
      <Field control={form.control} name="name" label="Name" />
      <View style={styles.pair}>
        <Field control={form.control} name="rows" label="Rows" numeric />
        <Field control={form.control} name="columns" label="Columns" numeric />
      </View>
      {template && valid.success && <Preview template={template} unit={valid.data} />}
      <Caution id="heavy">{words.heavy}</Caution>
      <Button label="Put it up" main busy={add.isPending} onPress={() => void submit()} />
    </Page>
  );
}

const PREVIEW_PX = 340;

function Preview({ template, unit }: { template: UnitTemplate; unit: NewUnit }) {
  const view = {
    ...template,
    ...unit,
    id: 'new',
    version: 1,
    letter: '',
    template: template.id,
    slot: template.slot,
    facts: {},
    holds: [...template.holds],
  };
  const size = unitSizeMm(view);
  const { widthMm, heightMm, depthMm } = template.slot;
  return (
    <View style={styles.preview}>
      <UnitDrawing unit={view} slots={[]} scale={Math.min(PREVIEW_PX / size.w, PREVIEW_PX / size.h)} />
      <Txt look="quiet">
        {unit.rows * unit.columns} slots, each {widthMm} × {heightMm} × {depthMm} mm inside;{' '}
        {Math.round(size.w)} mm wide in all.
      </Txt>
    </View>
  );
}

const styles = StyleSheet.create({
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  pair: { flexDirection: 'row', gap: space.m },
  preview: { gap: space.s },
});
