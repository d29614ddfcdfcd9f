import { Text, type TextProps } from 'react-native-svg';
import { colour, font } from '../../theme/tokens';

/** A word or a figure on a chart, in the app's own letters. */
export const Word = (props: TextProps) => (
  <Text fontFamily={font.regular} fontSize={12} fill={colour.quiet} {...props} />
);
