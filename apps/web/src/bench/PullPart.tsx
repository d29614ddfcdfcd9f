import { freeOf, leftInAll, HAND_ID, hazardsOf, HAZARDS } from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import type { Living } from '../api/contents';
import { usePreferences, type Stash } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { useChange } from '../api/useChange';
import { useAllHeld } from '../api/useHeld';
import { sayConflict, sayFetch, sayStockFree, sayTray } from '../copy/pull';
import { sayStock, sayWhat } from '../copy/supply';
import { listOf, many, words } from '../copy/words';
import { ReasonRow } from '../row/ReasonRow';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Caution } from '../ui/Caution';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { Tools } from './project/Tools';
import { sayKept } from './KitMember';
import { conflictKey, usePull } from './usePull';

interface PullPartProps {
  readonly groupId: string;
  readonly body: GroupBody;
  readonly members: readonly SupplyView[];
  readonly stash: Stash;
  readonly onKeep: (next: GroupBody) => void;
  readonly onAdd: (supplyId: string) => void;
}

/** What is fetched for a job in the order one walks, what comes along, what is used up, and what does not go together. */
export function PullPart({ groupId, body, members, stash, onKeep, onAdd }: PullPartProps) {
  const { units } = usePreferences().preferences;
  const { list, missing, along, tools, conflicts } = usePull(body, members, stash);
  const spotName = useSpotName();
  const held = useAllHeld();
  /** How much of it there is, kept for this and free. */
  const stockOf = (supply: SupplyView): string => {
    const all = held.get(supply.id) ?? [];
    const own = all.find(({ id }) => id === groupId)?.amount ?? 0;
    const free = freeOf(leftInAll(supply), all);
    return sayStockFree(
      sayStock(supply),
      own > 0 ? sayKept(supply, own, units) : '',
      sayKept(supply, free, units),
    );
  };
  const fetch = useChange((things: readonly Living[]) =>
    order(routes.moveHoldings, {
      body: {
        moves: things.map(({ lot: { id, version } }) => ({
          id,
          version,
          place: { unitId: HAND_ID, cell: null },
        })),
      },
    }),
  );
  const hazards = HAZARDS.filter((hazard) => members.some((each) => hazardsOf(each).includes(hazard)));
  return (
    <View style={styles.box} role="region" aria-label="Pull list">
      <Txt look="strong" level={2}>
        Pull list
      </Txt>
      <Txt look="quiet">
        {[
          list.rows.length > 0
            ? `${many(list.rows.length, 'thing')} to fetch, near ones first`
            : 'nothing left to fetch',
          list.out.length > 0
            ? `${list.out.length} ${body.awaySince ? 'in its envelope' : 'on the bench already'}`
            : '',
          list.lost.length > 0
            ? `without a place: ${listOf(list.lost.map(({ supply }) => supply.name))}`
            : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Txt>
      {hazards.map((hazard) => (
        <Caution key={hazard} id={`${hazard}.${groupId}`}>
          {words[hazard]}
        </Caution>
      ))}
      {list.trays.map((tray) => (
        <Note key={tray.unit.id}>{sayTray(tray, units)}</Note>
      ))}
      <View role="list" aria-label="To fetch" style={styles.list}>
        {list.rows.map((row) => (
          <ReasonRow
            key={row.thing.lot.id}
            supply={row.thing.supply}
            reason={[
              sayFetch(row, row.thing.lot.spot ? spotName(row.thing.lot.spot) : ''),
              stockOf(row.thing.supply),
            ].join(' · ')}
          >
            <Button
              label="To the bench"
              says={`Take ${row.thing.supply.name} to the bench`}
              disabled={fetch.isPending}
              onPress={() => fetch.mutate([row.thing])}
            />
          </ReasonRow>
        ))}
      </View>
      {list.rows.length > 1 && (
        <View style={styles.row}>
          <Button
            label={`All ${list.rows.length} are on the bench`}
            busy={fetch.isPending}
            onPress={() => fetch.mutate(list.rows.map(({ thing }) => thing))}
          />
        </View>
      )}
      {missing.map(({ supply, instead: [first] }) => (
        <Note key={supply.id} sort="attention">
          <Txt>
            {first
              ? `${supply.name} is used up. Instead: ${first.supply.name}, ${first.difference.words}.`
              : `${supply.name} is used up, and nothing you own comes near it.`}
          </Txt>
          {first && (
            <View style={styles.row}>
              <Button
                label="Take that instead"
                says={`Take ${first.supply.name} instead`}
                onPress={() => onAdd(first.supply.id)}
              />
            </View>
          )}
        </Note>
      ))}
      {along.length > 0 && (
        <View role="list" aria-label="Comes along" style={styles.list}>
          {along.map(({ of, partner }) => (
            <ReasonRow
              key={partner.id}
              supply={partner}
              reason={`${sayWhat(partner)} · goes with ${of.name}`}
            >
              <Button
                label="Take it along"
                says={`Take ${partner.name} along`}
                onPress={() => onAdd(partner.id)}
              />
            </ReasonRow>
          ))}
        </View>
      )}
      <Tools tools={tools} onAdd={onAdd} />
      {conflicts.map((conflict) => (
        <Note key={conflictKey(conflict)} sort="attention">
          <Txt>{sayConflict(conflict)}</Txt>
          <View style={styles.row}>
            <Button
              label="I do it so"
              says={`I use ${conflict.one.name} with ${conflict.other.name}`}
              onPress={() => onKeep({ ...body, accepted: [...(body.accepted ?? []), conflictKey(conflict)] })}
            />
          </View>
        </Note>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  list: { marginHorizontal: -space.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
