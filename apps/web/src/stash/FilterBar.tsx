import { FAMILY_GROUP_INFO, FAMILY_GROUPS, STATUSES, tagCounts } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { ScrollView, StyleSheet, View } from 'react-native';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Choice } from '../ui/Choice';
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

/** Every way to narrow the list; they combine, and the address bar remembers them. */
export function FilterBar({ filters, supplies, onChange }: FilterBarProps) {
  const tags = tagCounts(supplies).slice(0, MOST_TAGS);
  const flip = (ask: Ask) =>
    onChange({
      ...filters,
      asks: filters.asks.includes(ask) ? filters.asks.filter((each) => each !== ask) : [...filters.asks, ask],
    });
  return (
    <ScrollView style={styles.box} contentContainerStyle={styles.inside}>
      <View style={styles.row} role="group" aria-label="Only those that are">
        {(Object.keys(ASKS) as Ask[]).map((ask) => (
          <Chip key={ask} many label={ASKS[ask]} on={filters.asks.includes(ask)} onPress={() => flip(ask)} />
        ))}
      </View>
      <Choice
        label="Family"
        options={FAMILY_GROUPS.map(nameOf)}
        value={filters.family ? nameOf(filters.family) : ''}
        onChange={(name) =>
          onChange({ ...filters, family: FAMILY_GROUPS.find((group) => nameOf(group) === name) ?? null })
        }
        optional
      />
      <Choice
        label="Standing"
        options={STATUSES}
        value={filters.status ?? ''}
        onChange={(status) =>
          onChange({ ...filters, status: STATUSES.find((each) => each === status) ?? null })
        }
        optional
      />
      {tags.length > 0 && (
        <Choice
          label="Tag"
          options={tags.map(({ tag }) => tag)}
          value={filters.tag ?? ''}
          onChange={(tag) => onChange({ ...filters, tag: tag || null })}
          optional
        />
      )}
      <View style={styles.row}>
        <Button
          label="Clear the filters"
          onPress={() => onChange({ ...filters, family: null, status: null, tag: null, asks: [] })}
        />
        <Txt look="quiet">Things that are gone show under “gone”.</Txt>
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  box: { maxHeight: 330, borderWidth: 1, borderColor: colour.hairline, backgroundColor: colour.card },
  inside: { padding: space.m - 4, gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
});
