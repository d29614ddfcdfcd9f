import { isOnWall } from '@red-shelf/core';
import type { ChallengeBody, RecordView } from '@red-shelf/contract';
import { addDays } from 'date-fns/addDays';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { recordsOf, useRecords, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { useDraft } from '../form/useDraft';
import { livesIn, unitIdsOf } from '../api/contents';
import { useWhere } from '../api/where';
import { sayLastUsed } from '../copy/history';
import { unitTitle } from '../copy/supply';
import { many } from '../copy/words';
import { ReasonRow } from '../row/ReasonRow';
import { UseButton } from '../row/UseButton';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Folded } from '../ui/Folded';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const WEEKS = 2;
const SHOWN = 5;
const iso = (date: Date): string => format(date, 'yyyy-MM-dd');

interface ChallengeProps {
  readonly stash: Stash;
  /** Where it stands above a list, it is opened before one chooses. */
  readonly folded?: boolean;
}

/** "Use only this box": one unit for two weeks, and what of it has been used. */
export function Challenge({ stash, folded = false }: ChallengeProps) {
  const { data } = useRecords();
  const running = recordsOf(data, 'challenge').find(({ body }) => body.until >= iso(new Date()));
  return running ? <Running challenge={running} stash={stash} /> : <Begin stash={stash} folded={folded} />;
}

function Begin({ stash, folded }: Required<ChallengeProps>) {
  const [chosen, setChosen, clear] = useDraft('challenge', '');
  const add = useChange((body: ChallengeBody) => order(routes.addRecord, { body: { body } }));
  const filled = new Set(stash.supplies.flatMap(unitIdsOf));
  const units = stash.wall.units.filter((each) => isOnWall(each) && filled.has(each.id));
  const unit = units.find((each) => unitTitle(each) === chosen);
  if (units.length === 0) return null;
  const begin = (): void => {
    if (!unit) return;
    const today = new Date();
    void add
      .mutateAsync({
        sort: 'challenge',
        unitId: unit.id,
        unitName: unitTitle(unit),
        from: iso(today),
        until: iso(addDays(today, WEEKS * 7)),
      })
      .then(clear, () => undefined);
  };
  const choice = (
    <Choice
      label="Use only this box, for two weeks"
      options={units.map(unitTitle)}
      value={chosen}
      onChange={setChosen}
      optional
    />
  );
  return (
    <View style={styles.box} role="region" aria-label="Use only this box">
      {folded ? (
        <Folded label="Use only this box" value={chosen === '' ? 'for two weeks' : chosen}>
          {choice}
        </Folded>
      ) : (
        choice
      )}
      {unit && <Button label={`Only ${chosen}: begin`} main busy={add.isPending} onPress={begin} />}
    </View>
  );
}

function Running({
  challenge,
  stash,
}: {
  readonly challenge: RecordView & { body: ChallengeBody };
  readonly stash: Stash;
}) {
  const { body } = challenge;
  const where = useWhere(stash);
  const end = useChange(() =>
    order(routes.removeRecord, { id: challenge.id, body: { version: challenge.version } }),
  );
  const inside = stash.supplies.filter((supply) => livesIn(supply, body.unitId));
  const waiting = inside.filter(({ stock }) => (stock.lastUsedAt ?? '') < body.from);
  return (
    <View style={styles.box} role="region" aria-label="Use only this box">
      <Note>
        <Txt look="strong">
          Only {body.unitName} until {format(parseISO(body.until), 'd MMM')}: {inside.length - waiting.length}{' '}
          of {many(inside.length, 'thing')} used
        </Txt>
        <Button label="End it" says={`End: only ${body.unitName}`} onPress={() => end.mutate(undefined)} />
      </Note>
      <View role="list" style={styles.list}>
        {waiting.slice(0, SHOWN).map((supply) => (
          <ReasonRow
            key={supply.id}
            supply={supply}
            reason={`${sayLastUsed(supply)} · ${where(supply) ?? ''}`}
          >
            <UseButton supply={supply} />
          </ReasonRow>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  list: { marginHorizontal: -space.m },
});
