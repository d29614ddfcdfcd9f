import type { ArrangePreview, ArrangeRequest } from '@red-shelf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { refreshNow } from '../api/outgoing';
import { usePreferences, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { paperOf } from '../copy/measure';
import { many } from '../copy/words';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { PrintButton } from '../ui/PrintButton';
import { stripsKey } from './choose/Smooth';
import { isWorthIt } from './verdict';
import { printSides } from './print';

/** What is being done with what was worked out. */
export type Doing = 'begin' | 'apply' | null;

interface ActsProps {
  readonly plan: ArrangePreview;
  readonly stash: Stash;
  readonly request: ArrangeRequest;
  /** What is shown is being worked out anew. */
  readonly working: boolean;
  /** What is shown is not of this choice. */
  readonly outdated: boolean;
  readonly onDo: (doing: Doing) => void;
}

/** So long the page has for one thing before the next begins, ms: two frames. */
const BREATH_MS = 32;
const breath = (): Promise<void> => new Promise((go) => setTimeout(go, BREATH_MS));

/** What can be done with a plan: begin it, write it down as done, print it. */
export function Acts({ plan, stash, request, working, outdated, onDo }: ActsProps): ReactNode {
  const client = useQueryClient();
  const { preferences } = usePreferences();
  const [doing, setDoing] = useState<Doing>(null);
  const apply = useChange((token: string) => order(routes.applyArrange, { body: { ...request, token } }));
  const begin = useChange((token: string) => order(routes.startArrange, { body: { ...request, token } }), {
    silent: true,
  });
  // Refused as outdated, what is shown is not begun again before it is worked out anew.
  const refused = (begin.isError || apply.isError) && working;
  const still = plan.lifts === 0 || outdated || refused || doing !== null;
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => void (here.current = false);
  }, []);
  /** The tap shows; then the page lays down what is only looked at; then it is asked: each by itself, so that none takes long. */
  const act = async (which: 'begin' | 'apply'): Promise<void> => {
    setDoing(which);
    void client.cancelQueries({ queryKey: stripsKey });
    await breath();
    onDo(which);
    await breath();
    try {
      if (which === 'apply') await apply.mutateAsync(plan.token);
      else {
        const { record } = await begin.mutateAsync(plan.token);
        // Who went elsewhere meanwhile stays there.
        if (here.current) router.push({ pathname: '/arrange/plan', params: { plan: record.id } });
        return;
      }
    } catch {
      // Refused, since things are not as they were here (the change has said so): they are fetched, and worked out anew.
      void refreshNow(client);
    }
    setDoing(null);
    onDo(null);
  };
  return (
    <View style={styles.chips}>
      <Button
        label={plan.lifts === 0 ? 'Nothing to lift' : `Begin: ${many(plan.lifts, 'lift')}`}
        main={isWorthIt(plan)}
        disabled={still}
        busy={doing === 'begin'}
        onPress={() => void act('begin')}
      />
      <Button
        label="It stands so already"
        says="It stands so already: write all of it down at once"
        disabled={still}
        busy={doing === 'apply'}
        onPress={() => void act('apply')}
      />
      <PrintButton
        label="Print now and planned"
        name="arranging.pdf"
        make={() => printSides(plan, stash, paperOf(preferences))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
