import { FAMILY_GROUP_INFO } from '@red-shelf/core';
import { NUDGES, preferencesBody, type Preferences } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useRecords } from '../api/queries';
import { usePreferenceChange } from '../api/usePreferenceChange';
import { NUDGE_TITLES } from '../copy/nudges';
import { into } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { chooseScheme, SCHEMES, useSchemeChoice } from '../theme/scheme';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
import { Columns } from '../ui/Columns';
import { Field } from '../ui/Field';
import { Page } from '../ui/Page';
import { Txt } from '../ui/Txt';
import { Waiting } from '../ui/Waiting';

const METRIC = 'centimetres and grams';
const INCHES = 'inches and ounces';
const NORTH = 'north of the equator';
const SOUTH = 'south of the equator';

/** How the app speaks to this person: measures, families, seasons, nudges; and how it looks on this device. */
export function SettingsScreen() {
  const { data: known, error } = useRecords();
  const { preferences } = usePreferences();
  const keep = usePreferenceChange();
  const scheme = useSchemeChoice();
  const set = (changes: Partial<Preferences>): void => keep.mutate(changes);
  const { units, hemisphere, hideOutOfSeason, muted, familyOrder } = preferences;
  const order = familyOrder.map((group) => FAMILY_GROUP_INFO[group].name).join(', ');
  // What is chosen is written over what is kept, so that has to be there first.
  if (!known) return <Waiting error={error} />;
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
            <Currency kept={preferences.currency} onKeep={keep.mutateAsync} />
            <Choice
              label="Light or dark, on this device"
              options={SCHEMES}
              value={scheme}
              onChange={(next) => chooseScheme(SCHEMES.find((each) => each === next) ?? 'as the device')}
            />
            <View style={styles.part}>
              <Txt look="quiet">On your phone</Txt>
              <Txt>The stash in your hand, in the house’s own network.</Txt>
              <View style={styles.row}>
                <Button label="On your phone" onPress={() => router.push('/settings/phone')} />
              </View>
            </View>
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

const currencySaid = z
  .object({ currency: z.string().trim().toUpperCase() })
  .transform(into(preferencesBody.pick({ currency: true })));

function Currency({
  kept,
  onKeep,
}: {
  readonly kept: string;
  readonly onKeep: (changes: Partial<Preferences>) => Promise<unknown>;
}) {
  const ask = useAsk('currency', currencySaid, { currency: kept }, { live: true });
  const submit = (): void => ask.submit(onKeep);
  return (
    <View style={styles.part}>
      <Field control={ask.control} name="currency" label="Currency" onSubmit={submit} />
      {ask.begun && (
        <View style={styles.row}>
          <Button label="Keep the currency" onPress={submit} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
