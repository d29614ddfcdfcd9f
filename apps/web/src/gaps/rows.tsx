import { familyOf, groupOf, KIND_DEFINITIONS } from '@red-shelf/core';
import { wishBody, type GapsView, type SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../api/queries';
import type { Where } from '../api/where';
import { useFactsChange } from '../api/useSupplyChange';
import {
  sayColour,
  sayDouble,
  sayHole,
  sayPartners,
  sayRange,
  sayRoom,
  sayRunning,
  sayUnused,
} from '../copy/gaps';
import { sayWhat, unitTitle } from '../copy/supply';
import { ReasonRow, rowStyles } from '../row/ReasonRow';
import { UseButton } from '../row/UseButton';
import { colour } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { Hush } from './Hush';
import { ListButton } from './ListButton';
import { aboutOf } from './useGaps';
import { usualOf, wishOf } from './useWish';

interface RowProps<Q extends keyof GapsView> {
  readonly row: GapsView[Q][number];
  readonly stash: Stash;
}

export function RunningRow({ row, stash }: RowProps<'running'>) {
  const { units } = usePreferences().preferences;
  const supply = stash.byId.get(row.supplyId);
  if (!supply) return null;
  const why = sayRunning(row, supply, units);
  const amount = row.advice.do === 'buy' ? row.advice.amount : usualOf(supply);
  return (
    <ReasonRow supply={supply} reason={`${why} · ${sayWhat(supply)}`}>
      {(row.advice.do === 'buy' || row.advice.do === 'ask') && (
        <ListButton wish={wishOf(supply, amount, why)} />
      )}
      <Hush question="running" about={aboutOf.running(row)} name={supply.name} />
    </ReasonRow>
  );
}

export function HoleRow({ row, stash }: RowProps<'colours'>) {
  const nearest = row.nearestId ? stash.byId.get(row.nearestId) : undefined;
  const why = sayHole(row, nearest);
  const hex = row.fill?.entry.hex ?? row.hex;
  const name = row.fill?.entry.name ?? sayColour(row.hex);
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <Swatch hex={hex} group={groupOf(familyOf(hex).family)} />
        {nearest && <Swatch hex={nearest.hex} group={nearest.group} />}
        <View style={rowStyles.words}>
          <Txt look="strong">{name}</Txt>
          <Txt look="quiet">{why}</Txt>
        </View>
      </View>
      <View style={rowStyles.acts}>
        <ListButton
          wish={wishBody.parse({
            ...{ sort: 'wish', supplyId: null, name, why: why.slice(0, 200), kind: row.kind, amount: 1 },
            form: KIND_DEFINITIONS[row.kind].defaultForm,
            hex,
            ...(row.fill
              ? { maker: row.fill.range.maker, range: row.fill.range.name, code: row.fill.entry.code }
              : {}),
          })}
        />
        <Hush question="colours" about={aboutOf.colours(row)} name={name} />
      </View>
    </View>
  );
}

export function RangeRow({ row }: { readonly row: GapsView['ranges'][number] }) {
  const name = `${row.range.maker} ${row.range.name}`.trim();
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <View style={rowStyles.words}>
          <Txt look="strong">{name}</Txt>
          <Txt look="quiet">{sayRange(row)}</Txt>
          <View style={styles.swatches}>
            {row.missing.slice(0, 12).map(({ hex, name: called, code }) => (
              <View key={`${code} ${called}`} style={[styles.small, { backgroundColor: hex }]} />
            ))}
          </View>
        </View>
      </View>
      <View style={rowStyles.acts}>
        <Button
          label="Checklist"
          says={`Checklist of ${name}`}
          onPress={() => router.push({ pathname: '/stash/ranges', params: { range: row.range.id } })}
        />
        <Hush question="colours" about={aboutOf.ranges(row)} name={name} />
      </View>
    </View>
  );
}

