import type { ReactNode } from 'react';
import { StyleSheet, Text, type StyleProp, type TextStyle } from 'react-native';
import { colour, font, textSize } from '../theme/tokens';

type Look = 'body' | 'quiet' | 'strong' | 'title' | 'page' | 'address' | 'label' | 'number';

interface TxtProps {
  readonly look?: Look;
  readonly children: ReactNode;
  readonly lines?: number;
  readonly style?: StyleProp<TextStyle>;
  /** Heading level for screen readers. */
  readonly level?: 1 | 2 | 3;
  readonly testID?: string;
}

/** Text in one of the app's few looks. */
export function Txt({ look = 'body', children, lines, style, level, testID }: TxtProps) {
  return (
    <Text
      numberOfLines={lines}
      style={[styles[look], style]}
      testID={testID}
      {...(level ? { role: 'heading' as const, 'aria-level': level } : {})}
    >
      {children}
    </Text>
  );
}

const base: TextStyle = { color: colour.text, fontFamily: font.regular, fontSize: textSize.body };
const styles = StyleSheet.create({
  body: base,
  quiet: { ...base, color: colour.quiet, fontSize: textSize.small, lineHeight: 19 },
  strong: { ...base, fontFamily: font.bold },
  title: { ...base, fontFamily: font.bold, fontSize: textSize.title },
  page: { ...base, fontFamily: font.bold, fontSize: textSize.page },
  address: { ...base, fontFamily: font.label, fontSize: textSize.address, lineHeight: 46 },
  label: { ...base, fontFamily: font.label },
  number: { ...base, fontFamily: font.bold, fontVariant: ['tabular-nums'] },
});
