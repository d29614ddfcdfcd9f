import { readySizes } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { z } from 'zod';
import { usePreferences } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { sayReady, saySize } from '../../copy/cut';
import { typed, twoSides } from '../../form/typed';
import { useAsk } from '../../form/useAsk';
import { colour, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Folded } from '../../ui/Folded';
import { Txt } from '../../ui/Txt';
import type { Panel } from './choice';

interface PanelListProps {
  readonly of: string;
  readonly panels: readonly Panel[];
  readonly onChange: (next: readonly Panel[]) => void;
}
const MOST = 500;

/** The panels wanted of a card: how many of each size, which may be turned; ready sizes, and one's own. */
export function PanelList({ of, panels, onChange }: PanelListProps) {
  const { preferences } = usePreferences();
  const { units, ownSizes } = preferences;
  const add = (name: string, size: { widthUm: number; heightUm: number }): void => {
    const same = panels.find(
      (each) => each.name === name && each.widthUm === size.widthUm && each.heightUm === size.heightUm,
    );
    onChange(
      same
        ? panels.map((each) => (each === same ? { ...each, count: Math.min(MOST, each.count + 1) } : each))
        : [
            ...panels,
            { id: v7(), name, widthUm: size.widthUm, heightUm: size.heightUm, count: 1, mayTurn: true },
          ],
    );
  };
  const set = (panel: Panel, some: Partial<Panel>): void =>
    onChange(panels.map((each) => (each === panel ? { ...each, ...some } : each)));
  return (
    <View style={styles.box}>
      {panels.map((panel) => (
        <View key={panel.id} style={styles.panel} role="group" aria-label={panel.name}>
          <View style={styles.words}>
            <Txt look="strong">{panel.name}</Txt>
            <Txt look="quiet">{saySize(panel, units)}</Txt>
          </View>
          <Chip
            many
            label="may turn"
            on={panel.mayTurn}
            onPress={() => set(panel, { mayTurn: !panel.mayTurn })}
          />
          <View style={styles.stepper}>
            <Button
              label="−"
              says={panel.count > 1 ? `One fewer ${panel.name}` : `No ${panel.name}`}
              onPress={() =>
                panel.count > 1
                  ? set(panel, { count: panel.count - 1 })
                  : onChange(panels.filter((each) => each !== panel))
              }
            />
            <Txt look="number" style={styles.count}>
              {panel.count}
            </Txt>
            <Button
              label="+"
              says={`One more ${panel.name}`}
              onPress={() => set(panel, { count: Math.min(MOST, panel.count + 1) })}
            />
          </View>
        </View>
      ))}
      <Folded label="Ready sizes" value={panels.length === 0 ? 'choose what to cut' : 'more'} opens="change">
        <View style={styles.chips}>
          {readySizes(units).map((size) => (
            <Chip
              key={sayReady(size)}
              label={sayReady(size)}
              on={false}
              onPress={() => add(sayReady(size), size)}
            />
          ))}
          {ownSizes.map((size) => (
            <Chip key={size.name} label={size.name} on={false} onPress={() => add(size.name, size)} />
          ))}
        </View>
      </Folded>
      <OwnSize of={of} onAdd={add} />
    </View>
  );
}

/** A size that is typed, with a name if it is to be kept. */
function OwnSize({
  of,
  onAdd,
}: {
  readonly of: string;
  readonly onAdd: (name: string, size: { widthUm: number; heightUm: number }) => void;
}) {
  const { preferences } = usePreferences();
  const { units, ownSizes } = preferences;
  const keep = usePreferenceChange();
  const example = units === 'inches' ? '4 x 5 1/4 in' : '95 x 138 mm';
  const said = z.object({
    size: typed(twoSides(units, `Write two sides, such as ${example}.`)),
    name: z.string().trim().max(120),
  });
  const ask = useAsk(`cut.size.${of}`, said, { size: '', name: '' });
  const submit = (): void =>
    ask.submit(async ({ size, name }) => {
      onAdd(name || saySize(size, units), size);
      if (name !== '' && ownSizes.every((own) => own.name !== name))
        await keep.mutateAsync({ ownSizes: [...ownSizes, { name, ...size }] });
    });
  return (
    <View style={styles.own}>
      <Field control={ask.control} name="size" label="Another size" hint={example} onSubmit={submit} />
      <Field control={ask.control} name="name" label="Its name" hint="to keep it" onSubmit={submit} />
      <Button label="Add it" says="Add this size" onPress={submit} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  panel: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.s,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
  },
  words: { flexGrow: 1, flexBasis: 130 },
  stepper: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  count: { minWidth: 28, textAlign: 'center', fontSize: 18 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  own: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: space.s },
});
