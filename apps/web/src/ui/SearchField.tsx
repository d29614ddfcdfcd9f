import { forwardRef } from 'react';
import { StyleSheet, TextInput as NativeInput, View, Pressable } from 'react-native';
import { words } from '../copy/words';
import { colour, font, radius, space, textSize, TOUCH } from '../theme/tokens';
import { Icon } from './Icon';

interface SearchFieldProps {
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** The one search field: a colour, name, code or place. */
export const SearchField = forwardRef<NativeInput, SearchFieldProps>(function SearchField(
  { value, onChange },
  ref,
) {
  return (
    <View style={styles.box}>
      <Icon name="search" size={20} tint={colour.quiet} />
      <NativeInput
        ref={ref}
        value={value}
        onChangeText={onChange}
        placeholder={words.search}
        placeholderTextColor={colour.quiet}
        aria-label={words.search}
        inputMode="search"
        style={styles.input}
      />
      {value !== '' && (
        <Pressable
          role="button"
          aria-label={words.clearSearch}
          onPress={() => onChange('')}
          style={styles.clear}
        >
          <Icon name="close" size={18} />
        </Pressable>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  box: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingLeft: space.m - 2,
    minHeight: TOUCH,
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
    backgroundColor: colour.card,
  },
  input: {
    flex: 1,
    minWidth: 0,
    minHeight: TOUCH,
    fontFamily: font.regular,
    fontSize: textSize.body,
    color: colour.text,
  },
  clear: { width: TOUCH, height: TOUCH, alignItems: 'center', justifyContent: 'center' },
});
