import { KIND_DEFINITIONS, nearestOfEach, NO_CORRECTION, type Kind } from '@red-shelf/core';
import type { GroupBody } from '@red-shelf/contract';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ApiError } from '../../api/client';
import { readRangeFile } from '../../api/files';
import { recordsOf, useRecords, type Stash } from '../../api/queries';
import { choosePicture } from '../../colour/choosePicture';
import { askPhoto } from '../../colour/photoWork';
import { sayTone } from '../../copy/gaps';
import { ReasonRow } from '../../row/ReasonRow';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { chooseFile } from '../../ui/files';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import { Colours } from './Colours';

type Colour = NonNullable<GroupBody['colours']>[number];
const SHOWN_KINDS: readonly Kind[] = ['ink', 'marker', 'cardstock', 'ribbon', 'sticker'];
/** A project has no more colours than one keeps in mind. */
const MOST = 60;

/** Colours that are there already are not added again. */
export const withColours = (now: readonly Colour[], more: readonly Colour[]): Colour[] => {
  const known = new Set(now.map(({ hex }) => hex));
  const fresh = more.filter(({ hex }) => !known.has(hex) && known.add(hex));
  return [...now, ...fresh].slice(0, MOST);
};

interface PaletteProps {
  readonly body: GroupBody;
  readonly stash: Stash;
  readonly onKeep: (next: GroupBody) => void;
  readonly onAdd: (supplyId: string) => void;
}

/** The colours of a project: from what is in it, a saved palette, a photo or a palette file; and what one owns in each. */
export function Palette({ body, stash, onKeep, onAdd }: PaletteProps) {
  const colours = body.colours ?? [];
  const [chosen, setChosen] = useState('');
  const { data } = useRecords();
  const palettes = recordsOf(data, 'group').filter(
    ({ body: { what, dissolvedOn } }) => what === 'palette' && dissolvedOn === null,
  );
  const colourOf = (ids: readonly string[]): Colour[] =>
    ids.flatMap((id) => {
      const supply = stash.byId.get(id);
      return supply ? [{ name: supply.name, hex: supply.hex }] : [];
    });
  const idsOf = ({ members }: GroupBody): string[] => members.map(({ supplyId }) => supplyId);
  const add = (more: readonly Colour[]): void => onKeep({ ...body, colours: withColours(colours, more) });
  const fromPhoto = useMutation({
    mutationFn: async () => {
      const picture = await choosePicture();
      if (picture && 'message' in picture) throw new Error(picture.message);
      if (!picture) return [];
      const found = await askPhoto({ ask: 'colours', picture: picture.picture, light: NO_CORRECTION });
      return found.colours.map(({ hex }) => ({ name: sayTone(hex), hex }));
    },
    onSuccess: add,
  });
  const fromFile = useMutation({
    mutationFn: async () => {
      const file = await chooseFile('.gpl,.csv,text/plain,text/csv');
      return file ? (await readRangeFile(file)).entries.map(({ name, hex }) => ({ name, hex })) : [];
    },
    onSuccess: add,
  });
  const error = fromPhoto.error ?? fromFile.error;
  return (
    <View style={styles.box} role="region" aria-label="Palette">
      <Txt look="strong" level={2}>
        Palette
      </Txt>
      <Colours label="Colours of the project" colours={colours} chosen={chosen} onChoose={setChosen} />
      {colours.some(({ hex }) => hex === chosen) && (
        <NearestOwned
          hex={chosen}
          stash={stash}
          within={new Set(idsOf(body))}
          onAdd={onAdd}
          onDrop={() => onKeep({ ...body, colours: colours.filter(({ hex }) => hex !== chosen) })}
        />
      )}
      <Txt look="quiet">{colours.length === 0 ? 'No colours yet. Take them from' : 'More colours from'}</Txt>
      <View style={styles.row}>
        {body.members.length > 0 && (
          <Button label="What is in it" onPress={() => add(colourOf(idsOf(body)))} />
        )}
        {palettes.map((palette) => (
          <Button
            key={palette.id}
            label={palette.body.name}
            says={`The colours of the palette ${palette.body.name}`}
            onPress={() => add(colourOf(idsOf(palette.body)))}
          />
        ))}
        <Button label="A photo" busy={fromPhoto.isPending} onPress={() => fromPhoto.mutate()} />
        <Button label="A .gpl file" busy={fromFile.isPending} onPress={() => fromFile.mutate()} />
      </View>
      {error && (
        <Note sort="error">
          {error instanceof ApiError ? error.message : error.message || 'That did not work.'}
        </Note>
      )}
    </View>
  );
}

interface NearestOwnedProps {
  readonly hex: string;
  readonly stash: Stash;
  /** What is part of the project already. */
  readonly within: ReadonlySet<string>;
  readonly onAdd: (supplyId: string) => void;
  readonly onDrop: () => void;
}

/** For one colour the nearest owned of each kind, with the difference in words. */
function NearestOwned({ hex, stash, within, onAdd, onDrop }: NearestOwnedProps) {
  const nearest = useMemo(() => nearestOfEach(hex, SHOWN_KINDS, stash.supplies), [hex, stash]);
  return (
    <>
      <View role="list" aria-label="The nearest owned" style={styles.list}>
        {nearest.flatMap(({ kind, nearest: found }) =>
          found
            ? [
                <ReasonRow
                  key={kind}
                  supply={found.supply}
                  reason={`${KIND_DEFINITIONS[kind].name.toLowerCase()}: ${found.difference.words}`}
                >
                  {!within.has(found.supply.id) && (
                    <Button
                      label="Add"
                      says={`Add ${found.supply.name} to it`}
                      onPress={() => onAdd(found.supply.id)}
                    />
                  )}
                </ReasonRow>,
              ]
            : [],
        )}
      </View>
      <View style={styles.row}>
        <Button label="Leave this colour out" onPress={onDrop} />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { marginHorizontal: -space.m },
});
