import { fold, formOf, freeOf, leftInAll, moreHeld } from '@red-shelf/core';
import { groupBody, type SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { usePreferences } from '../api/queries';
import { useChange } from '../api/useChange';
import { useHeld, useHolders, type Holder } from '../api/useHeld';
import { measure, typed, whole, words } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { MadeAlready } from '../judge/MadeAlready';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Chip } from '../ui/Chip';
import { Field } from '../ui/Field';

const NOTHING = { project: '', amount: '' };
const MOST = 1e9;
const OFFERED = 6;

/** Sets some aside for a project, so that it is not used up by another. */
export function Reserve({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const { counting } = formOf(supply.kind, supply.form);
  const held = useHeld(supply.id);
  const free = freeOf(leftInAll(supply), held);
  const amount =
    counting === 'length'
      ? measure('length', preferences.units)
      : whole(1, MOST, 'Say how much, a whole number from 1 up.');
  const said = z.object({
    project: words('Name the project it is put aside for.'),
    amount: typed(amount)
      .refine((n) => n >= 1, 'Say how much, something above 0.')
      .refine((n) => n <= free, 'That is more than is left and free. Count it first if that is wrong.'),
  });
  const ask = useAsk(`reserve.${supply.id}`, said, NOTHING);
  const projects = useHolders().filter(({ body }) => body.what === 'project');
  const keep = useChange(({ group, amount: some }: { group: Holder; amount: number }) =>
    order(routes.editRecord, {
      id: group.id,
      body: {
        version: group.version,
        body: { ...group.body, members: moreHeld(group.body.members, supply.id, some) },
      },
    }),
  );
  const begin = useChange(({ project: name, amount: some }: { project: string; amount: number }) => {
    const members = [{ supplyId: supply.id, amount: some }];
    const body = groupBody.parse({ sort: 'group', what: 'project', name, members });
    return order(routes.addRecord, { body: { body } });
  });
  const submit = (): void =>
    ask.submit(({ project, amount: some }) => {
      // One project has one name, however it is typed.
      const group = projects.find(({ body }) => fold(body.name) === fold(project));
      const kept = group
        ? keep.mutateAsync({ group, amount: some })
        : begin.mutateAsync({ project, amount: some });
      return kept.then(onDone);
    });
  const offered = projects
    .map(({ body }) => body.name)
    .filter((name) => fold(name).includes(fold(ask.said.project)))
    .slice(0, OFFERED);
  return (
    <View style={styles.box}>
      <View style={styles.row}>
        <Field control={ask.control} name="project" label="For the project" />
        <Field
          control={ask.control}
          name="amount"
          label={counting === 'fill' ? 'Uses' : 'How much'}
          onSubmit={submit}
        />
      </View>
      {offered.length > 0 && (
        <View style={styles.row} role="group" aria-label="Projects there are">
          {offered.map((project) => (
            <Chip
              key={project}
              label={project}
              on={project === ask.said.project}
              onPress={() => ask.set('project', project)}
            />
          ))}
        </View>
      )}
      <MadeAlready job={ask.said.project} />
      <Button label="Put it aside" main busy={keep.isPending || begin.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
