import {
  DEFAULT_RECIPE,
  formsOfKind,
  KIND_DEFINITIONS,
  KINDS,
  labOf,
  makeRecipeOrder,
  recipeOf,
  SORT_KEYS,
  type Kind,
  type Sortable,
  type SortKey,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences, useStash } from '../api/queries';
import { usePreferenceChange } from '../api/usePreferenceChange';
import { Waiting } from '../frame/Waiting';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { Columns } from '../ui/Columns';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { SortableList } from '../ui/SortableList';
import { Txt } from '../ui/Txt';
import { Drawers } from './Drawers';
import { drawerGroup, Strip } from './Strip';

const EVERY_FORM = 'every form';
const toSortable = (supply: SupplyView): Sortable & { hex: string } => ({
  ...supply,
  lab: labOf(supply.hex),
  uses: supply.stock.uses,
});

/** How each kind is sorted: keys in order, tried on the person's own things before they are kept. */
export function OrderScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const [kind, setKind] = useState<Kind>('ink');
  const [form, setForm] = useState<string | null>(null);
  const [draft, setDraft] = useState<readonly SortKey[] | null>(null);
  const own = form ? `${kind}/${form}` : kind;
  const kept = form
    ? (preferences.recipes[own] ?? recipeOf(preferences.recipes, { kind, form }))
    : (preferences.recipes[kind] ?? DEFAULT_RECIPE);
  const recipe = draft ?? kept;
  const pile = useMemo(
    () =>
      (stash?.supplies ?? [])
        .filter((each) => each.kind === kind && each.facts.status !== 'gone' && (!form || each.form === form))
        .map(toSortable),
    [stash, kind, form],
  );
  const sorted = useMemo(
    () => [...pile].sort(makeRecipeOrder(recipe, preferences, pile)),
    [pile, recipe, preferences],
  );
  if (!stash) return <Waiting error={error} />;
  const forms = formsOfKind(kind).filter(({ id }) =>
    stash.supplies.some((each) => each.kind === kind && each.form === id),
  );
  const choose = (next: Kind): void => {
    setKind(next);
    setForm(null);
    setDraft(null);
  };
  const save = (keys: readonly SortKey[] | null): void => {
    const { [own]: _, ...rest } = preferences.recipes;
    keep.mutate(
      { recipes: keys ? { ...rest, [own]: [...keys] } : rest },
      { onSuccess: () => setDraft(null) },
    );
  };
  return (
    <Page title="Order and drawers" aside="Tried here first; Arrange follows it">
      <Columns
        first={
          <>
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
                onChange={(name) => {
                  setForm(forms.find((each) => each.name === name)?.id ?? null);
                  setDraft(null);
                }}
              />
            )}
            <Strip items={sorted} recipe={recipe} />
            <View style={styles.box}>
              <Txt look="strong" level={2}>
                Sorted by
              </Txt>
              <SortableList
                ids={recipe}
                nameOf={(key) => key}
                onMove={(key, to) => {
                  const rest = recipe.filter((each) => each !== key);
                  setDraft([...rest.slice(0, to), key, ...rest.slice(to)]);
                }}
              >
                {(key) => (
                  <>
                    <Txt style={styles.key}>{key}</Txt>
                    <Button
                      label="×"
                      says={`Do not sort by ${key}`}
                      onPress={() => setDraft(recipe.filter((each) => each !== key))}
                    />
                  </>
                )}
              </SortableList>
              {recipe.length === 0 && <Note>By nothing: light to dark, whatever it is.</Note>}
              <View style={styles.chips} role="group" aria-label="Then by">
                {SORT_KEYS.filter((key) => !recipe.includes(key)).map((key) => (
                  <Button
                    key={key}
                    label={`+ ${key}`}
                    says={`Then by ${key}`}
                    onPress={() => setDraft([...recipe, key])}
                  />
                ))}
              </View>
            </View>
            <View style={styles.chips}>
              <Button
                label="Keep this order"
                main
                disabled={!draft}
                busy={keep.isPending}
                onPress={() => save(recipe)}
              />
              {draft && <Button label="Leave it as it was" onPress={() => setDraft(null)} />}
              {preferences.recipes[own] && !draft && (
                <Button label="Back to the rainbow" onPress={() => save(null)} />
              )}
            </View>
          </>
        }
        second={<Drawers key={kind} supplies={sorted} groupOf={drawerGroup(recipe, pile)} />}
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  key: { flex: 1 },
});
