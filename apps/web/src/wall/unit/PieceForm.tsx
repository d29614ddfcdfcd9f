import { isTallAndFree, KINDS, PIECE_STARTS, PLACE_MARKS, ROOM_ID, type UnitFacts } from '@red-shelf/core';
import type { EditedUnit, NewUnit, UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../../api/client';
import { usePreferences } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayLength } from '../../copy/measure';
import { unitTitle } from '../../copy/supply';
import { many, words } from '../../copy/words';
import { ChoiceField } from '../../form/bound';
import { useAsk } from '../../form/useAsk';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Columns } from '../../ui/Columns';
import { Field } from '../../ui/Field';
import { Note } from '../../ui/Note';
import { Page } from '../../ui/Page';
import { RowLink } from '../../ui/RowLink';
import { Txt } from '../../ui/Txt';
import { GapFills } from './GapFills';
import { LoadNote } from './LoadNote';
import { Marks } from './PlaceCare';
import { PlacePhotos } from './PlacePhotos';
import { StandingFields, useStanding } from './StandingFields';
import { withoutStanding } from './standing';

/** Says in the address that furniture is to be put up. */
export const NEW_PIECE = 'new-piece';
const THE_ROOM = 'the room';
const [FIRST] = PIECE_STARTS;

const pieceSaid = z.object({
  name: z.string().trim().min(1, 'Give it a name.').max(60, 'The name has at most 60 letters.'),
  parent: z.string(),
  marks: z.array(z.enum(PLACE_MARKS)),
  photos: z.array(z.object({ id: z.string(), width: z.number(), height: z.number(), on: z.string() })),
});

interface PieceFormProps {
  /** The piece to change; null puts up another one. */
  readonly piece: UnitView | null;
  /** What another one is like, where it is like one that is there. */
  readonly like?: UnitView | undefined;
  /** Everything that stands in the room. */
  readonly all: readonly UnitView[];
}

/** What another piece like one has in common with it: all but its place, and pictures of it. */
function anotherLike({ facts }: UnitView): UnitFacts {
  const { pose: _pose, photos: _photos, labelled: _labelled, accepted: _accepted, ...rest } = facts;
  return rest;
}

