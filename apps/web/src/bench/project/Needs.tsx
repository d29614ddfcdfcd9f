import { answersTo, familyGroupOf, freeOf, leftInAll, moreHeld, totalNeed } from '@red-shelf/core';
import type { GroupBody } from '@red-shelf/contract';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../../api/queries';
import { useAllHeld } from '../../api/useHeld';
import { sayAnswer, sayIn, sayNeed, type Need } from '../../copy/project';
import { ReasonRow } from '../../row/ReasonRow';
import { colour, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Swatch } from '../../ui/Swatch';
import { Txt } from '../../ui/Txt';
import { NewNeed } from './NewNeed';

interface NeedsProps {
  readonly groupId: string;
  readonly body: GroupBody;
  readonly stash: Stash;
  readonly onKeep: (next: GroupBody) => Promise<unknown>;
}

/** What a project needs by kind and colour, and what of the stash would do for each. */
export function Needs({ groupId, body, stash, onKeep }: NeedsProps) {
  const [adding, setAdding] = useState(false);
  const needs = body.needs ?? [];
  return (
    <View style={styles.box} role="region" aria-label="Needs">
      <Txt look="strong" level={2}>
        Needs by colour and kind
      </Txt>
      {needs.map((need) => (
        <OneNeed key={need.id} need={need} body={body} stash={stash} onKeep={(next) => void onKeep(next)} />
      ))}
      {adding && (
        <NewNeed
          groupId={groupId}
          body={body}
          onAdd={(need) => onKeep({ ...body, needs: [...needs, need] }).then(() => setAdding(false))}
        />
      )}
      <View style={styles.row}>
        <Button label={adding ? 'Close' : 'Add a need'} onPress={() => setAdding(!adding)} />
      </View>
    </View>
  );
}

interface OneNeedProps {
  readonly need: Need;
  readonly body: GroupBody;
  readonly stash: Stash;
  readonly onKeep: (next: GroupBody) => void;
}

/** One need: what was taken for it, or what could be. */
function OneNeed({ need, body, stash, onKeep }: OneNeedProps) {
  const { units } = usePreferences().preferences;
  const held = useAllHeld();
  const makes = body.makes ?? 1;
  const total = totalNeed(need, makes);
  const answers = useMemo(
    () =>
      need.of
        ? []
        : answersTo(need, makes, stash.supplies, (each) => freeOf(leftInAll(each), held.get(each.id) ?? [])),
    [need, makes, stash, held],
  );
  const taken = need.of ? stash.byId.get(need.of) : undefined;
  const others = (body.needs ?? []).filter(({ id }) => id !== need.id);
  const take = (supplyId: string, free: number): void =>
    onKeep({
      ...body,
      needs: (body.needs ?? []).map((each) => (each.id === need.id ? { ...each, of: supplyId } : each)),
      members: moreHeld(body.members, supplyId, Math.min(total, free)),
    });
  const giveBack = (supplyId: string): Pick<GroupBody, 'members'> => {
    const wanted = others.some(({ of }) => of === supplyId);
    return {
      members: body.members.flatMap((each) => {
        if (each.supplyId !== supplyId) return [each];
        const amount = Math.max(0, each.amount - total);
        return amount > 0 || wanted ? [{ ...each, amount }] : [];
      }),
    };
  };
  const said = sayNeed(need, makes, units);
  return (
    <View style={styles.need} role="group" aria-label={said}>
      <View style={styles.line}>
        <Swatch hex={need.hex} group={familyGroupOf({ id: need.id, hex: need.hex })} size={28} />
        <Txt look="strong" style={styles.said}>
          {said}
        </Txt>
        <Button
          label="Not needed"
          says={`Not needed: ${said}`}
          onPress={() => onKeep({ ...body, ...(need.of ? giveBack(need.of) : {}), needs: others })}
        />
      </View>
      {need.of && !taken && <Txt look="quiet">What was taken for it is in the stash no more.</Txt>}
      <View role="list" aria-label={`For ${said}`} style={styles.list}>
        {taken && (
          <ReasonRow
            supply={taken}
            reason={`taken for it: ${sayIn(taken, keptOf(body, taken.id), units)} kept, ${sayIn(taken, total, units)} needed in all`}
          >
            <Button
              label="Another"
              says={`Another instead of ${taken.name}`}
              onPress={() =>
                onKeep({
                  ...body,
                  ...giveBack(taken.id),
                  needs: (body.needs ?? []).map((each) =>
                    each.id === need.id ? { ...each, of: null } : each,
                  ),
                })
              }
            />
          </ReasonRow>
        )}
        {answers.map((answer) => (
          <ReasonRow
            key={answer.supply.id}
            supply={answer.supply}
            reason={sayAnswer(answer, need, makes, units)}
          >
            <Button
              label={answer.enough ? 'Take it' : 'Take what there is'}
              says={`Take ${answer.supply.name}`}
              onPress={() => take(answer.supply.id, answer.free)}
            />
          </ReasonRow>
        ))}
      </View>
      {!need.of && answers.length === 0 && <Txt look="quiet">Nothing owned comes near it.</Txt>}
    </View>
  );
}

const keptOf = ({ members }: GroupBody, id: string): number =>
  members.find(({ supplyId }) => supplyId === id)?.amount ?? 0;

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row' },
  need: { gap: space.xs, paddingTop: space.s, borderTopWidth: 1, borderTopColor: colour.hairline },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  said: { flex: 1 },
  list: { marginHorizontal: -space.m },
});
