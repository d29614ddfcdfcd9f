import { groupBody, type GroupBody } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { ChoiceField } from '../form/bound';
import { into } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';
import { MadeAlready } from '../judge/MadeAlready';

const BEGUN = ['project', 'kit', 'collection', 'palette', 'travel'] as const;
const NO_GROUP: { what: (typeof BEGUN)[number]; name: string } = { what: 'project', name: '' };
const groupSaid = z
  .object({ what: z.enum(BEGUN), name: z.string() })
  .transform((said) => ({ sort: 'group' as const, ...said }))
  .transform(into(groupBody));

/** Begins a project, a kit, a collection or a palette; says what was made for a job like it. */
export function NewGroup() {
  const ask = useAsk('group', groupSaid, NO_GROUP);
  const add = useChange((body: GroupBody) => order(routes.addRecord, { body: { body } }));
  const submit = (): void =>
    ask.submit((body) => add.mutateAsync(body).then(({ record }) => router.setParams({ group: record.id })));
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Begin one
      </Txt>
      <ChoiceField
        control={ask.control}
        name="what"
        label="It is a"
        options={BEGUN}
        say={(what) => (what === 'travel' ? 'travel list' : what)}
      />
      <Field control={ask.control} name="name" label="Its name" onSubmit={submit} />
      <MadeAlready job={ask.said.name} />
      <Button label="Begin" main busy={add.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
