import { carriedWhole, HAND_ID, isRefusal, mayLive, type PlaceSpot, type RoomNow } from '@red-shelf/core';
import type { Place, UnitView } from '@red-shelf/contract';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useContents, useRoom } from '../../api/contents';
import { usePreferences, type Stash } from '../../api/queries';
import { useSpotName } from '../../api/spotName';
import { sayAboutMass, type Units } from '../../copy/measure';
import { sayLeftOver, sayWarning } from '../../copy/reasons';
import { unitTitle } from '../../copy/supply';
import { many } from '../../copy/words';
import { colour, LIP, radius, space } from '../../theme/tokens';
import { Note } from '../../ui/Note';
import { Swatch } from '../../ui/Swatch';
import { Txt } from '../../ui/Txt';
import { SpotPicture } from './SpotPicture';
import type { Step } from './step';

interface LiftCardProps {
  readonly step: Step;
  /** What is asked of the server for it. */
  readonly place: Place | null;
  readonly stash: Stash;
  readonly left: number;
  /** So many from this one on are carried over in one go. */
  readonly together: number;
}

/** One lift, large: what, where from, where to, each with its picture. */
export const LiftCard = memo(function LiftCard({
  step: { thing, from, to },
  place,
  stash,
  left,
  together,
}: LiftCardProps) {
  const spotName = useSpotName();
  const room = useRoom(stash);
  const { units } = usePreferences().preferences;
  const { supply, lot } = thing;
  const target = stash.wall.units.find(({ id }) => id === to?.unitId);
  const answer = target && to ? mayLive({ supply, lot }, { unit: target, cell: to.cell }, room) : null;
  const next = place?.before
    ? stash.supplies.find(({ holdings }) => holdings.some(({ id }) => id === place.before))
    : undefined;
  const where = (spot: PlaceSpot | null): string =>
    spot === null ? 'no place' : spot.unitId === HAND_ID ? 'the desk' : spotName(spot);
  return (
    <View
      style={styles.card}
      role="region"
      aria-label={`Lift ${supply.name} from ${where(from)} to ${where(to)}`}
      aria-live="polite"
    >
      <View style={styles.lip} />
      <View style={styles.thing}>
        <Swatch hex={supply.hex} group={supply.group} size={64} />
        <View style={styles.words}>
          <Txt look="page" lines={2}>
            {supply.name}
          </Txt>
          <Txt look="quiet">{many(left, 'lift')} to go</Txt>
        </View>
      </View>
      <View style={styles.way}>
        <Side title="from" spot={from} name={where(from)} stash={stash} lotId={lot.id} />
        <Side title="to" spot={to} name={where(to)} stash={stash} lotId={lot.id} before={place?.before} />
      </View>
      {next && <Txt>{`Between the others, right before ${next.name}.`}</Txt>}
      {together > 1 && <Txt>{sayTogether(together, { stash, room, units }, from, to)}</Txt>}
      {to?.unitId === HAND_ID && <Txt>It only lies there meanwhile, and goes on from there.</Txt>}
      {isRefusal(answer)
        ? answer.code !== 'taken' && (
            <Note sort="attention">
              {`It does not go in there now: ${sayLeftOver(answer)}. Put this one off, or make room first.`}
            </Note>
          )
        : answer?.map((warning) => (
            <Note key={warning.code === 'care' ? warning.rule : warning.code} sort="attention">
              {sayWarning(warning, (id) => stash.byId.get(id)?.name ?? 'something')}
            </Note>
          ))}
    </View>
  );
});

/** "These 12 go from A Pad rack to B Tray: carry them together." Or the tray as it is, where most of it goes that way. */
function sayTogether(
  count: number,
  { stash, room, units }: { stash: Stash; room: RoomNow; units: Units },
  from: PlaceSpot | null,
  to: PlaceSpot | null,
): string {
  const unit = stash.wall.units.find(({ id }) => id === from?.unitId);
  const target = stash.wall.units.find(({ id }) => id === to?.unitId);
  const way = `${unit ? `from ${unitTitle(unit)} ` : ''}to ${target ? unitTitle(target) : 'one place'}`;
  const living = unit ? room.livingIn(unit.id) : [];
  // A tray of which less than half goes that way is left where it is.
  const tray = unit && 2 * count >= living.length ? carriedWhole(unit, count, living) : null;
  return tray
    ? `These ${count} go ${way}. Carry ${unitTitle(tray.unit)} over as it is, about ${sayAboutMass(tray.massMg, units)}, set them down from it, and bring it back.`
    : `These ${count} go ${way}: carry them together.`;
}

interface SideProps {
  readonly title: string;
  readonly spot: PlaceSpot | null;
  readonly name: string;
  readonly stash: Stash;
  readonly lotId: string;
  readonly before?: string | undefined;
}

/** One end of the way: its address in large type, and its place drawn with the spot marked. */
function Side({ title, spot, name, stash, lotId, before }: SideProps) {
  const contents = useContents(stash);
  const unit: UnitView | undefined = stash.wall.units.find(({ id }) => id === spot?.unitId);
  const slots = (unit && contents.get(unit.id)) ?? [];
  const at = spot?.cell ?? indexOf(slots, lotId) ?? indexOf(slots, before ?? '') ?? null;
  const meant = slots[at ?? -1]?.supply.id;
  return (
    <View style={styles.side}>
      <Txt look="quiet">{title}</Txt>
      <Txt look="address" lines={1}>
        {name}
      </Txt>
      <Txt look="quiet" lines={1}>
        {unit ? unitTitle(unit) : ' '}
      </Txt>
      {unit && (
        <SpotPicture
          unit={unit}
          slots={slots}
          at={at}
          lit={meant === undefined ? undefined : new Set([meant])}
        />
      )}
    </View>
  );
}

const indexOf = (
  slots: readonly ({ readonly lot: { readonly id: string } } | null)[],
  id: string,
): number | null => {
  const at = slots.findIndex((each) => each?.lot.id === id);
  return at < 0 ? null : at;
};

const styles = StyleSheet.create({
  card: {
    gap: space.m - 4,
    padding: space.m,
    backgroundColor: colour.card,
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.hairline,
  },
  lip: { width: 26, height: LIP, backgroundColor: colour.lip },
  thing: { flexDirection: 'row', alignItems: 'center', gap: space.m - 4 },
  words: { flex: 1 },
  way: { flexDirection: 'row', gap: space.m },
  side: { flex: 1, minWidth: 0, gap: 2 },
});
