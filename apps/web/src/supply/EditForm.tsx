import { SUPPLY_FIELDS } from '@red-shelf/core';
import type { NewSupplyInput, SupplyView } from '@red-shelf/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ApiError, order, routes } from '../api/client';
import { keys } from '../api/list';
import { usePreferences } from '../api/queries';
import { useChange } from '../api/useChange';
import { forget, remember, remembered } from '../form/draft';
import { KeptForm } from '../form/KeptForm';
import { formOfSupply } from '../form/model';
import { useSupplyForm } from '../form/useSupplyForm';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useOnce } from '../ui/useOnce';
import { SupplyFields, type SupplyForm } from '../form/SupplyFields';

interface EditFormProps {
  readonly supply: SupplyView;
  readonly onDone: () => void;
}

/** What is said of a supply; its facts are compared as they are typed. */
const COMPARED = SUPPLY_FIELDS.filter((field) => field !== 'facts');
/** An edit that was begun: what was seen then, and what has been typed since. */
interface Begun {
  readonly seen: Pick<SupplyView, 'version' | 'facts'>;
  readonly fields: SupplyForm;
}
const NO_COUNT = { count: { items: 0, left: 0 } };

/** Change what a supply is. If another window was quicker, both versions are shown and nothing is overwritten. */
export function EditForm({ supply, onDone }: EditFormProps) {
  const { preferences } = usePreferences();
  const draft = `edit.${supply.id}`;
  const [begun] = useState(() =>
    remembered<Begun>(draft, {
      seen: { version: supply.version, facts: supply.facts },
      fields: formOfSupply(supply, preferences),
    }),
  );
  const { form, read, showRefusal } = useSupplyForm(begun.fields);
  // The version seen when editing began: later news from the server must not be mistaken for ours.
  const seen = useRef(begun.seen);
  const leave = (): void => {
    forget(draft);
    onDone();
  };
  const client = useQueryClient();
  const save = useChange(
    ({ count: _, ...body }: NewSupplyInput) =>
      order(routes.editSupply, { id: supply.id, body: { ...body, version: seen.current.version } }),
    { quiet: true },
  );
  const problem = save.error instanceof ApiError ? save.error.problem : null;
  const theirs = problem?.code === 'stale' ? (problem.current as SupplyView) : null;
  const submit = useOnce(() =>
    form.handleSubmit(async (given) => {
      // A colour typed over a true swatch is a new decision: the swatch stays, but decides no more.
      const { trueSwatch, ...facts } = seen.current.facts;
      const kept = given.hex === supply.hex && trueSwatch ? { ...facts, trueSwatch } : facts;
      const body = read(given, kept, NO_COUNT);
      if (body) await save.mutateAsync(body).then(leave, showRefusal);
    })(),
  );
  const keepMine = () => {
    if (theirs) seen.current = { version: theirs.version, facts: theirs.facts };
    submit();
  };
  const takeTheirs = () => {
    void client.invalidateQueries({ queryKey: keys.supply(supply.id) });
    void client.invalidateQueries({ queryKey: keys.supplies });
    leave();
  };
  return (
    <View style={styles.form}>
      <KeptForm control={form.control} keep={(fields) => remember(draft, { seen: seen.current, fields })} />
      <SupplyFields control={form.control} setValue={form.setValue} fixedKind onSubmit={submit} />
      {problem && (
        <Note sort="error">
          <Txt>{problem.title}</Txt>
          {theirs && (
            <Txt look="strong">{differences(form.getValues(), formOfSupply(theirs, preferences))}</Txt>
          )}
        </Note>
      )}
      {theirs ? (
        <View style={styles.acts}>
          <Button label="Keep mine" main grow busy={save.isPending} onPress={keepMine} />
          <Button label="Take theirs" grow onPress={takeTheirs} />
        </View>
      ) : (
        <View style={styles.acts}>
          <Button label="Save" main grow busy={save.isPending} onPress={submit} />
          <Button label="Cancel" grow onPress={leave} />
        </View>
      )}
    </View>
  );
}

/** "name: yours “Fern”, theirs “Moss”" for every field that differs. */
function differences(mine: SupplyForm, theirs: SupplyForm): string {
  const say = (name: string, a: string | null | undefined, b: string | null | undefined): string =>
    `${name}: yours “${a || 'none'}”, theirs “${b || 'none'}”`;
  const plain = COMPARED.filter((key) => mine[key] !== theirs[key]).map((key) =>
    say(key === 'hex' ? 'colour' : key, mine[key], theirs[key]),
  );
  const asked = [...new Set([...Object.keys(mine.said), ...Object.keys(theirs.said)])]
    .filter((key) => (mine.said[key] ?? '') !== (theirs.said[key] ?? ''))
    .map((key) => say(key.replace(/^a_/, ''), mine.said[key], theirs.said[key]));
  return [...plain, ...asked].join('; ');
}

const styles = StyleSheet.create({
  form: { gap: space.m - 4 },
  acts: { flexDirection: 'row', gap: space.s },
});
