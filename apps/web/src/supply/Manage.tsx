import { formOf, freeOf } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { usePreferences } from '../api/queries';
import { useHeld } from '../api/useHeld';
import { useChange } from '../api/useChange';
import { MadeAlready } from '../judge/MadeAlready';
import { useDraft } from '../form/useDraft';
import { readMeasure } from '../copy/measure';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Input } from '../ui/Input';
import { Note } from '../ui/Note';
import { Dormant } from './Dormant';
import { useFactsChange } from '../api/useSupplyChange';

interface ManageProps {
  readonly supply: SupplyView;
  readonly onEdit: () => void;
  readonly onRemoved: () => void;
}

/** The rest of what is done to a supply, after its stock: edit it; and folded, copy it in another colour, put some aside for a project, take it out of the stash. */
export function Manage({ supply, onEdit, onRemoved }: ManageProps) {
  const [asking, setAsking] = useState<'reserve' | 'sleep' | null>(null);
  const [more, setMore] = useState(false);
  const flip = (what: 'reserve' | 'sleep') => () => setAsking(asking === what ? null : what);
  const done = () => setAsking(null);
  const remove = useChange(() =>
    order(routes.removeSupply, { id: supply.id, body: { version: supply.version } }),
  );
  const facts = useFactsChange(supply);
  const { reserved = [] } = supply.facts;
  return (
    <View style={styles.box}>
      <View style={styles.acts}>
        <Button label="Edit" grow onPress={onEdit} />
        <Button
          label={more ? 'Less' : 'More'}
          says={more ? 'Fewer acts' : 'More acts'}
          grow
          onPress={() => setMore(!more)}
        />
      </View>
      <View style={[styles.acts, !more && styles.folded]}>
        <Button
          label="Another colour"
          says="Add the same thing in another colour"
          grow
          onPress={() => router.push({ pathname: '/stash/add', params: { like: supply.id } })}
        />
        <Button label="Put aside" grow onPress={flip('reserve')} />
        <Button
          label="Let it sleep"
          says="Let it sleep until its purpose may come back"
          grow
          onPress={flip('sleep')}
        />
        <Button
          label="Remove"
          grow
          busy={remove.isPending}
          onPress={() => remove.mutate(undefined, { onSuccess: onRemoved })}
        />
      </View>
      {asking === 'reserve' && <Reserve supply={supply} onDone={done} />}
      {asking === 'sleep' && <Dormant supply={supply} onDone={done} />}
      {reserved.map((each, i) => (
        <View key={`${each.project} ${i}`} style={styles.acts}>
          <Button
            label={`Free what is put aside for ${each.project}`}
            onPress={() => facts.mutate({ ...supply.facts, reserved: reserved.filter((_, k) => k !== i) })}
          />
        </View>
      ))}
    </View>
  );
}

const NOTHING = { project: '', amount: '' };

/** Sets some aside for a project, so that it is not used up by another. */
function Reserve({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const [draft, setDraft, clear] = useDraft(`reserve.${supply.id}`, NOTHING);
  const { project, amount } = draft;
  const [refusal, setRefusal] = useState<string | null>(null);
  const change = useFactsChange(supply);
  const { counting } = formOf(supply.kind, supply.form);
  const { reserved = [] } = supply.facts;
  const held = useHeld(supply.id);
  const submit = (): void => {
    const read = counting === 'length' ? readMeasure(amount, 'length', preferences.units) : null;
    const n = read ? (read.ok ? Number(read.value) : NaN) : Number(amount);
    if (change.isPending) return;
    if (project.trim() === '') return setRefusal('Name the project it is put aside for.');
    if (read && !read.ok) return setRefusal(read.message);
    if (!Number.isInteger(n) || n < 1) return setRefusal('Say how much, a whole number from 1 up.');
    if (n > freeOf(supply.stock.left, supply.facts, held))
      return setRefusal('That is more than is left and free. Count it first if that is wrong.');
    return change.mutate(
      { ...supply.facts, reserved: [...reserved, { project: project.trim(), amount: n }] },
      {
        onSuccess: () => {
          clear();
          onDone();
        },
      },
    );
  };
  return (
    <View style={styles.box}>
      <View style={styles.acts}>
        <Input
          label="For the project"
          value={project}
          onChange={(text) => setDraft({ ...draft, project: text })}
        />
        <Input
          label={counting === 'fill' ? 'Uses' : 'How much'}
          value={amount}
          onChange={(text) => setDraft({ ...draft, amount: text })}
          onSubmit={submit}
        />
      </View>
      <MadeAlready job={project} />
      {refusal && <Note sort="error">{refusal}</Note>}
      <Button label="Put it aside" main busy={change.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  folded: { display: 'none' },
  box: { gap: space.s },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
