import { inStash, KIND_DEFINITIONS, KINDS, type Kind } from '@red-shelf/core';
import { useQuery } from '@tanstack/react-query';
import { router } from 'expo-router';
import { useState } from 'react';
import { call, routes } from '../../api/client';
import { keys } from '../../api/list';
import { usePreferences, useStash } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Note } from '../../ui/Note';
import { showUse } from '../../draw/useTint';
import { Page } from '../../ui/Page';
import { Waiting } from '../../ui/Waiting';
import { useGaps } from '../useGaps';
import { Circle } from './Circle';
import { Families } from './Families';
import { InAndOut } from './InAndOut';
import { Lasts } from './Lasts';
import { Months } from './Months';
import { Worth } from './Worth';
import { InTurn } from '../../ui/InTurn';

/** What comes in, what goes out, what there is: charts, each with its table and its file. */
export function FiguresScreen() {
  const { stash, error } = useStash();
  const { preferences } = usePreferences();
  const { gaps } = useGaps(stash);
  const figures = useQuery({ queryKey: keys.figures, queryFn: () => call(routes.figures, {}) });
  const [chosen, setKind] = useState<Kind>('ink');
  if (!stash || (!figures.data && !figures.error)) return <Waiting error={error} />;
  const here = KINDS.filter((kind) => stash.supplies.some((each) => each.kind === kind && inStash(each)));
  const kind = here.includes(chosen) ? chosen : (here[0] ?? 'ink');
  const { units, familyOrder } = preferences;
  return (
    <Page title="In pictures" aside="What comes in, what goes out, what there is" narrow>
      <Choice
        label="Kind"
        options={here.map((each) => KIND_DEFINITIONS[each].plural)}
        value={KIND_DEFINITIONS[kind].plural}
        onChange={(word) => setKind(here.find((each) => KIND_DEFINITIONS[each].plural === word) ?? kind)}
      />
      <Families kind={kind} supplies={stash.supplies} order={familyOrder} />
      <Circle kind={kind} supplies={stash.supplies} holes={gaps?.colours ?? []} />
      <Button
        label="Use, on the wall"
        says="How much each thing is used, on the wall"
        onPress={() => {
          showUse(true);
          router.push('/');
        }}
      />
      {figures.error && (
        <Note sort="attention">Red Shelf does not answer: what was bought and used is not known here.</Note>
      )}
      {figures.data && (
        <InTurn first={1}>
          <Months kind={kind} months={figures.data.months} units={units} />
          <Lasts kind={kind} rates={figures.data.rates} units={units} />
          <InAndOut months={figures.data.months} units={units} />
          <Worth worth={figures.data.worth} byId={stash.byId} supplies={stash.supplies} />
        </InTurn>
      )}
    </Page>
  );
}
