import { bodyOf, formOf, type Kind } from '@red-shelf/core';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { schemes } from '../theme/tokens';
import { shape } from './SlotShape';

/** One scale for every form, px per µm: a pad is about 30 px wide. */
const SCALE = 30 / 96_000;
const ROOM = { w: 44, h: 32 };
const THINNEST = 4;
/** Mid-grey, seen on light and on dark: no supply’s own colour. */
const GREY = schemes.light.openSlot;

/** A form by its visible end, to one scale, as far as there is room. */
export function FormEnd({ kind, form }: { readonly kind: Kind; readonly form: string }) {
  const { end } = formOf(kind, form);
  const { widthUm, heightUm } = bodyOf({ kind, form, facts: {} }).one;
  const w = Math.min(ROOM.w - 2, Math.max(THINNEST, widthUm * SCALE));
  const h = Math.min(ROOM.h - 2, Math.max(THINNEST, heightUm * SCALE));
  return (
    <View aria-hidden>
      <Svg width={ROOM.w} height={ROOM.h}>
        {shape(end, { x: (ROOM.w - w) / 2, y: (ROOM.h - h) / 2, w, h }, GREY)}
      </Svg>
    </View>
  );
}
