import { isOnWall, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import type { ArrangeRequest, Preferences } from '@red-shelf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { call, order, routes } from '../api/client';
import { isLoose } from '../api/contents';
import { keys } from '../api/list';
import { usePreferences, useStash } from '../api/queries';
import { useChange } from '../api/useChange';
import { Waiting } from '../ui/Waiting';
import { unitTitle } from '../copy/supply';
import { many, words } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Preview } from './Preview';

/** Flips one choice of several. */
const flip = <T,>(chosen: readonly T[], each: T): T[] =>
  chosen.includes(each) ? chosen.filter((other) => other !== each) : [...chosen, each];

/** Choose what and where; see before and after with figures; apply, undo. */
export function ArrangeScreen() {
  const { stash, error } = useStash();
  const { kind: wanted } = useLocalSearchParams<{ kind?: string }>();
  const [kinds, setKinds] = useState<readonly Kind[]>([KINDS.find((kind) => kind === wanted) ?? 'ink']);
  const [unitIds, setUnitIds] = useState<readonly string[] | null>(null);
  const { preferences } = usePreferences();
  const [lightness, setLightness] = useState<Preferences['lightness'] | null>(null);
  const darkFirst = (lightness ?? preferences.lightness) === 'dark-first';
  const [fromElsewhere, setFromElsewhere] = useState(false);
  // Until racks are chosen by hand, those made for the chosen kinds are meant.
  const units = (stash?.wall.units ?? []).filter((unit) => isOnWall(unit) && !isLoose(unit));
  const chosen =
    unitIds ??
    units.filter((unit) => unit.rules.kinds.some((kind) => kinds.includes(kind))).map(({ id }) => id);
  const request: ArrangeRequest = {
    kinds: [...kinds],
    unitIds: chosen.filter((id) => units.some((unit) => unit.id === id)),
    fromElsewhere,
    // The person's own rainbow, as the stash shows it.
    scheme: {
      familyOrder: preferences.familyOrder,
      lightness: darkFirst ? 'dark-first' : 'light-first',
      purposes: preferences.purposes,
    },
    recipes: preferences.recipes,
  };
  const ready = request.kinds.length > 0 && request.unitIds.length > 0;
  const preview = useQuery({
    queryKey: [...keys.arrange, request],
    queryFn: () => call(routes.previewArrange, { body: request }),
    enabled: ready,
    placeholderData: keepPreviousData,
  });
  const apply = useChange((token: string) => order(routes.applyArrange, { body: { ...request, token } }));
  if (!stash) return <Waiting error={error} />;
  const plan = ready ? preview.data : undefined;
  return (
    <Page title="Arrange" aside="Nothing moves until you apply it">
      <View style={styles.chips}>
        <Button label="Order and drawers" onPress={() => router.push('/arrange/order')} />
        <Button label="Families" onPress={() => router.push('/arrange/families')} />
      </View>
      <View style={styles.choice}>
        <Txt look="strong">What</Txt>
        <View style={styles.chips} role="group" aria-label="Kinds to arrange">
          {KINDS.map((kind) => (
            <Chip
              key={kind}
              many
              label={KIND_DEFINITIONS[kind].plural}
              on={kinds.includes(kind)}
              onPress={() => setKinds(flip(kinds, kind))}
            />
          ))}
        </View>
      </View>
      <View style={styles.choice}>
        <Txt look="strong">Into</Txt>
        <View style={styles.chips} role="group" aria-label="Racks to arrange into">
          {units.map((unit) => (
            <Chip
              key={unit.id}
              many
              label={unitTitle(unit)}
              on={chosen.includes(unit.id)}
              onPress={() => setUnitIds(flip(chosen, unit.id))}
            />
          ))}
        </View>
      </View>
      <View style={styles.choice}>
        <Txt look="strong">How</Txt>
        <View style={styles.chips}>
          <View style={styles.chips} role="radiogroup" aria-label="Order inside a family">
            <Chip label="light to dark" on={!darkFirst} onPress={() => setLightness('light-first')} />
            <Chip label="dark to light" on={darkFirst} onPress={() => setLightness('dark-first')} />
          </View>
          <Chip
            many
            label="also from other racks"
            on={fromElsewhere}
            onPress={() => setFromElsewhere(!fromElsewhere)}
          />
        </View>
      </View>
      {Object.keys(preferences.recipes).length > 0 && (
        <Note>
          {`${Object.keys(preferences.recipes).join(', ')}: sorted as you said under Order and drawers; the rest by the rainbow.`}
        </Note>
      )}
      {!ready && (
        <Note>{units.length === 0 ? words.emptyWall : 'Choose at least one kind and one rack.'}</Note>
      )}
      {preview.error && <Note sort="error">{preview.error.message}</Note>}
      {plan && (
        <>
          <Preview plan={plan} stash={stash}>
            <Button
              label={plan.moves === 0 ? 'Nothing to move' : `Apply: ${many(plan.moves, 'move')}`}
              main
              disabled={plan.moves === 0 || preview.isPlaceholderData}
              busy={apply.isPending}
              onPress={() => apply.mutate(plan.token, { onError: () => void preview.refetch() })}
            />
          </Preview>
        </>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  choice: { gap: space.s },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
