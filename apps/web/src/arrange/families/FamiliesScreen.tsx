import {
  areNeutralsApart,
  FAMILY_GROUP_INFO,
  FAMILY_GROUPS,
  stretchesOf,
  stretchOf,
  withNeutrals,
  type Stretch,
} from '@red-shelf/core';
import { preferencesBody } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { usePreferences, useStash } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { Waiting } from '../../ui/Waiting';
import { useBegun } from '../../form/useDraft';
import { inRainbow } from '../../api/inRainbow';
import { colour, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { ColourThreads } from '../../ui/ColourThreads';
import { Columns } from '../../ui/Columns';
import { Choice } from '../../ui/Choice';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { SortableList } from '../../ui/SortableList';
import { Txt } from '../../ui/Txt';

const TOGETHER = 'one stretch, Neutral';
const APART = 'three stretches';

/** The person's own rainbow: which family comes first, which last, light or dark first; shown on their own stash. */
export function FamiliesScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const [draft, setDraft, clear] = useBegun('families', preferencesBody);
  const now = draft ?? preferences;
  const keep = usePreferenceChange();
  if (!stash) return <Waiting error={error} />;
  const order = [...stretchesOf(now)];
  const apart = areNeutralsApart(now);
  const counts = new Map<Stretch, number>();
  for (const { family } of stash.supplies) {
    const stretch = stretchOf(family, now);
    counts.set(stretch, (counts.get(stretch) ?? 0) + 1);
  }
  const move = (group: Stretch, to: number): void => {
    const rest = order.filter((each) => each !== group);
    const at = Math.max(0, Math.min(rest.length, to));
    setDraft({ ...now, familyOrder: [...rest.slice(0, at), group, ...rest.slice(at)] });
  };
  const strip = inRainbow(stash.supplies, { ...now, familyOrder: order });
  return (
    <Page title="Families" aside="Your rainbow, your way">
      <View style={styles.strip}>
        <ColourThreads
          items={strip}
          says={`Your stash, ${order.map((group) => FAMILY_GROUP_INFO[group].name).join(', ')}`}
        />
      </View>
      <Columns
        first={
          <SortableList ids={order} nameOf={(group) => FAMILY_GROUP_INFO[group].name} onMove={move}>
            {(group) => (
              <>
                <View style={[styles.dot, { backgroundColor: FAMILY_GROUP_INFO[group].hex }]} />
                <Txt look="label" style={styles.mark}>
                  {FAMILY_GROUP_INFO[group].mark}
                </Txt>
                <Txt style={styles.name}>{FAMILY_GROUP_INFO[group].name}</Txt>
                <Txt look="quiet">{counts.get(group) ?? 0}</Txt>
              </>
            )}
          </SortableList>
        }
        second={
          <>
            <View style={styles.acts}>
              <Button
                label="Pink beside red"
                onPress={() => move('pink', order.indexOf('red') === 0 ? 0 : order.indexOf('red'))}
              />
              <Button
                label="Pink after purple"
                onPress={() => move('pink', order.filter((each) => each !== 'pink').indexOf('purple') + 1)}
              />
              <Button
                label="Brown after orange"
                onPress={() => move('brown', order.filter((each) => each !== 'brown').indexOf('orange') + 1)}
              />
              {apart ? (
                <Button
                  label="White first, black last"
                  onPress={() => {
                    const rest = order.filter((each) => each !== 'white' && each !== 'black');
                    setDraft({ ...now, familyOrder: ['white', ...rest, 'black'] });
                  }}
                />
              ) : (
                <Button label="Neutrals first" onPress={() => move('neutral', 0)} />
              )}
              <Button
                label="As it came"
                onPress={() => setDraft({ ...now, familyOrder: [...FAMILY_GROUPS] })}
              />
            </View>
            <Choice
              label="Black, grey and white"
              options={[TOGETHER, APART]}
              value={apart ? APART : TOGETHER}
              onChange={(way) =>
                setDraft({ ...now, familyOrder: withNeutrals(now, way === APART ? 'apart' : 'together') })
              }
            />
            <Choice
              label="Inside a family"
              options={['light to dark', 'dark to light']}
              value={now.lightness === 'light-first' ? 'light to dark' : 'dark to light'}
              onChange={(way) =>
                setDraft({ ...now, lightness: way === 'light to dark' ? 'light-first' : 'dark-first' })
              }
            />
            {draft && (
              <Note>The strip shows how it would be. Nothing in the racks moves; Arrange does that.</Note>
            )}
            <View style={styles.acts}>
              <Button
                label="Keep it so"
                main
                disabled={!draft}
                busy={keep.isPending}
                onPress={() =>
                  keep.mutate({ familyOrder: order, lightness: now.lightness }, { onSuccess: clear })
                }
              />
              {draft && <Button label="Leave it as it was" onPress={clear} />}
            </View>
          </>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  // Stays in sight while the families below are moved; the web knows this position, the types do not.
  strip: {
    position: 'sticky' as 'relative',
    top: 0,
    zIndex: 1,
  },
  dot: { width: 24, height: 24, borderWidth: 1, borderColor: colour.hairline },
  mark: { width: 26 },
  name: { flex: 1 },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
