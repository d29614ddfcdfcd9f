import { FAMILY_GROUP_INFO } from '@red-shelf/core';
import { NUDGES, type Preferences } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '../api/queries';
import { usePreferenceChange } from '../api/usePreferenceChange';
import { NUDGE_TITLES } from '../copy/nudges';
import { chooseScheme, SCHEMES, useSchemeChoice } from '../theme/scheme';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { Columns } from '../ui/Columns';
import { Input } from '../ui/Input';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';

const METRIC = 'centimetres and grams';
const INCHES = 'inches and ounces';
const NORTH = 'north of the equator';
const SOUTH = 'south of the equator';
const isCurrency = (text: string): boolean => /^[A-Z]{3}$/.test(text);

/** How the app speaks to this person: measures, families, seasons, nudges; and how it looks on this device. */
export function SettingsScreen() {
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const scheme = useSchemeChoice();
  const set = (changes: Partial<Preferences>): void => keep.mutate(changes);
  const { units, hemisphere, hideOutOfSeason, muted, familyOrder } = preferences;
  const order = familyOrder.map((group) => FAMILY_GROUP_INFO[group].name).join(', ');
  return (
    <Page title="Settings" aside="Each can be undone">
      <Columns
        first={
          <>
            <Choice
              label="Measures"
              options={[METRIC, INCHES]}
              value={units === 'metric' ? METRIC : INCHES}
              onChange={(way) => set({ units: way === INCHES ? 'inches' : 'metric' })}
            />
            <Currency key={preferences.currency} kept={preferences.currency} onKeep={set} />
            <Choice
              label="Light or dark, on this device"
              options={SCHEMES}
              value={scheme}
              onChange={(next) => chooseScheme(SCHEMES.find((each) => each === next) ?? 'as the device')}
            />
            <View style={styles.part}>
              <Txt look="quiet">Families</Txt>
              <Txt>{order}</Txt>
              <View style={styles.row}>
                <Button label="Change the families" onPress={() => router.push('/arrange/families')} />
              </View>
            </View>
          </>
        }
        second={
          <>
            <Choice
              label="Seasons"
              options={[NORTH, SOUTH]}
              value={hemisphere === 'south' ? SOUTH : NORTH}
              onChange={(way) => set({ hemisphere: way === SOUTH ? 'south' : 'north' })}
            />
            <View style={styles.row}>
              <Chip
                many
                label="Hide what is out of season"
                on={hideOutOfSeason}
                onPress={() => set({ hideOutOfSeason: !hideOutOfSeason })}
              />
            </View>
            <View style={styles.part}>
              <Txt look="quiet">Worth a look: what the app brings up</Txt>
              <View style={styles.row} role="group" aria-label="Worth a look">
                {NUDGES.map((nudge) => {
                  const on = !muted.includes(nudge);
                  return (
                    <Chip
                      key={nudge}
                      many
                      label={NUDGE_TITLES[nudge]}
                      on={on}
                      onPress={() =>
                        set({ muted: on ? [...muted, nudge] : muted.filter((each) => each !== nudge) })
                      }
                    />
                  );
                })}
              </View>
            </View>
          </>
        }
      />
    </Page>
  );
}

function Currency({
  kept,
  onKeep,
}: {
  readonly kept: string;
  readonly onKeep: (changes: Partial<Preferences>) => void;
}) {
  const [typed, setTyped] = useState(kept);
  const submit = (): void => {
    if (typed !== kept && isCurrency(typed)) onKeep({ currency: typed });
  };
  return (
    <View style={styles.part}>
      <Input
        label="Currency"
        value={typed}
        onChange={(text) => setTyped(text.toUpperCase())}
        onSubmit={submit}
        error={isCurrency(typed) ? undefined : 'A currency is three letters, such as EUR.'}
      />
      {typed !== kept && (
        <View style={styles.row}>
          <Button label="Keep the currency" disabled={!isCurrency(typed)} onPress={submit} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
