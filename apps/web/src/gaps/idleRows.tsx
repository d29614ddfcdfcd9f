import { factsAfter, halfLiked, idleFormats, type IdleFormat } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import { usePreferences, type Stash } from '../api/queries';
import { useFactsChange } from '../api/useSupplyChange';
import { sayBecome, sayFormat } from '../copy/formats';
import { sayLastUsed } from '../copy/history';
import { sayWhat } from '../copy/supply';
import { ReasonRow, rowStyles } from '../row/ReasonRow';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { Hush } from './Hush';

/** What is not used beside single things: what is only half liked, and formats nobody reaches for. */
export interface Idle {
  readonly half: readonly SupplyView[];
  readonly formats: readonly IdleFormat<SupplyView>[];
}

export const idleIn = ({ supplies }: Stash, now: number, isAsked: (about: string) => boolean): Idle => ({
  half: halfLiked(supplies, now).filter(({ id }) => isAsked(`half ${id}`)),
  formats: idleFormats(supplies, now).filter((row) => isAsked(aboutFormat(row))),
});

const aboutFormat = ({ kind, form }: IdleFormat<SupplyView>): string => `format ${kind} ${form}`;

/** Half liked: used for practice, or let go; both keep its history. */
export function HalfLikedRow({ supply }: { readonly supply: SupplyView }) {
  const change = useFactsChange(supply);
  return (
    <ReasonRow
      supply={supply}
      reason={`you do not like it much · ${sayLastUsed(supply)} · ${sayWhat(supply)}`}
    >
      <Button
        label="For practice"
        says={`Keep ${supply.name} for practice`}
        disabled={change.isPending}
        onPress={() => change.mutate({ ...supply.facts, grade: 'practice' })}
      />
      <Button
        label="Let it go"
        says={`Let ${supply.name} go`}
        disabled={change.isPending}
        onPress={() => change.mutate(factsAfter(supply.facts, 'pass on'))}
      />
      <Hush question="unused" about={`half ${supply.id}`} name={supply.name} />
    </ReasonRow>
  );
}

export function FormatRow({ row }: { readonly row: IdleFormat<SupplyView> }) {
  const { units } = usePreferences().preferences;
  const name = sayFormat(row);
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <View style={rowStyles.words}>
          <Txt look="strong">{name}</Txt>
          <Txt look="quiet">{sayBecome(row, units)}</Txt>
        </View>
      </View>
      <View style={rowStyles.acts}>
        <Button
          label="Look at them"
          says={`Look at ${name}`}
          onPress={() =>
            router.push({
              pathname: '/stash',
              params: { ids: row.items.map(({ id }) => id).join(','), query: name },
            })
          }
        />
        <Hush question="unused" about={aboutFormat(row)} name={name} />
      </View>
    </View>
  );
}
