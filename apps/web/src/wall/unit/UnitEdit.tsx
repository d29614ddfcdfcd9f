import { CARE_IDS, PLACE_MARKS, REACHES, ROOM_ID, signsIn, STANDINGS, type UnitFacts } from '@red-shelf/core';
import type { EditedUnit, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../../api/client';
import { freeIn, insideOf, massIn, useContents, type Contents } from '../../api/contents';
import { usePreferences, useStash } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayAboutMass } from '../../copy/measure';
import { sayFree } from '../../copy/places';
import { unitTitle } from '../../copy/supply';
import { many, words } from '../../copy/words';
import { ChoiceField } from '../../form/bound';
import { useAsk } from '../../form/useAsk';
import { Labels } from '../storage/Labels';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/Caution';
import { Columns } from '../../ui/Columns';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { Txt } from '../../ui/Txt';
import { useWide } from '../../ui/useWide';
import { afterwards, Leaving } from './Leaving';
import { LoadNote } from './LoadNote';
import { MoreLikeIt } from './MoreLikeIt';
import { NestNote } from './NestNote';
import { Overflows } from './Overflows';
import { PlacePhotos } from './PlacePhotos';
import { Marks, PlaceCare } from './PlaceCare';
import { readUnit, saidOf } from './said';
import { StackOn } from './StackOn';
import { SpotNames } from './SpotNames';
import { StandingFields, useStanding } from './StandingFields';
import { withoutStanding } from './standing';
import { UnitFields } from './UnitFields';
import { UnitPreview } from './UnitPreview';
import { useUnitForm } from './useUnitForm';

const FIRST = 'first';
const NONE = 'none';
const AT_THE_FRONT = 'at the front';
const THE_ROOM = 'the room';
const REACH_WORDS = { near: 'at hand', mid: 'a step away', far: 'deep storage' } as const;

/** What a unit is besides its sizes. */
const restSaid = z.object({
  standing: z.enum(STANDINGS),
  reach: z.enum(REACHES),
  keptAt: z.string(),
  after: z.string(),
  parent: z.string(),
  marks: z.array(z.enum(PLACE_MARKS)),
  accepted: z.array(z.object({ rule: z.enum(CARE_IDS), because: z.string() })),
  photos: z.array(z.object({ id: z.string(), width: z.number(), height: z.number(), on: z.string() })),
  overflowOf: z.string(),
  spotNames: z.array(z.object({ row: z.number(), column: z.number(), name: z.string() })),
});

interface UnitEditProps {
  readonly unit: UnitView;
  readonly units: readonly UnitView[];
  /** Furniture it may stand in. */
  readonly pieces: readonly UnitView[];
  readonly slots: Contents;
}