export function PartnerRow({ row, stash }: RowProps<'partners'>) {
  const supply = stash.byId.get(row.supplyId);
  const [first] = row.lacks;
  if (!supply || !first) return null;
  return (
    <ReasonRow supply={supply} reason={sayPartners(row)}>
      <ListButton
        wish={wishBody.parse({
          ...{
            sort: 'wish',
            supplyId: null,
            kind: first.kind,
            hex: supply.hex,
            maker: supply.maker,
            amount: 1,
          },
          name: `${supply.name}, ${first.name}`.slice(0, 120),
          form: first.form ?? KIND_DEFINITIONS[first.kind].defaultForm,
          why: `goes with ${supply.name}`,
        })}
      />
      <Hush question="partners" about={aboutOf.partners(row)} name={supply.name} />
    </ReasonRow>
  );
}

/** Not used, and where it is: what is out of sight is forgotten first. */
export function UnusedRow({ row, stash, where }: RowProps<'unused'> & { readonly where: Where }) {
  const supply = stash.byId.get(row.supplyId);
  if (!supply) return null;
  return (
    <ReasonRow
      supply={supply}
      reason={`${sayUnused(row)} · ${where(supply) ?? 'no place'} · ${sayWhat(supply)}`}
    >
      <UseButton supply={supply} />
      <Hush question="unused" about={aboutOf.unused(row)} name={supply.name} />
    </ReasonRow>
  );
}

export function DoubleRow({ row, stash }: RowProps<'doubles'>) {
  const supplies = row.supplyIds.flatMap((id) => stash.byId.get(id) ?? []);
  const [supply] = supplies;
  if (!supply) return null;
  return (
    <ReasonRow supply={supply} reason={sayDouble(row, supplies)}>
      {row.why === 'spares' ? (
        <MeantButton supply={supply} have={row.have ?? 1} />
      ) : (
        <Button
          label="Look at both"
          says={`Look at ${supplies.map(({ name }) => name).join(' and ')}`}
          onPress={() =>
            router.push({ pathname: '/stash', params: { ids: row.supplyIds.join(','), query: supply.name } })
          }
        />
      )}
      <Hush question="doubles" about={aboutOf.doubles(row)} name={supply.name} />
    </ReasonRow>
  );
}

/** The spares that are there are meant. */
function MeantButton({ supply, have }: { readonly supply: SupplyView; readonly have: number }) {
  const change = useFactsChange(supply);
  return (
    <Button
      label="They are meant"
      says={`The spares of ${supply.name} are meant`}
      disabled={change.isPending}
      onPress={() => change.mutate({ ...supply.facts, spares: Math.max(0, have - 1) })}
    />
  );
}

export function RoomRow({ row, stash }: RowProps<'room'>) {
  const unit = stash.wall.units.find(({ id }) => id === row.unitId);
  if (!unit) return null;
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <View style={rowStyles.words}>
          <Txt look="strong">{unitTitle(unit)}</Txt>
          <Txt look="quiet">{sayRoom(row)}</Txt>
        </View>
      </View>
      <View style={rowStyles.acts}>
        <Button
          label="Make room"
          says={`Make room in ${unitTitle(unit)}`}
          onPress={() => router.push('/gaps/sort-out')}
        />
        <Hush question="room" about={aboutOf.room(row)} name={unitTitle(unit)} />
      </View>
    </View>
  );
}

/** A thing nowhere on the wall. */
export function HomelessRow({ supply }: { readonly supply: SupplyView }) {
  return (
    <ReasonRow supply={supply} reason={`without a place · ${sayWhat(supply)}`}>
      <Button
        label="Find a place"
        says={`Find a place for ${KIND_DEFINITIONS[supply.kind].plural}`}
        onPress={() => router.push({ pathname: '/arrange', params: { kind: supply.kind } })}
      />
    </ReasonRow>
  );
}

const styles = StyleSheet.create({
  swatches: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, paddingTop: 4 },
  small: { width: 22, height: 22, borderWidth: 1, borderColor: colour.hairline },
});
