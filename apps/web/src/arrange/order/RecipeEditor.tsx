import { collectionsIn, toSortable } from '@red-shelf/contract';
import {
  attributesOf,
  DEFAULT_RECIPE,
  KIND_DEFINITIONS,
  makeRecipeOrder,
  recipeOf,
  SORT_KEYS,
  type Kind,
  type SortKey,
} from '@red-shelf/core';
import { useMemo, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useRecords, type Stash } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { useBegun } from '../../form/useDraft';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Columns } from '../../ui/Columns';
import { Note } from '../../ui/Note';
import { SortableList } from '../../ui/SortableList';
import { Txt } from '../../ui/Txt';
import { Drawers } from './Drawers';
import { Purposes } from './Purposes';
import { Strip } from './Strip';

const KEYS = z.array(z.enum(SORT_KEYS));

interface RecipeEditorProps {
  readonly stash: Stash;
  readonly kind: Kind;
  /** The form the exception is for; null for the whole kind. */
  readonly form: string | null;
  /** The choice of kind and form, above the recipe. */
  readonly children: ReactNode;
}

/** One recipe, tried on the things it is for: its keys, the strip they make, the drawers they fill. */
export function RecipeEditor({ stash, kind, form, children }: RecipeEditorProps) {
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const own = form ? `${kind}/${form}` : kind;
  const [draft, setDraft, clear] = useBegun(`order.${own}`, KEYS);
  const kept = form
    ? (preferences.recipes[own] ?? recipeOf(preferences.recipes, { kind, form }))
    : (preferences.recipes[kind] ?? DEFAULT_RECIPE);
  const recipe = draft ?? kept;
  const { data: records } = useRecords();
  const collections = useMemo(() => collectionsIn(records ?? []), [records]);
  const pile = useMemo(
    () =>
      stash.supplies
        .filter((each) => each.kind === kind && (!form || each.form === form))
        .map((supply) => toSortable(supply, collections)),
    [stash, kind, form, collections],
  );
  const sorted = useMemo(
    () => [...pile].sort(makeRecipeOrder(recipe, preferences, pile)),
    [pile, recipe, preferences],
  );
  const save = (keys: readonly SortKey[] | null): void => {
    const { [own]: _, ...rest } = preferences.recipes;
    keep.mutate({ recipes: keys ? { ...rest, [own]: [...keys] } : rest }, { onSuccess: clear });
  };
  return (
    <Columns
      first={
        <>
          {children}
          <Strip items={sorted} recipe={recipe} scheme={preferences} />
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
            {draft && <Button label="Leave it as it was" onPress={clear} />}
            {preferences.recipes[own] && !draft && (
              <Button label="Back to the rainbow" onPress={() => save(null)} />
            )}
          </View>
          {attributesOf(kind, form ?? KIND_DEFINITIONS[kind].defaultForm).some(
            ({ id }) => id === 'purpose',
          ) && <Purposes items={pile} />}
        </>
      }
      second={<Drawers supplies={sorted} recipe={recipe} kind={kind} form={form} stash={stash} />}
    />
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  key: { flex: 1 },
});
