import type { Nudge } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { usePreferences, useStash } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { NUDGE_TITLES } from '../../copy/nudges';
import { Waiting } from '../../ui/Waiting';
import { ReasonRow } from '../../row/ReasonRow';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Columns } from '../../ui/Columns';
import { Page } from '../../ui/Page';
import { Txt } from '../../ui/Txt';
import { Challenge } from '../../judge/Challenge';
import { DormantRow, ForgottenRow, TrialRow, UnusedRow } from './rows';
import { Section } from './Section';
import { OverCaps } from './OverCaps';
import { useLooks } from './useLooks';

/** What the app would like one to look at: each nudge with its reason, each can be switched off. */
export function LookScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const looks = useLooks();
  const keep = usePreferenceChange();
  if (!stash || !looks) return <Waiting error={error} />;
  const { muted } = preferences;
  const on = (nudge: Nudge): boolean => !muted.includes(nudge);
  const mute = (nudge: Nudge) => () => keep.mutate({ muted: [...muted, nudge] });
  const section = (nudge: Nudge) => ({ title: NUDGE_TITLES[nudge], onMute: mute(nudge) });
  return (
    <Page title="Worth a look" aside="Each can be switched off">
      <Columns
        first={
          <>
            {on('due') && (
              <Section
                {...section('due')}
                why={`Trials and sleeping purposes whose day has come. ${looks.waiting} more wait for theirs.`}
                items={() => looks.due}
                row={({ why, ...look }) =>
                  why === 'trial' ? (
                    <TrialRow key={look.supply.id} {...look} />
                  ) : (
                    <DormantRow key={look.supply.id} {...look} />
                  )
                }
              />
            )}
            {on('caps') && <OverCaps looks={looks} onMute={mute('caps')} />}
            {on('forgotten') && (
              <>
                <Section
                  {...section('forgotten')}
                  why="Out of sight or idle the longest; another ten next week."
                  items={() => looks.forgotten}
                  row={(look) => <ForgottenRow key={look.supply.id} {...look} />}
                />
                <Challenge stash={stash} />
              </>
            )}
            {on('seasons') && (
              <Section
                {...section('seasons')}
                why="They come into sight a month ahead."
                items={() => looks.seasons}
                row={(look) => <ReasonRow key={look.supply.id} {...look} />}
              >
                <Button label="Seasons in Settings" onPress={() => router.push('/settings')} />
              </Section>
            )}
          </>
        }
        second={
          <>
            {on('partners') && (
              <Section
                {...section('partners')}
                why="What works with it and is not here, the most used first; only sorts you have some of."
                items={() => looks.partners}
                row={(look) => <ReasonRow key={look.supply.id} {...look} />}
              />
            )}
            {on('unused') && (
              <Section
                {...section('unused')}
                why="Here for a season and not used once. Say why: what you do not like comes up when you sort out."
                items={() => looks.unused}
                row={(look) => <UnusedRow key={look.supply.id} {...look} />}
              />
            )}
            {on('misfits') && (
              <Section
                {...section('misfits')}
                why="Larger than every slot made for its kind, as it was measured."
                items={() => looks.misfits}
                row={(look) => <ReasonRow key={look.supply.id} {...look} />}
              />
            )}
            {muted.length > 0 && (
              <View style={styles.box}>
                <Txt look="strong" level={2}>
                  Switched off
                </Txt>
                <View style={styles.row}>
                  {muted.map((nudge) => (
                    <Button
                      key={nudge}
                      label={`${NUDGE_TITLES[nudge]}: switch on`}
                      onPress={() => keep.mutate({ muted: muted.filter((each) => each !== nudge) })}
                    />
                  ))}
                </View>
              </View>
            )}
          </>
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
