import { configureFonts, DefaultTheme, type MD3Theme } from 'react-native-paper';
import { colour, font, radius } from './tokens';

/** Paper in the app's neutral dress. */
export const paperTheme: MD3Theme = {
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
};
