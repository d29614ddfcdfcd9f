import { addressIn, cellAt, fold, spotCalled, type UnitFacts } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Input } from '../../ui/Input';
import { Txt } from '../../ui/Txt';

type Names = NonNullable<UnitFacts['spotNames']>;

interface SpotNamesProps {
  /** The unit as it is about to be. */
  readonly unit: UnitView;
  readonly names: Names;
  readonly onChange: (names: Names) => void;
}

const LONGEST = 24;

/** Names of one's own for some places of a grid: printed instead of their numbers, and kept when it gets another size. */
export function SpotNames({ unit, names, onChange }: SpotNamesProps) {
  const [address, setAddress] = useState('');
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState('');
  const { model } = unit;
  if (model?.model !== 'grid') return null;
  const plain = { id: unit.id, label: unit.label, model };
  const give = (): void => {
    const spot = spotCalled(address, [unit]) ?? spotCalled(address, [plain]);
    const said = name.trim();
    if (!spot || spot.cell === null)
      return setWrong(`Say which place, as its label does: ${addressIn(plain, 0)}.`);
    if (said === '' || said.length > LONGEST)
      return setWrong(`Give it a name of at most ${LONGEST} letters.`);
    const { row, column } = cellAt(model, spot.cell);
    const others = names.filter((each) => each.row !== row || each.column !== column);
    if (others.some((each) => fold(each.name) === fold(said)))
      return setWrong('Another place in here has that name.');
    onChange([...others, { row, column, name: said }]);
    setAddress('');
    setName('');
    return setWrong('');
  };
  return (
    <View style={styles.box} role="group" aria-label="Names of one’s own">
      <Txt look="quiet">
        Places are numbered by row and column. One can have a name instead, which is printed and stays with
        its row and column.
      </Txt>
      {names.map((each) => {
        const cell = each.row * model.columnsUm.length + each.column;
        return (
          <View key={`${each.row} ${each.column}`} style={styles.row}>
            <Txt>{`${addressIn(plain, cell)} is ${unit.label}·${each.name}`}</Txt>
            <Button
              label="Number it again"
              says={`Number ${each.name} again`}
              onPress={() => onChange(names.filter((other) => other !== each))}
            />
          </View>
        );
      })}
      <View style={[styles.row, styles.level]}>
        <Input label="Place" value={address} onChange={setAddress} hint={addressIn(plain, 0)} />
        <Input
          label="Its own name"
          value={name}
          onChange={setName}
          error={wrong || undefined}
          onSubmit={give}
        />
        <Button label="Name it" onPress={give} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  level: { alignItems: 'flex-start' },
});
