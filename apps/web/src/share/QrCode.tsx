import { View, StyleSheet } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { encode } from 'uqr';

/** Free modules around the code (ISO/IEC 18004 asks for four). */
const BORDER = 4;

/** A text as a QR code, dark on light whatever the page's colours are. */
export function QrCode({ text, size = 220 }: { readonly text: string; readonly size?: number }) {
  const { data, size: modules } = encode(text, { border: BORDER });
  const dark = data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : [])));
  return (
    <View role="img" aria-label={`QR code of ${text}`} style={styles.sheet}>
      <Svg width={size} height={size} viewBox={`0 0 ${modules} ${modules}`}>
        <Path d={dark.join('')} fill="#000000" />
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({ sheet: { backgroundColor: '#ffffff', alignSelf: 'flex-start' } });
