import { fold, formOf, freeOf } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences, useStash } from '../api/queries';
import { useHeld } from '../api/useHeld';
import { useFactsChange } from '../api/useSupplyChange';
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

/** Projects something is put aside for already, by name. */
function useProjects(): readonly string[] {
  const { stash } = useStash();
  return useMemo(() => {
    const all = (stash?.supplies ?? []).flatMap(({ facts }) => facts.reserved ?? []);
    return [...new Set(all.map(({ project }) => project))].sort();
  }, [stash]);
}

/** Sets some aside for a project, so that it is not used up by another. */
export function Reserve({ supply, onDone }: { readonly supply: SupplyView; readonly onDone: () => void }) {
  const { preferences } = usePreferences();
  const { counting } = formOf(supply.kind, supply.form);
  const held = useHeld(supply.id);
  const free = freeOf(supply.stock.left, supply.facts, held);
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
  const change = useFactsChange(supply);
  const { reserved = [] } = supply.facts;
  const projects = useProjects();
  // One project has one name, however it is typed.
  const named = (name: string): string => projects.find((each) => fold(each) === fold(name)) ?? name;
  const submit = (): void =>
    ask.submit(({ project, amount: some }) => {
      const name = named(project);
      const before = reserved.find((each) => each.project === name)?.amount ?? 0;
      const others = reserved.filter((each) => each.project !== name);
      const aside = { project: name, amount: before + some };
      return change.mutateAsync({ ...supply.facts, reserved: [...others, aside] }).then(onDone);
    });
  const offered = projects.filter((each) => fold(each).includes(fold(ask.said.project))).slice(0, OFFERED);
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
      <Button label="Put it aside" main busy={change.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