/** Everything a unit is: sizes, what it is made for, letter, name, standing, where it stands, its labels. */
export function UnitEdit({ unit, units, pieces, slots }: UnitEditProps) {
  const { preferences } = usePreferences();
  const wide = useWide();
  const before = units[units.findIndex(({ id }) => id === unit.id) - 1];
  const key = `unit.${unit.id}.${unit.version}`;
  const { form, said, drawn, turn, clear } = useUnitForm(
    `${key}.sizes`,
    saidOf(unit, preferences.units),
    unit,
    preferences.units,
  );
  const rest = useAsk(key, restSaid, {
    standing: unit.facts.standing ?? 'active',
    reach: unit.facts.reach ?? 'mid',
    keptAt: unit.facts.keptAt ?? '',
    after: before?.id ?? FIRST,
    parent: unit.parentId ?? ROOM_ID,
    marks: unit.facts.marks ?? [],
    accepted: unit.facts.accepted ?? [],
    photos: unit.facts.photos ?? [],
    overflowOf: unit.facts.overflowOf ?? NONE,
    spotNames: unit.facts.spotNames ?? [],
  });
  const place = useStanding(`${key}.place`, unit.facts, preferences.units);
  const { after, parent, marks, accepted, photos, spotNames, overflowOf, ...stands } = rest.said;
  const facts = sparse(
    {
      ...withoutStanding(unit.facts),
      ...place.facts,
      ...stands,
      marks: marks.length > 0 ? marks : undefined,
      accepted: accepted.length > 0 ? accepted : undefined,
      overflowOf: overflowOf === NONE ? undefined : overflowOf,
      photos: photos.length > 0 ? photos : undefined,
      spotNames: spotNames.length > 0 ? spotNames : undefined,
    },
    { standing: 'active', reach: 'mid', keptAt: '' },
  );
  const done = (): void => {
    clear();
    rest.clear();
    place.clear();
    router.setParams({ unit: '' });
  };
  const keep = useChange((body: EditedUnit) => order(routes.editUnit, { id: unit.id, body }), {
    quiet: true,
  });
  const planned = { ...drawn, facts };
  const { slots: then, leaving } = afterwards(unit, planned, slots);
  const shared = freeIn(planned, then);
  const overfull = shared && shared.measure !== 'volume' && shared.have > shared.of ? shared : null;
  const contents = useContents(useStash().stash);
  const standing = { ...planned, parentId: parent };
  const signs = signsIn(
    [...pieces, ...units].map((each) => (each.id === unit.id ? standing : each)),
    insideOf(contents),
  )(standing);
  const inside = slots.filter((slot) => slot !== null).length;
  // What stands on a shelf is what it has to carry.
  const mass = massIn(slots);
  const weight = mass > 0 ? [`about ${sayAboutMass(mass, preferences.units)} without the rack`] : [];
  const submit = form.handleSubmit((values) => {
    const { model, rules } = readUnit(values, preferences.units);
    if (!model || !rules || !place.facts || keep.isPending) return;
    const behind = after === FIRST ? null : after;
    const moved = behind !== (before?.id ?? null);
    const label = values.label.trim();
    // The new version may stand here before the answer is told, as a form of its own: the promise outlives this one.
    void keep
      .mutateAsync({
        version: unit.version,
        name: values.name,
        model,
        rules,
        facts,
        parentId: parent,
        ...(label === '' ? {} : { label }),
        ...(moved ? { after: behind } : {}),
      })
      .then(done, () => undefined);
  });
  const others = units.filter(({ id }) => id !== unit.id);
  const titleOf = (id: string): string => {
    const other = [...others, ...pieces].find((each) => each.id === id);
    return other ? unitTitle(other) : id === FIRST ? AT_THE_FRONT : THE_ROOM;
  };
  return (
    <Page title={unitTitle(unit)} aside={[`${many(inside, 'thing')} in it`, ...weight].join(' · ')}>
      <Columns
        first={
          <>
            {!wide && <UnitPreview unit={planned} contents={then} units={preferences.units} />}
            <UnitFields
              control={form.control}
              how={said.how}
              way={said.way}
              onTurn={inside === 0 ? turn : undefined}
            />
            <ChoiceField control={rest.control} name="standing" label="Standing" options={STANDINGS} />
            <SpotNames unit={planned} names={spotNames} onChange={(next) => rest.set('spotNames', next)} />
            {(stands.standing === 'spare' || stands.standing === 'retired') && (
              <Field
                control={rest.control}
                name="keptAt"
                label="Where it is kept"
                hint="loft, behind the boxes"
              />
            )}
            <ChoiceField
              control={rest.control}
              name="reach"
              label="From the desk it is"
              options={REACHES}
              say={(reach) => REACH_WORDS[reach as keyof typeof REACH_WORDS]}
            />
            <ChoiceField
              control={rest.control}
              name="parent"
              label="It stands in"
              folded
              options={[ROOM_ID, ...pieces.map(({ id }) => id), ...others.map(({ id }) => id)]}
              say={titleOf}
            />
            <StackOn
              others={[...pieces, ...others].filter(({ parentId }) => parentId !== unit.id)}
              all={[...pieces, ...units]}
              onStack={({ parentId, pose }) => {
                rest.set('parent', parentId);
                place.stand(pose);
              }}
            />
            <NestNote unit={planned} parent={[...pieces, ...others].find(({ id }) => id === parent)} />
            <StandingFields form={place} sort="unit" model={drawn.model} within={parent !== ROOM_ID} />
            <ChoiceField
              control={rest.control}
              name="after"
              label="It comes after"
              folded
              options={[FIRST, ...others.map(({ id }) => id)]}
              say={titleOf}
            />
            <ChoiceField
              control={rest.control}
              name="overflowOf"
              label="It takes what is too much for"
              folded
              options={[NONE, ...others.map(({ id }) => id)]}
              say={(id) => (id === NONE ? 'nothing else' : titleOf(id))}
            />
            <Overflows unit={unit} units={units} />
            <Marks value={marks} onChange={(next) => rest.set('marks', next)} />
            <PlaceCare
              accepted={accepted}
              onAccept={(next) => rest.set('accepted', next)}
              contents={slots}
              signs={signs}
            />
            <PlacePhotos name={unit.name} photos={photos} onChange={(next) => rest.set('photos', next)} />
            <LoadNote unitId={unit.id} bearsMg={place.facts?.bearsMg} />
            {leaving.length > 0 && <Leaving things={leaving} />}
            {overfull && (
              <Note sort="attention">{`It would be ${sayFree(overfull, preferences.units)}: some must live elsewhere.`}</Note>
            )}
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
            {wide && <UnitPreview unit={planned} contents={then} units={preferences.units} />}
            {inside > 0 && (
              <Button
                label="Where else would it all fit?"
                onPress={() => router.push(`/elsewhere?unit=${unit.id}`)}
              />
            )}
            <Button
              label="Put up another like it"
              onPress={() => router.push({ pathname: '/rack', params: { like: unit.id } })}
            />
            <MoreLikeIt unit={planned} all={[...pieces, ...units]} />
            <Labels unit={unit} slots={slots} />
          </>
        }
      />
    </Page>
  );
}

/** Facts without what says nothing, or what goes without saying. */
const sparse = (facts: UnitFacts, usual: UnitFacts): UnitFacts =>
  Object.fromEntries(
    Object.entries(facts).filter(
      ([key, value]) => value !== undefined && value !== usual[key as keyof UnitFacts],
    ),
  );

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
