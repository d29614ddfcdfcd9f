import { isOnWall, pathTo } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { usePreferences, useStash } from '../../api/queries';
import { paperOf } from '../../copy/measure';
import { unitTitle } from '../../copy/supply';
import { Waiting } from '../../ui/Waiting';
import { colour, LIP, space, TOUCH } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Columns } from '../../ui/Columns';
import { Flag, Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { PrintButton } from '../../ui/PrintButton';
import { Txt } from '../../ui/Txt';
import { UnitHead, useSayFilled } from '../../draw/UnitBlock';
import { KindLimits } from './KindLimits';
import { Apart } from './Apart';
import { Swaps } from './Swaps';
import { Needs } from './Needs';
import { usePains } from '../../judge/PainList';
import { sayPain } from '../../judge/painWords';
import { RowLink } from '../../ui/RowLink';
import { many } from '../../copy/words';
import { NEW_PIECE, PieceForm } from '../unit/PieceForm';
import { UnitEdit } from '../unit/UnitEdit';
import { printPacking } from './packing';
import { InTurn } from '../../ui/InTurn';

/** All storage: what stands on the wall with where it hurts, what is spare, what was retired, and what is still needed. */
export function StorageScreen() {
  const { unit: chosen, like } = useLocalSearchParams<{ unit?: string; like?: string }>();
  const { stash, error } = useStash();
  const { slots, judged } = usePains(stash);
  const sayFilled = useSayFilled();
  const { preferences } = usePreferences();
  if (!stash) return <Waiting error={error} />;
  const pieces = stash.wall.all.filter(({ sort }) => sort === 'piece');
  const current = stash.wall.all.find(({ id }) => id === chosen);
  if (chosen === NEW_PIECE || current?.sort === 'piece')
    return (
      <PieceForm
        key={current ? `${current.id} ${current.version}` : `${NEW_PIECE} ${like ?? ''}`}
        piece={current ?? null}
        like={pieces.find(({ id }) => id === like)}
        all={stash.wall.all}
      />
    );
  if (current)
    return (
      <UnitEdit
        key={`${current.id} ${current.version}`}
        unit={current}
        units={stash.wall.units}
        pieces={pieces}
        slots={slots.get(current.id) ?? []}
      />
    );
  const onWall = judged.filter(({ unit }) => isOnWall(unit));
  const away = judged.filter(({ unit }) => !isOnWall(unit));
  const unitById = new Map(stash.wall.all.map((unit) => [unit.id, unit]));
  /** What it stands in, where that is not the room itself. */
  const standsIn = (unit: UnitView): string[] =>
    pathTo(unit, unitById)
      .slice(0, -1)
      .map((above) => `in ${unitTitle(above)}`);
  const worst = onWall[0];
  return (
    <Page title="Storage" aside={`${onWall.length} on the wall · ${away.length} put away`}>
      <Columns
        first={
          <>
            {worst && worst.score > 0 && (
              <Note>{`Start with ${unitTitle(worst.unit)}: ${worst.pains.map(sayPain).join(', ')}.`}</Note>
            )}
            <PrintButton
              label="Print a packing list"
              name="packing.pdf"
              make={() =>
                printPacking(stash, slots, {
                  units: preferences.units,
                  paper: paperOf(preferences),
                })
              }
            />
            <View role="list" aria-label="Storage, where it hurts most first" style={styles.list}>
              <InTurn first={4} step={2}>
                {onWall.map(({ unit, pains }) => (
                  <UnitRow
                    key={unit.id}
                    unit={unit}
                    sayAside={() =>
                      [sayFilled(unit, slots.get(unit.id) ?? []), ...standsIn(unit)].join(' · ')
                    }
                    flags={pains.map(sayPain)}
                  />
                ))}
              </InTurn>
            </View>
            {away.length > 0 && (
              <View style={styles.list}>
                <Txt look="strong" level={2}>
                  Put away
                </Txt>
                <View role="list" aria-label="Put away" style={styles.list}>
                  {away.map(({ unit }) => (
                    <UnitRow
                      key={unit.id}
                      unit={unit}
                      sayAside={() =>
                        unit.facts.keptAt
                          ? `in ${unit.facts.keptAt}`
                          : sayFilled(unit, slots.get(unit.id) ?? [])
                      }
                      flags={[unit.facts.standing ?? '']}
                    />
                  ))}
                </View>
              </View>
            )}
            {pieces.length > 0 && (
              <View style={styles.list}>
                <Txt look="strong" level={2}>
                  Furniture and walls
                </Txt>
                {pieces.map((piece) => (
                  <RowLink
                    key={piece.id}
                    title={piece.name}
                    detail={many(
                      stash.wall.all.filter(({ parentId }) => parentId === piece.id).length,
                      'thing stands in it',
                      'things stand in it',
                    )}
                    onPress={() => router.setParams({ unit: piece.id })}
                  />
                ))}
              </View>
            )}
            <View style={styles.acts}>
              <Button label="Put up a rack" icon="plus" onPress={() => router.push('/rack')} />
              <Button
                label="Furniture"
                icon="plus"
                onPress={() => router.push(`/storage?unit=${NEW_PIECE}`)}
              />
            </View>
          </>
        }
        second={
          <>
            <Swaps stash={stash} />
            <Apart stash={stash} />
            <KindLimits />
            <Needs />
          </>
        }
      />
    </Page>
  );
}

function UnitRow({
  unit,
  sayAside,
  flags,
}: {
  readonly unit: UnitView;
  /** How full it is and where it stands; asked once the row is drawn. */
  readonly sayAside: () => string;
  readonly flags: readonly string[];
}) {
  return (
    <View role="listitem">
      <Pressable
        role="link"
        aria-label={unitTitle(unit)}
        onPress={() => router.setParams({ unit: unit.id })}
        style={styles.row}
      >
        <UnitHead unit={unit} aside={sayAside()} />
        <View style={styles.acts}>
          {flags.length === 0 ? (
            <Txt look="quiet">works well</Txt>
          ) : (
            flags.map((flag) => <Flag key={flag} label={flag} />)
          )}
        </View>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space.s },
  row: {
    gap: space.s,
    minHeight: TOUCH,
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderLeftWidth: LIP,
    borderLeftColor: colour.hairline,
  },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
