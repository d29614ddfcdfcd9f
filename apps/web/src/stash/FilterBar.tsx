import { FAMILY_GROUP_INFO, FAMILY_GROUPS, STATUSES, tagCounts } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useState, type ReactNode } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { colour, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Icon } from '../ui/Icon';
import { Txt } from '../ui/Txt';
import { ASKS, type Ask, type Filters } from './filters';

interface FilterBarProps {
  readonly filters: Filters;
  readonly supplies: readonly SupplyView[];
  readonly onChange: (filters: Filters) => void;
}

const MOST_TAGS = 12;
const nameOf = (group: string): string =>
  FAMILY_GROUP_INFO[group as keyof typeof FAMILY_GROUP_INFO].name.toLowerCase();

/** What is in use, said in a word each, and the filters without it. */
function inUse(filters: Filters): { readonly word: string; readonly without: Filters }[] {
  const { family, status, tag, asks } = filters;
  return [
    ...asks.map((ask) => ({
      word: ASKS[ask],
      without: { ...filters, asks: asks.filter((each) => each !== ask) },
    })),
    ...(family ? [{ word: nameOf(family), without: { ...filters, family: null } }] : []),
    ...(status ? [{ word: status, without: { ...filters, status: null } }] : []),
    ...(tag ? [{ word: tag, without: { ...filters, tag: null } }] : []),
  ];
}

/** The filters in use, always in sight; each is taken off by a tap. */
export function FiltersInUse({ filters, onChange }: Pick<FilterBarProps, 'filters' | 'onChange'>) {
  const used = inUse(filters);
  if (used.length === 0) return null;
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.used}>
      {used.map(({ word, without }) => (
        <Button key={word} label={`${word} ×`} says={`Take off: ${word}`} onPress={() => onChange(without)} />
      ))}
      {used.length > 1 && (
        <Button
          label="Clear the filters"
          onPress={() => onChange({ ...filters, family: null, status: null, tag: null, asks: [] })}
        />
      )}
    </ScrollView>
  );
}

type Group = 'asks' | 'family' | 'status' | 'tag';

/** Every way to narrow the list, grouped; a group is a line that says its answer and opens. The address bar remembers them. */
export function FilterBar({ filters, supplies, onChange }: FilterBarProps) {
  const [open, setOpen] = useState<Group | null>('asks');
  const tags = tagCounts(supplies).slice(0, MOST_TAGS);
  const group = (name: Group, title: string, answer: string, choices: ReactNode) => (
    <View>
      <Pressable
        role="button"
        aria-expanded={open === name}
        aria-label={`${title}: ${answer}`}
        onPress={() => setOpen(open === name ? null : name)}
        style={styles.head}
      >
        <Txt look="strong">{title}</Txt>
        <Txt look="quiet" style={styles.answer}>
          {answer}
        </Txt>
        <View style={open === name && styles.turned}>
          <Icon name="next" size={16} />
        </View>
      </Pressable>
      {open === name && choices}
    </View>
  );
  const flip = (ask: Ask) =>
    onChange({
      ...filters,
      asks: filters.asks.includes(ask) ? filters.asks.filter((each) => each !== ask) : [...filters.asks, ask],
    });
  const one = (
    title: string,
    options: readonly string[],
    value: string,
    set: (word: string) => Partial<Filters>,
  ) => (
    <View style={styles.row} role="radiogroup" aria-label={title}>
      {options.map((each) => (
        <Chip
          key={each}
          label={each}
          on={each === value}
          onPress={() => onChange({ ...filters, ...set(each === value ? '' : each) })}
        />
      ))}
    </View>
  );
  return (
    <ScrollView style={styles.box} contentContainerStyle={styles.inside}>
      {group(
        'asks',
        'Only those that are',
        filters.asks.map((ask) => ASKS[ask].toLowerCase()).join(', ') || 'any',
        <View style={styles.row} role="group" aria-label="Only those that are">
          {(Object.keys(ASKS) as Ask[]).map((ask) => (
            <Chip
              key={ask}
              many
              label={ASKS[ask]}
              on={filters.asks.includes(ask)}
              onPress={() => flip(ask)}
            />
          ))}
        </View>,
      )}
      {group(
        'family',
        'Family',
        filters.family ? nameOf(filters.family) : 'any',
        one('Family', FAMILY_GROUPS.map(nameOf), filters.family ? nameOf(filters.family) : '', (word) => ({
          family: FAMILY_GROUPS.find((each) => nameOf(each) === word) ?? null,
        })),
      )}
      {group(
        'status',
        'Standing',
        filters.status ?? 'any but gone',
        one('Standing', STATUSES, filters.status ?? '', (word) => ({
          status: STATUSES.find((each) => each === word) ?? null,
        })),
      )}
      {tags.length > 0 &&
        group(
          'tag',
          'Tag',
          filters.tag ?? 'any',
          one(
            'Tag',
            tags.map(({ tag }) => tag),
            filters.tag ?? '',
            (word) => ({ tag: word || null }),
          ),
        )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  box: { maxHeight: 330, borderWidth: 1, borderColor: colour.hairline, backgroundColor: colour.card },
  inside: { paddingHorizontal: space.m - 4, paddingVertical: space.xs },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH },
  answer: { flex: 1 },
  turned: { transform: [{ rotate: '90deg' }] },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center', paddingBottom: space.s },
  used: { gap: space.s },
});
