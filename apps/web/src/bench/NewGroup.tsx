import type { GroupBody } from '@red-shelf/contract';
import { router } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { useDraft } from '../form/useDraft';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Input } from '../ui/Input';
import { Txt } from '../ui/Txt';
import { MadeAlready } from '../judge/MadeAlready';

const BEGUN = ['kit', 'collection', 'palette'] as const;
const NO_GROUP: { what: (typeof BEGUN)[number]; name: string } = { what: 'kit', name: '' };

/** Begins a kit, a collection or a palette; says what was made for a job like it. */
export function NewGroup() {
  const [draft, setDraft, clear] = useDraft('group', NO_GROUP);
  const { what, name } = draft;
  const add = useChange((body: GroupBody) => order(routes.addRecord, { body: { body } }), { quiet: true });
  const submit = () =>
    !add.isPending &&
    add.mutate(
      {
        sort: 'group',
        what,
        name,
        note: '',
        source: '',
        acquiredOn: null,
        members: [],
        matches: [],
        dissolvedOn: null,
        home: null,
      },
      {
        onSuccess: ({ record }) => {
          clear();
          router.setParams({ group: record.id });
        },
      },
    );
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Begin one
      </Txt>
      <Choice
        label="It is a"
        options={BEGUN}
        value={what}
        onChange={(word) => setDraft({ ...draft, what: BEGUN.find((each) => each === word) ?? what })}
      />
      <Input
        label="Its name"
        value={name}
        onChange={(text) => setDraft({ ...draft, name: text })}
        onSubmit={submit}
        error={add.error?.message}
      />
      <MadeAlready job={name} />
      <Button label="Begin" main busy={add.isPending} onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: space.s } });
