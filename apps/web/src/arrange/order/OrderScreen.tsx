import { formsOfKind, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStash } from '../../api/queries';
import { Waiting } from '../../ui/Waiting';
import { space } from '../../theme/tokens';
import { Chip } from '../../ui/Chip';
import { Choice } from '../../ui/Choice';
import { Page } from '../../ui/Page';
import { RecipeEditor } from './RecipeEditor';

const EVERY_FORM = 'every form';

/** How each kind is sorted: keys in order, tried on the person's own things before they are kept. */
export function OrderScreen() {
  const { stash, error } = useStash();
  const [kind, setKind] = useState<Kind>('ink');
  const [form, setForm] = useState<string | null>(null);
  if (!stash) return <Waiting error={error} />;
  const forms = formsOfKind(kind).filter(({ id }) =>
    stash.supplies.some((each) => each.kind === kind && each.form === id),
  );
  const choose = (next: Kind): void => {
    setKind(next);
    setForm(null);
  };
  return (
    <Page title="Order and drawers" aside="Tried here first; Arrange follows it">
      <RecipeEditor key={`${kind} ${form ?? ''}`} stash={stash} kind={kind} form={form}>
        <View style={styles.chips} role="radiogroup" aria-label="Kind">
          {KINDS.map((each) => (
            <Chip
              key={each}
              label={KIND_DEFINITIONS[each].plural}
              on={each === kind}
              onPress={() => choose(each)}
            />
          ))}
        </View>
        {forms.length > 1 && (
          <Choice
            label="An exception may be made for one form"
            options={[EVERY_FORM, ...forms.map(({ name }) => name)]}
            value={forms.find(({ id }) => id === form)?.name ?? EVERY_FORM}
            onChange={(name) => setForm(forms.find((each) => each.name === name)?.id ?? null)}
          />
        )}
      </RecipeEditor>
    </Page>
  );
}

const styles = StyleSheet.create({ chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
