import {
  NO_CORRECTION,
  proposeHome,
  type Dominant,
  type Light,
  type Picture,
  type Sample,
  type Spot,
  type WhiteRefusal,
} from '@red-shelf/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, radius, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import type { TakenColour } from './taken';
import { askPhoto } from './photoWork';
import { PictureView } from './PictureView';
import { choosePicture } from './choosePicture';

const WHITE_REFUSALS: Readonly<Record<WhiteRefusal, string>> = {
  too_dark: 'That spot is too dark to be white paper. Tap a bit of white paper in good light.',
  burnt_out:
    'That spot is burnt out, so the light cannot be told from it. Tap white paper that is not glaring.',
  not_white: 'That spot is coloured, or something in the picture is much whiter. Tap the white of the paper.',
};
/** A swatch with a wider spread is blotchy or patterned. */
const EVEN = 4;
/** Spots are this share of the picture's width. */
const SPOT_SHARE = 1 / 40;

interface Loaded {
  readonly image: HTMLCanvasElement;
  readonly picture: Picture;
}

/** A photo: tap the white of the paper to take out the light, then tap the colour. */
export function PhotoWay({ onTake }: { readonly onTake: (colour: TakenColour) => void }) {
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  const [white, setWhite] = useState<{ spot: Spot; light: Light } | null>(null);
  const [sample, setSample] = useState<{ spot: Spot; seen: Sample } | null>(null);
  const [colours, setColours] = useState<readonly Dominant[] | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);

  const choose = async (): Promise<void> => {
    const chosen = await choosePicture();
    if (!chosen) return;
    setRefusal('message' in chosen ? chosen.message : null);
    if ('message' in chosen) return;
    setLoaded(chosen);
    setWhite(null);
    setSample(null);
    setColours(null);
  };
  const tap = async (x: number, y: number): Promise<void> => {
    if (!loaded) return;
    const { picture } = loaded;
    const spot = { x, y, radius: Math.max(3, picture.width * SPOT_SHARE) };
    setRefusal(null);
    if (!white) {
      const { light } = await askPhoto({ ask: 'white', picture, spot });
      if (light.ok) setWhite({ spot, light: light.light });
      else setRefusal(WHITE_REFUSALS[light.code]);
      return;
    }
    const { sample: seen } = await askPhoto({ ask: 'swatch', picture, spot, light: white.light });
    setSample({ spot, seen });
  };
  const findColours = async (): Promise<void> => {
    if (!loaded) return;
    const { picture } = loaded;
    setColours((await askPhoto({ ask: 'colours', picture, light: white?.light ?? NO_CORRECTION })).colours);
  };
  const skipWhite = () => setWhite({ spot: { x: -99, y: -99, radius: 1 }, light: NO_CORRECTION });

  if (!loaded)
    return (
      <View style={styles.box}>
        <Txt look="quiet">Photograph the swatch on white paper, in daylight, without flash.</Txt>
        <Button label="Choose or take a picture" main onPress={() => void choose()} />
        {refusal && <Note sort="error">{refusal}</Note>}
      </View>
    );
  const step = white ? 'Now tap the colour' : 'Tap the white of the paper';
  const spots = [
    ...(white ? [{ spot: white.spot, mark: 'white' }] : []),
    ...(sample ? [{ spot: sample.spot, mark: 'colour' }] : []),
  ];
  return (
    <View style={styles.box}>
      <Txt look="strong">{step}</Txt>
      <PictureView image={loaded.image} label={step} spots={spots} onTap={(x, y) => void tap(x, y)} />
      {refusal && <Note sort="error">{refusal}</Note>}
      {sample && (
        <>
          <View style={styles.row}>
            <View style={[styles.seen, { backgroundColor: sample.seen.hex }]} />
            <Txt>
              {sample.seen.hex}, spread {sample.seen.spread.toFixed(1)} ΔE
            </Txt>
          </View>
          {sample.seen.spread > EVEN && (
            <Note sort="attention">
              This spot is uneven. Tap a flatter part, or find the colours of the whole sheet.
            </Note>
          )}
          <Button
            label={`Take ${sample.seen.hex}`}
            main
            onPress={() => onTake({ hex: sample.seen.hex, taken: 'photo', spread: sample.seen.spread })}
          />
        </>
      )}
      <View style={styles.row}>
        {!white && <Button label="No white in it" onPress={skipWhite} />}
        <Button label="Colours of the whole sheet" onPress={() => void findColours()} />
        <Button label="Another picture" onPress={() => void choose()} />
      </View>
      {colours && <SheetColours colours={colours} onTake={onTake} />}
    </View>
  );
}

/** The colours of a patterned sheet: one becomes its home, the others are kept for searching. */
function SheetColours({
  colours,
  onTake,
}: {
  readonly colours: readonly Dominant[];
  readonly onTake: (colour: TakenColour) => void;
}) {
  const proposed = proposeHome(colours);
  return (
    <View style={styles.box}>
      <Txt look="quiet">Which colour would you reach for it as? The others are kept for searching.</Txt>
      {colours.map((each) => (
        <Pressable
          key={each.hex}
          role="button"
          aria-label={`File it under ${each.hex}`}
          style={styles.row}
          onPress={() =>
            onTake({
              hex: each.hex,
              taken: 'photo',
              others: colours.filter(({ hex }) => hex !== each.hex).map(({ hex }) => hex),
            })
          }
        >
          <View style={[styles.seen, { backgroundColor: each.hex }]} />
          <Txt look={each === proposed ? 'strong' : 'body'}>
            {each.hex}, {Math.round(100 * each.share)}%{each === proposed ? ', proposed' : ''}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center', minHeight: TOUCH },
  seen: { width: TOUCH, height: TOUCH, borderRadius: radius.s, borderWidth: 1, borderColor: colour.hairline },
});
