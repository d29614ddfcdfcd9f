import { configureFonts, DefaultTheme, type MD3Theme } from 'react-native-paper';
import { font, radius, schemes } from './tokens';

/** Paper in the app's neutral dress; it computes with colours, so it is given values and no names. */
export const paperTheme = (scheme: keyof typeof schemes): MD3Theme => dressed(schemes[scheme]);

const dressed = (colour: (typeof schemes)['light']): MD3Theme => ({
  ...DefaultTheme,
  roundness: radius.s,
  fonts: configureFonts({ config: { fontFamily: font.regular } }),
  colors: {
    ...DefaultTheme.colors,
    primary: colour.action,
    onPrimary: colour.onAction,
    primaryContainer: colour.rack,
    onPrimaryContainer: colour.text,
    secondaryContainer: colour.rack,
    onSecondaryContainer: colour.text,
    background: colour.ground,
    surface: colour.card,
    surfaceVariant: colour.card,
    onSurface: colour.text,
    onSurfaceVariant: colour.quiet,
    onBackground: colour.text,
    outline: colour.openSlot,
    outlineVariant: colour.hairline,
    error: colour.text,
    inverseSurface: colour.action,
    inverseOnSurface: colour.onAction,
    inversePrimary: colour.onAction,
    elevation: {
      level0: 'transparent',
      level1: colour.card,
      level2: colour.card,
      level3: colour.card,
      level4: colour.card,
      level5: colour.card,
    },
  },
});
