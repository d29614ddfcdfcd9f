import { idleDays, isOnWall } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { livesIn } from '../api/contents';
import type { Stash } from '../api/queries';
import { sayLastUsed } from '../copy/history';
import { sayWhat, unitTitle } from '../copy/supply';
import { many } from '../copy/words';
import { useBegun } from '../form/useDraft';
import { ReasonRow } from '../row/ReasonRow';
import { UseButton } from '../row/UseButton';
import { space } from '../theme/tokens';
import { Chip } from '../ui/Chip';
import { Folded } from '../ui/Folded';

const boxSchema = z.object({ unitId: z.string().nullable() });
/** So many of a box are shown: a challenge is for an evening. */
const SHOWN = 12;

/** "Use only this box": one box, and what in it was used least, so that a person makes something of that alone. */
export function OnlyThisBox({ stash, now }: { readonly stash: Stash; readonly now: number }) {
  const [kept, keep] = useBegun('box', boxSchema);
  const boxes = stash.wall.units.filter(
    (unit) => isOnWall(unit) && stash.supplies.some((supply) => livesIn(supply, unit.id)),
  );
  const box = boxes.find(({ id }) => id === kept?.unitId);
  const inside = box
    ? stash.supplies
        .filter((supply) => livesIn(supply, box.id) && supply.stock.left > 0)
        .sort((p, q) => idleDays(q, now) - idleDays(p, now))
    : [];
  if (boxes.length < 2) return null;
  return (
    <View role="region" aria-label="Use only this box" style={styles.box}>
      <Folded
        label="Use only this box"
        value={
          box
            ? `${unitTitle(box)}, ${many(inside.length, 'thing')}`
            : 'none chosen: a challenge for an evening'
        }
      >
        <View style={styles.chips} role="radiogroup" aria-label="Which box">
          {boxes.map((unit) => (
            <Chip
              key={unit.id}
              label={unitTitle(unit)}
              on={unit.id === box?.id}
              onPress={() => keep({ unitId: unit.id === box?.id ? null : unit.id })}
            />
          ))}
        </View>
      </Folded>
      {box && (
        <View role="list" aria-label={`In ${unitTitle(box)}, used least`} style={styles.list}>
          {inside.slice(0, SHOWN).map((supply) => (
            <ReasonRow key={supply.id} supply={supply} reason={`${sayLastUsed(supply)} · ${sayWhat(supply)}`}>
              <UseButton supply={supply} />
            </ReasonRow>
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  list: { marginHorizontal: -space.m },
});
