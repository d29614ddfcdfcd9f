import {
  FAMILY_GROUP_INFO,
  familyRoom,
  isOnWall,
  KIND_DEFINITIONS,
  type FamilyRoom,
  type InCell,
} from '@red-shelf/core';
import type { Preferences, SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { View } from 'react-native';
import { mainOf, readContents } from '../api/contents';
import { order, routes } from '../api/client';
import type { Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayWhen } from '../copy/gaps';
import { sayWhat } from '../copy/supply';
import { listOf, many } from '../copy/words';
import { overCaps, type OverCap } from '../judge/lookAt';
import { ReasonRow, rowStyles } from '../row/ReasonRow';
import { Button } from '../ui/Button';
import { Txt } from '../ui/Txt';
import { Hush } from './Hush';

/** What ends where room ends, beside whole places: families, limits, and spots kept by what is used up. */
export interface RoomEnds {
  readonly families: readonly FamilyRoom[];
  readonly limits: readonly OverCap[];
  readonly empties: readonly SupplyView[];
}

/** `isAsked` tells whether a row was hushed. */
export function roomEnds(
  stash: Stash,
  preferences: Preferences,
  now: number,
  isAsked: (about: string) => boolean,
): RoomEnds {
  const contents = readContents(stash);
  const cells = (unitId: string): (InCell | null)[] =>
    (contents.get(unitId) ?? []).map(
      (living) =>
        living && {
          kind: living.supply.kind,
          group: living.supply.group,
          since: Date.parse(living.supply.createdAt),
        },
    );
  return {
    families: familyRoom(stash.wall.units.filter(isOnWall), cells, now).filter((row) =>
      isAsked(aboutFamily(row)),
    ),
    limits: overCaps(stash, preferences, now).filter((row) => isAsked(aboutLimit(row))),
    empties: stash.supplies.filter((supply) => isEmpty(supply) && isAsked(`empty ${supply.id}`)),
  };
}

const aboutFamily = ({ kind, group }: FamilyRoom): string => `family ${kind} ${group}`;
const aboutLimit = ({ of: { kind, unitId } }: OverCap): string => `limit ${kind ?? ''}${unitId ?? ''}`;

/** Nothing of it is left, and it keeps a spot all the same. */
function isEmpty(supply: SupplyView): boolean {
  const lot = mainOf(supply);
  return (
    supply.holdings.every(({ items, left }) => items <= 0 && left <= 0) &&
    lot !== undefined &&
    lot.spot !== null &&
    lot.spot.cell !== null
  );
}

export function FamilyRow({ row }: { readonly row: FamilyRoom }) {
  const name = `${FAMILY_GROUP_INFO[row.group].name} ${KIND_DEFINITIONS[row.kind].plural.toLowerCase()}`;
  const open =
    row.open === 0 ? 'no open spot among them' : `${many(row.open, 'open spot')} among ${row.filled}`;
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <View style={rowStyles.words}>
          <Txt look="strong">{name}</Txt>
          <Txt look="quiet">{`${open} · ${sayWhen(row.full && inDays(row.full))}`}</Txt>
        </View>
      </View>
      <View style={rowStyles.acts}>
        <Button
          label="Arrange them"
          says={`Arrange ${KIND_DEFINITIONS[row.kind].plural.toLowerCase()} with room for ${FAMILY_GROUP_INFO[row.group].name}`}
          onPress={() => router.push({ pathname: '/arrange', params: { kind: row.kind } })}
        />
        <Hush question="room" about={aboutFamily(row)} name={name} />
      </View>
    </View>
  );
}

const day = (time: number): string => new Date(time).toISOString().slice(0, 10);
const inDays = ({ median, low, high }: NonNullable<FamilyRoom['full']>) => ({
  ...{ median: day(median), low: day(low), high: day(high) },
});

/** How many of those that would be missed least are named. */
const NAMED = 3;

export function LimitRow({ row }: { readonly row: OverCap }) {
  const { count, cap, mustLeave, candidates } = row.verdict;
  const least = candidates.slice(0, NAMED);
  return (
    <View role="listitem" style={rowStyles.row}>
      <View style={rowStyles.thing}>
        <View style={rowStyles.words}>
          <Txt look="strong">{`${row.what}: ${count} where ${cap} ${cap === 1 ? 'is' : 'are'} meant`}</Txt>
          <Txt look="quiet">
            {`${many(mustLeave, 'thing')} would have to leave${least.length > 0 ? `; missed least: ${listOf(least.map(({ name }) => name))}` : ''}`}
          </Txt>
        </View>
      </View>
      <View style={rowStyles.acts}>
        {least.length > 0 && (
          <Button
            label="Look at them"
            says={`Look at what would be missed least of ${row.what}`}
            onPress={() =>
              router.push({
                pathname: '/stash',
                params: {
                  ids: candidates.map(({ id }) => id).join(','),
                  query: `over the limit: ${row.what}`,
                },
              })
            }
          />
        )}
        <Hush question="room" about={aboutLimit(row)} name={row.what} />
      </View>
    </View>
  );
}

/** Used up, and its spot still its own: it can be freed. */
export function EmptyRow({ supply, address }: { readonly supply: SupplyView; readonly address: string }) {
  const free = useChange((lot: NonNullable<ReturnType<typeof mainOf>>) =>
    order(routes.placeHolding, { id: lot.id, body: { version: lot.version, place: null } }),
  );
  const lot = mainOf(supply);
  return (
    <ReasonRow supply={supply} reason={`used up, keeps ${address} · ${sayWhat(supply)}`}>
      {lot && (
        <Button
          label="Free its spot"
          says={`Free the spot of ${supply.name}`}
          disabled={free.isPending}
          onPress={() => free.mutate(lot)}
        />
      )}
      <Hush question="room" about={`empty ${supply.id}`} name={supply.name} />
    </ReasonRow>
  );
}
