import {
  isOnWall,
  KIND_DEFINITIONS,
  KINDS,
  SEASONS,
  seasonState,
  type Hemisphere,
  type Season,
} from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { startTransition, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { call, routes } from '../api/client';
import { keys } from '../api/list';
import { recordsOf, usePreferences, useRecords, useStash } from '../api/queries';
import { listOf, words } from '../copy/words';
import { useBegun } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Folded } from '../ui/Folded';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { useGradually } from '../ui/useGradually';
import { Waiting } from '../ui/Waiting';
import { Acts, type Doing } from './Acts';
import { choiceSchema, isByLightness, MINE, orderingOf, startingWith, type Choice } from './choose/choice';
import { Nearer } from './choose/Nearer';
import { OrderChoice } from './choose/OrderChoice';
import { flip, Places } from './choose/Places';
import { Smooth } from './choose/Smooth';
import { OldLabels } from './plan/OldLabels';
import { OpenPlans } from './plan/OpenPlans';
import { Preview } from './Preview';
import { Swaps } from './Swaps';
import { WorkingOut } from './WorkingOut';

/** Choose what, where and how; see before and after with figures; begin, or say that it is done. */
export function ArrangeScreen() {
  const { stash: whole, error } = useStash();
  // What stood here goes first; a frame later what is arranged is worked out.
  const stash = useGradually(1) > 0 ? whole : undefined;
  const { kind: wanted } = useLocalSearchParams<{ kind?: string }>();
  const { data: records } = useRecords();
  const { preferences } = usePreferences();
  const [begun, setChoice] = useBegun('arrange', choiceSchema);
  const asked = KINDS.find((kind) => kind === wanted);
  const start = startingWith(asked ?? 'ink');
  // Asked for from elsewhere, that kind is meant, whatever was begun here.
  const choice = begun && (!asked || begun.kinds.includes(asked)) ? begun : start;
  const change = (some: Partial<Choice>): void => setChoice({ ...choice, ...some });
  const kept = recordsOf(records, 'order');
  const ordering = orderingOf(choice, preferences, kept, seasonsInSight(preferences.hemisphere));
  const units = stash?.wall.units ?? [];
  const chosen =
    choice.unitIds ??
    units
      .filter((unit) => isMeant(unit) && unit.rules.kinds.some((kind) => choice.kinds.includes(kind)))
      .map(({ id }) => id);
  const { kinds, fromElsewhere, near, begin: beginIn, together } = choice;
  const request = {
    ...{ kinds, fromElsewhere, near, together, begin: beginIn, ...ordering },
    unitIds: chosen.filter((id) => units.some((unit) => unit.id === id)),
    outOf: choice.outOf.filter((id) => units.some((unit) => unit.id === id) && !chosen.includes(id)),
  };
  const ready = request.kinds.length > 0 && request.unitIds.length > 0;
  const watch = useRef('');
  const preview = useQuery({
    queryKey: [...keys.arrange, request],
    queryFn: ({ signal }) => {
      watch.current = v7();
      return call(routes.previewArrange, { body: { ...request, watch: watch.current }, signal });
    },
    enabled: ready,
    placeholderData: keepPreviousData,
  });
  const [doing, setDoing] = useState<Doing>(null);
  const client = useQueryClient();
  if (!stash) return <Waiting error={error} />;
  const plan = ready && !preview.error ? preview.data : undefined;
  return (
    <Page title="Arrange" aside="Nothing moves until you say so">
      {/* One that is just begun opens by itself. */}
      {doing !== 'begin' && <OpenPlans stash={stash} />}
      <View style={styles.choices}>
        <Folded label="What" value={sayKinds(choice)}>
          <View style={styles.chips} role="group" aria-label="Kinds to arrange">
            {KINDS.map((kind) => (
              <Chip
                key={kind}
                many
                label={KIND_DEFINITIONS[kind].plural}
                on={kinds.includes(kind)}
                onPress={() => change({ kinds: flip(kinds, kind), unitIds: null })}
              />
            ))}
          </View>
        </Folded>
        <Places units={units} chosen={chosen} choice={choice} onChange={change} />
        <OrderChoice
          kept={kept}
          choice={choice}
          onChange={change}
          body={{
            recipes: ordering.recipes ?? {},
            scheme: { picture: false, smooth: 0, ...ordering.scheme },
          }}
        />
        {ready && isByLightness(choice, ordering) && (
          <Smooth
            stash={stash}
            request={{ kinds, ...ordering }}
            wait={preview.isFetching || doing !== null}
            mine={choice.order === MINE ? preferences : null}
            onChange={change}
          />
        )}
        <Swaps stash={stash} onPlan={() => change({ order: 'season', smooth: null, lightness: null })} />
      </View>
      {!ready && (
        <Note>{units.length === 0 ? words.emptyWall : 'Choose at least one kind and one place.'}</Note>
      )}
      {preview.error && <Note sort="error">{preview.error.message}</Note>}
      {ready && (
        <WorkingOut
          on={preview.isFetching}
          watch={() => watch.current}
          onStop={() => void client.cancelQueries({ queryKey: keys.arrange })}
        />
      )}
      {plan && (
        <Preview plan={plan} stash={stash} leaving={doing === 'begin'}>
          {plan.lifts === 0 && <OldLabels stash={stash} unitIds={request.unitIds} />}
          <Nearer stops={plan.nearer} near={near} onChange={(next) => change({ near: next })} />
          <Acts
            plan={plan}
            stash={stash}
            request={request}
            working={preview.isFetching}
            outdated={preview.isPlaceholderData}
            onDo={(now) => startTransition(() => setDoing(now))}
          />
        </Preview>
      )}
    </Page>
  );
}

/** Seasons whose things one works with now, or soon. */
const seasonsInSight = (hemisphere: Hemisphere): Season[] =>
  SEASONS.filter((season) => seasonState(season, Date.now(), hemisphere) !== 'later');

/** What takes things in an order: a heap is only filled where one asks for it. */
const isMeant = (unit: UnitView): boolean =>
  isOnWall(unit) && unit.model?.model !== 'loose' && !unit.facts.stays;

const sayKinds = ({ kinds }: Choice): string =>
  kinds.length === 0 ? 'nothing yet' : listOf(kinds.map((kind) => KIND_DEFINITIONS[kind].plural));

const styles = StyleSheet.create({
  choices: { gap: space.s, maxWidth: 760 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
