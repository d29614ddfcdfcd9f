import {
  endOf,
  findTemplate,
  ROOM_ID,
  unitFromTemplate,
  UNIT_TEMPLATES,
  type UnitTemplate,
} from '@red-shelf/core';
import type { NewUnit, UnitView } from '@red-shelf/contract';
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
import { Waiting } from '../../ui/Waiting';
import { useWide } from '../../ui/useWide';
import { NestNote } from './NestNote';
import { readUnit, saidOf } from './said';
import { TemplateChoice } from './TemplateChoice';
import { StandingFields, useStanding } from './StandingFields';
import { UnitFields } from './UnitFields';
import { UnitPreview } from './UnitPreview';
import { useUnitForm } from './useUnitForm';

const [FIRST] = UNIT_TEMPLATES;
const NOWHERE = {};

/** Put up a unit: start from a sort of it or from one that is there, say its sizes, see it drawn as one types. */
export function NewRackScreen() {
  const {
    template: asked,
    within,
    like,
  } = useLocalSearchParams<{ template?: string; within?: string; like?: string }>();
  const { stash, error } = useStash();
  if (like && !stash) return <Waiting error={error} />;
  const model = stash?.wall.units.find(({ id }) => id === like);
  const start = (model && templateOf(model)) ?? ((asked && findTemplate(asked)) || FIRST);
  if (!start) return null;
  const key = model ? `like.${model.id}` : start.id;
  return (
    <NewRack
      key={key}
      start={start}
      // A rack that was asked for is not mixed with one that was begun.
      name={asked || model ? `unit.new.${key}` : 'unit.new'}
      parentId={within ?? model?.parentId ?? ROOM_ID}
    />
  );
}

/** What another one like a unit starts from. */
function templateOf(unit: UnitView): UnitTemplate | null {
  const { model, name, rules, facts } = unit;
  const { lies, opens, covers } = facts;
  if (!model) return null;
  return {
    id: facts.template ?? '',
    name,
    holds: rules.kinds,
    end: endOf(unit),
    model,
    facts: { ...(lies && { lies }), ...(opens && { opens }), ...(covers && { covers }) },
  };
}

const THE_ROOM = 'the room';

interface NewRackProps {
  readonly start: UnitTemplate;
  /** What the half-filled form is kept under. */
  readonly name: string;
  /** What it is to stand in. */
  readonly parentId: string;
}

function NewRack({ start, name, parentId }: NewRackProps) {
  const { preferences } = usePreferences();
  const { units } = preferences;
  const wide = useWide();
  const [template, setTemplate] = useState(start);
  const { form, said, drawn, turn, clear } = useUnitForm(
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
      ...(template.id === '' ? {} : { template: template.id }),
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
            <UnitFields control={form.control} how={said.how} way={said.way} onTurn={turn} />
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
            <NestNote
              unit={{ ...drawn, facts: { ...drawn.facts, ...place.facts } }}
              parent={within.find(({ id }) => id === parent)}
            />
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
