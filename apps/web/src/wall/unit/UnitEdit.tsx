import { REACHES, ROOM_ID, STANDINGS, suits, type UnitFacts } from '@red-shelf/core';
import type { EditedUnit, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import type { Contents, Living } from '../../api/contents';
import { usePreferences } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { unitTitle } from '../../copy/supply';
import { listOf, many, words } from '../../copy/words';
import { useDraft } from '../../form/useDraft';
import { Labels } from '../storage/Labels';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Columns } from '../../ui/Columns';
import { Input } from '../../ui/Input';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { Txt } from '../../ui/Txt';
import { useWide } from '../../ui/useWide';
import { readUnit, saidOf } from './said';
import { UnitFields } from './UnitFields';
import { UnitPreview } from './UnitPreview';
import { useUnitForm } from './useUnitForm';

const FIRST = 'at the front';
const THE_ROOM = 'the room';
const REACH_WORDS = { near: 'at hand', mid: 'a step away', far: 'deep storage' } as const;

interface UnitEditProps {
  readonly unit: UnitView;
  readonly units: readonly UnitView[];
  readonly slots: Contents;
}

/** What of a unit's contents it would no longer take. */
const unfit = (drawn: UnitView, slots: Contents): Living[] =>
  slots.flatMap((living) =>
    living && suits(living, { unit: drawn, cell: living.lot.spot?.cell ?? null }) ? [living] : [],
  );

/** Everything a unit is: sizes, what it is made for, letter, name, standing, where it stands, its labels. */
export function UnitEdit({ unit, units, slots }: UnitEditProps) {
  const { preferences } = usePreferences();
  const wide = useWide();
  const before = units[units.findIndex(({ id }) => id === unit.id) - 1];
  const key = `unit.${unit.id}.${unit.version}`;
  const { form, said, drawn, clear } = useUnitForm(
    `${key}.sizes`,
    saidOf(unit, preferences.units),
    unit,
    preferences.units,
  );
  const [rest, setRest, forgetRest] = useDraft(key, {
    facts: unit.facts,
    after: before ? unitTitle(before) : FIRST,
    parent: unit.parentId,
  });
  const { facts, after, parent } = rest;
  const change = (more: Partial<typeof rest>): void => setRest({ ...rest, ...more });
  const setFacts = (next: UnitFacts): void => change({ facts: next });
  const done = (): void => {
    clear();
    forgetRest();
    router.setParams({ unit: '' });
  };
  const keep = useChange((body: EditedUnit) => order(routes.editUnit, { id: unit.id, body }), {
    quiet: true,
  });
  const planned = { ...drawn, facts };
  const leaving = unfit(planned, slots);
  const inside = slots.filter((slot) => slot !== null).length;
  const submit = form.handleSubmit((values) => {
    const { model, rules } = readUnit(values, preferences.units);
    if (!model || !rules || keep.isPending) return;
    const behind = units.find((each) => unitTitle(each) === after);
    const moved = (behind?.id ?? null) !== (before?.id ?? null);
    const label = values.label.trim();
    // The new version may stand here before the answer is told, as a form of its own: the promise outlives this one.
    void keep
      .mutateAsync({
        version: unit.version,
        name: values.name,
        model,
        rules,
        facts: sparse(facts),
        parentId: parent ?? ROOM_ID,
        ...(label === '' ? {} : { label }),
        ...(moved ? { after: behind?.id ?? null } : {}),
      })
      .then(done, () => undefined);
  });
  const others = units.filter(({ id }) => id !== unit.id);
  const stands = units.find(({ id }) => id === parent);
  return (
    <Page title={unitTitle(unit)} aside={`${many(inside, 'thing')} in it`}>
      <Columns
        first={
          <>
            {!wide && <UnitPreview unit={planned} contents={slots} units={preferences.units} />}
            <UnitFields control={form.control} how={said.how} />
            <Choice
              label="Standing"
              options={STANDINGS}
              value={facts.standing ?? 'active'}
              onChange={(word) => setFacts({ ...facts, standing: STANDINGS.find((each) => each === word) })}
            />
            {(facts.standing === 'spare' || facts.standing === 'retired') && (
              <Input
                label="Where it is kept"
                value={facts.keptAt ?? ''}
                onChange={(keptAt) => setFacts({ ...facts, keptAt })}
                hint="loft, behind the boxes"
              />
            )}
            <Choice
              label="From the desk it is"
              options={REACHES.map((reach) => REACH_WORDS[reach])}
              value={REACH_WORDS[facts.reach ?? 'mid']}
              onChange={(word) =>
                setFacts({ ...facts, reach: REACHES.find((reach) => REACH_WORDS[reach] === word) })
              }
            />
            <Choice
              label="It stands in"
              options={[THE_ROOM, ...others.map(unitTitle)]}
              value={stands ? unitTitle(stands) : THE_ROOM}
              onChange={(word) =>
                change({ parent: others.find((each) => unitTitle(each) === word)?.id ?? ROOM_ID })
              }
            />
            <Choice
              label="It comes after"
              options={[FIRST, ...others.map(unitTitle)]}
              value={after}
              onChange={(word) => change({ after: word })}
            />
            {leaving.length > 0 && <Leaving things={leaving} />}
            {keep.error && <Note sort="error">{keep.error.message}</Note>}
            <Caution id={`heavy.${unit.id}`}>{words.heavy}</Caution>
            <View style={styles.row}>
              <Button label="Keep it so" main busy={keep.isPending} onPress={() => void submit()} />
              <Button label="Leave it as it was" onPress={done} />
            </View>
            <Txt look="quiet">What still fits stays where it is.</Txt>
          </>
        }
        second={
          <>
            {wide && <UnitPreview unit={planned} contents={slots} units={preferences.units} />}
            <Labels unit={unit} slots={slots} />
          </>
        }
      />
    </Page>
  );
}

const NAMED = 6;

/** What will have no place, by name, before it is saved. */
function Leaving({ things }: { readonly things: readonly Living[] }) {
  const names = things.slice(0, NAMED).map(({ supply }) => supply.name);
  const more = things.length - names.length;
  return (
    <Note sort="attention">
      {`${many(things.length, 'thing')} will have no place, and stay in the stash: ${listOf([
        ...names,
        ...(more > 0 ? [many(more, 'other')] : []),
      ])}.`}
    </Note>
  );
}

/** Facts without what says nothing. */
const sparse = (facts: UnitFacts): UnitFacts =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined && value !== ''));

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