/** Furniture, a board on a wall, a cart, the desk: what racks and trays stand in. */
export function PieceForm({ piece, like, all }: PieceFormProps) {
  const { preferences } = usePreferences();
  const key = piece ? `piece.${piece.id}.${piece.version}` : `piece.new${like ? `.${like.id}` : ''}`;
  const start: UnitFacts =
    piece?.facts ?? (like ? anotherLike(like) : FIRST ? { outsideUm: FIRST.outsideUm } : {});
  const ask = useAsk(key, pieceSaid, {
    name: piece?.name ?? like?.name ?? FIRST?.name ?? '',
    parent: (piece ?? like)?.parentId ?? ROOM_ID,
    marks: start.marks ?? [],
    photos: start.photos ?? [],
  });
  const stands = useStanding(`${key}.stands`, start, preferences.units);
  const add = useChange((body: NewUnit) => order(routes.addUnit, { body }), { quiet: true });
  const keep = useChange((body: EditedUnit) => order(routes.editUnit, { id: piece?.id ?? '', body }), {
    quiet: true,
  });
  const takeAway = useChange(() =>
    order(routes.removeUnit, { id: piece?.id ?? '', body: { version: piece?.version ?? 0 } }),
  );
  const inside = all.filter(({ parentId }) => piece !== null && parentId === piece.id);
  const others = all.filter(({ id, sort }) => sort === 'piece' && id !== piece?.id);
  const send = async ({ name, parent, marks, photos }: z.output<typeof pieceSaid>): Promise<boolean> => {
    if (!stands.facts) return false;
    const { marks: _marks, photos: _photos, ...rest } = withoutStanding(start);
    const facts = {
      ...rest,
      ...stands.facts,
      ...(marks.length > 0 ? { marks } : {}),
      ...(photos.length > 0 ? { photos } : {}),
    };
    const said = { name, model: null, rules: { kinds: [...KINDS] }, facts, parentId: parent };
    await (piece
      ? keep.mutateAsync({ ...said, version: piece.version })
      : add.mutateAsync({ ...said, sort: 'piece' }));
    stands.clear();
    if (piece) router.setParams({ unit: '' });
    else router.replace('/storage');
    return true;
  };
  const begin = (name: string): void => {
    const chosen = PIECE_STARTS.find((each) => each.name === name);
    if (!chosen) return;
    ask.set('name', chosen.name);
    const { widthUm, heightUm, depthUm } = chosen.outsideUm;
    stands.set('width', sayLength(widthUm, preferences.units));
    stands.set('height', sayLength(heightUm, preferences.units));
    stands.set('depth', sayLength(depthUm, preferences.units));
  };
  const problem = add.error ?? keep.error;
  return (
    <Page
      title={piece ? piece.name : 'Furniture'}
      aside={
        piece
          ? `${many(inside.length, 'rack or tray', 'racks and trays')} in it`
          : 'what racks and trays stand in'
      }
    >
      <Columns
        first={
          <>
            {!piece && !like && (
              <Choice
                label="Start from"
                options={PIECE_STARTS.map(({ name }) => name)}
                value={PIECE_STARTS.find(({ name }) => name === ask.said.name)?.name ?? ''}
                onChange={begin}
              />
            )}
            <Field control={ask.control} name="name" label="Name" />
            {others.length > 0 && (
              <ChoiceField
                control={ask.control}
                name="parent"
                label="It stands in"
                folded
                options={[ROOM_ID, ...others.map(({ id }) => id)]}
                say={(id) => others.find((each) => each.id === id)?.name ?? THE_ROOM}
              />
            )}
            <StandingFields form={stands} sort="piece" model={null} within={ask.said.parent !== ROOM_ID} />
            <Marks value={ask.said.marks} onChange={(next) => ask.set('marks', next)} />
            {piece && (
              <PlacePhotos
                name={piece.name}
                photos={ask.said.photos}
                onChange={(next) => ask.set('photos', next)}
              />
            )}
            {stands.facts && isTallAndFree(stands.facts) && <Note sort="attention">{words.tallAndFree}</Note>}
            {piece && <LoadNote unitId={piece.id} bearsMg={stands.facts?.bearsMg} />}
            {problem && <Note sort="error">{problem.message}</Note>}
            <Caution id={`heavy.${piece?.id ?? 'piece'}`}>{words.heavy}</Caution>
            <View style={styles.row}>
              <Button
                label={piece ? 'Keep it so' : 'Put it in the room'}
                main
                busy={add.isPending || keep.isPending}
                onPress={() => ask.submit(send)}
              />
              {piece && (
                <Button
                  label="Another like it"
                  onPress={() => router.setParams({ unit: NEW_PIECE, like: piece.id })}
                />
              )}
              {piece && (
                <Button
                  label="Take it away"
                  busy={takeAway.isPending}
                  onPress={() =>
                    takeAway.mutate(undefined, { onSuccess: () => router.setParams({ unit: '' }) })
                  }
                />
              )}
            </View>
            {piece && <Txt look="quiet">What stands in it stays, and moves out to where it stood.</Txt>}
          </>
        }
        second={
          inside.length === 0 && piece?.facts.outsideUm ? (
            <GapFills pieceId={piece.id} gap={piece.facts.outsideUm} all={all} />
          ) : (
            <View role="list" aria-label="What stands in it">
              {inside.map((unit) => (
                <RowLink
                  key={unit.id}
                  title={unitTitle(unit)}
                  detail={unit.sort === 'piece' ? 'furniture' : 'what it is and where'}
                  onPress={() => router.setParams({ unit: unit.id })}
                />
              ))}
            </View>
          )
        }
      />
    </Page>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s } });
