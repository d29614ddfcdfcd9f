import {
  compareHomes,
  isOnWall,
  lookFor,
  sheetsIn,
  UNIT_TEMPLATES,
  unitFromTemplate,
  type Comparison,
  type Unit,
} from '@red-shelf/core';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { massIn, useContents, useRoom, type Living } from '../../api/contents';
import { usePreferences, useStash } from '../../api/queries';
import { REASON_WORDS, sayCompared, sayLookFor } from '../../copy/fit';
import { sayAboutMass } from '../../copy/measure';
import { unitTitle } from '../../copy/supply';
import { many, words } from '../../copy/words';
import { space } from '../../theme/tokens';
import { Caution } from '../../ui/Caution';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { RowLink } from '../../ui/RowLink';
import { Txt } from '../../ui/Txt';
import { Waiting } from '../../ui/Waiting';
import { AsPages } from './AsPages';

const SHOWN = 4;

/** Those that take something, the best first. */
const useful = ({ ranked, because }: Comparison<Living>) =>
  ranked
    .map((each, i) => ({ ...each, because: i === 0 ? null : (because[i - 1] ?? null) }))
    .filter(({ fits }) => fits.length > 0)
    .slice(0, SHOWN);

/** Where else what is in a unit would fit: in the room, in what could be had, and what to look for. Nothing is moved here. */
export function ElsewhereScreen() {
  const { stash, error } = useStash();
  const { unit: id } = useLocalSearchParams<{ unit?: string }>();
  const contents = useContents(stash);
  const room = useRoom(stash);
  const { units } = usePreferences().preferences;
  const unit = stash?.wall.units.find((each) => each.id === id);
  const things = useMemo(
    () => (contents.get(id ?? '') ?? []).flatMap((each) => (each ? [each] : [])),
    [contents, id],
  );
  const here = useMemo(
    () =>
      unit &&
      compareHomes(
        things,
        [unit],
        (stash?.wall.units ?? [])
          .filter((other) => other.id !== unit.id && other.model && isOnWall(other))
          .map((other) => ({ unit: other })),
        room,
      ),
    [things, unit, stash, room],
  );
  const had = useMemo(() => unit && compareHomes(things, [unit], newUnitsFor(things)), [things, unit]);
  if (!stash) return <Waiting error={error} />;
  if (!unit)
    return (
      <Page title="Where else?">
        <Note sort="error">There is no such unit any more.</Note>
      </Page>
    );
  const mass = massIn(things);
  const sheets = sheetsIn(things);
  const aside = [
    many(things.length, 'thing'),
    ...(mass > 0 ? [`about ${sayAboutMass(mass, units)} without what holds them`] : []),
  ].join(' · ');
  return (
    <Page title={`Where else would ${unitTitle(unit)} go?`} aside={aside} narrow>
      {things.length === 0 ? (
        <Note>Nothing is in it, so nothing has to go anywhere.</Note>
      ) : (
        <>
          <Choices
            title="Into what is there"
            none="Nothing else in the room takes any of it."
            found={here ? useful(here) : []}
            nameOf={unitTitle}
            onPress={(each) => router.push(`/storage?unit=${each.id}`)}
          />
          <Choices
            title="Into something like this, measured as it usually is"
            none="None of the usual sorts takes any of it."
            found={had ? useful(had) : []}
            nameOf={({ name }) => name}
            onPress={() => router.push('/rack')}
          />
          <View style={styles.part}>
            <Txt look="title" level={2}>
              What to look for
            </Txt>
            {lookFor(things).map((model) => {
              const { title, detail } = sayLookFor(model, things.length, units);
              return (
                <View key={model.model}>
                  <Txt look="strong">{title}</Txt>
                  <Txt look="quiet">{detail}</Txt>
                </View>
              );
            })}
            <Txt look="quiet">Each takes all of it. Measure the inside, not the label on it.</Txt>
          </View>
          {sheets.count > 0 && <AsPages of={unit.id} sheets={sheets} units={units} />}
          <Caution id={`heavy.${unit.id}`}>{words.heavy}</Caution>
        </>
      )}
    </Page>
  );
}

/** A unit of every sort that is made for what is there, as large as such a unit usually is. */
function newUnitsFor(things: readonly Living[]): { readonly unit: Unit }[] {
  const kinds = new Set(things.map(({ supply }) => supply.kind));
  return UNIT_TEMPLATES.filter(({ holds }) => holds.some((kind) => kinds.has(kind))).map((template) => ({
    unit: { ...unitFromTemplate(template), id: template.id },
  }));
}

interface ChoicesProps {
  readonly title: string;
  readonly none: string;
  readonly found: ReturnType<typeof useful>;
  readonly nameOf: (unit: Unit) => string;
  readonly onPress: (unit: Unit) => void;
}

function Choices({ title, none, found, nameOf, onPress }: ChoicesProps) {
  const [best] = found;
  return (
    <View style={styles.part}>
      <Txt look="title" level={2}>
        {title}
      </Txt>
      {found.length === 0 && <Txt look="quiet">{none}</Txt>}
      {found.map((each) => (
        <View key={each.unit.id} style={styles.one}>
          <RowLink title={nameOf(each.unit)} detail={sayCompared(each)} onPress={() => onPress(each.unit)} />
          {each.because && best && (
            <Txt look="quiet">{`Beside ${nameOf(best.unit)} it ${REASON_WORDS[each.because]}.`}</Txt>
          )}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: space.s }, one: { gap: 2 } });
