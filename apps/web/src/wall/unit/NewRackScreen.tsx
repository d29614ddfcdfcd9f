import { findTemplate, ROOM_ID, unitFromTemplate, UNIT_TEMPLATES, type UnitTemplate } from '@red-shelf/core';
import type { NewUnit } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { order, routes } from '../../api/client';
import { usePreferences, useStash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { unitTitle } from '../../copy/supply';
import { words } from '../../copy/words';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/Caution';
import { FoldedChoice } from '../../ui/FoldedChoice';
import { Columns } from '../../ui/Columns';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { useWide } from '../../ui/useWide';
import { readUnit, saidOf } from './said';
import { TemplateChoice } from './TemplateChoice';
import { StandingFields, useStanding } from './StandingFields';
import { UnitFields } from './UnitFields';
import { UnitPreview } from './UnitPreview';
import { useUnitForm } from './useUnitForm';

const [FIRST] = UNIT_TEMPLATES;
const NOWHERE = {};

/** Put up a unit: start from a sort of it, say its sizes, see it drawn as one types. */
export function NewRackScreen() {
  const { template: asked, within } = useLocalSearchParams<{ template?: string; within?: string }>();
  const start = (asked && findTemplate(asked)) || FIRST;
  return start ? <NewRack key={start.id} start={start} kept={!asked} parentId={within ?? ROOM_ID} /> : null;
}

const THE_ROOM = 'the room';

interface NewRackProps {
  readonly start: UnitTemplate;
  readonly kept: boolean;
  /** What it is to stand in. */
  readonly parentId: string;
}

function NewRack({ start, kept, parentId }: NewRackProps) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const wide = useWide();
  const [template, setTemplate] = useState(start);
  // A rack that was asked for is not mixed with one that was begun.
  const name = kept ? 'unit.new' : `unit.new.${start.id}`;
  const { form, said, drawn, clear } = useUnitForm(
    name,
    saidOf(unitFromTemplate(start), units),
    unitFromTemplate(template),
    units,
  );
  const { stash } = useStash();
  const within = (stash?.wall.all ?? []).filter(({ facts }) => facts.standing !== 'retired');
  const [parent, setParent] = useState(parentId);
  const place = useStanding(`${name}.place`, template.facts ?? NOWHERE, units);
  const add = useChange((body: NewUnit) => order(routes.addUnit, { body }), { quiet: true });
  const submit = form.handleSubmit(async (values) => {
    const { model, rules } = readUnit(values, units);
    if (!model || !rules || !place.facts || add.isPending) return;
    const label = values.label.trim();
    await add.mutateAsync({
      template: template.id,
      parentId: parent,
      facts: place.facts,
      name: values.name,
      model,
      rules,
      ...(label === '' ? {} : { label }),
    });
    clear();
    place.clear();
    router.replace('/');
  });
  return (
    <Page title="Put up a rack">
      <TemplateChoice
        chosen={template.id}
        onChoose={(next) => {
          setTemplate(next);
          form.reset(saidOf(unitFromTemplate(next), units));
        }}
      />
      <Columns
        first={
          <>
            {!wide && <UnitPreview unit={drawn} contents={[]} units={units} />}
            <UnitFields control={form.control} how={said.how} way={said.way} />
            {within.length > 0 && (
              <FoldedChoice
                label="It stands in"
                options={[THE_ROOM, ...within.map(unitTitle)]}
                value={within.filter(({ id }) => id === parent).map(unitTitle)[0] ?? THE_ROOM}
                onChange={(title) =>
                  setParent(within.find((each) => unitTitle(each) === title)?.id ?? ROOM_ID)
                }
              />
            )}
            <StandingFields form={place} sort="unit" model={drawn.model} within={parent !== ROOM_ID} />
            {add.error && <Note sort="error">{add.error.message}</Note>}
            <Caution id="heavy.new">{words.heavy}</Caution>
            <Button
              label="Put it up"
              main
              busy={add.isPending}
              onPress={() => void submit().catch(() => undefined)}
            />
          </>
        }
        second={wide && <UnitPreview unit={drawn} contents={[]} units={units} />}
      />
    </Page>
  );
}
