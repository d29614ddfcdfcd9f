import type { KitNeed } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '../../api/queries';
import { usePreferenceChange } from '../../api/usePreferenceChange';
import { sayTool } from '../../copy/project';
import { ReasonRow } from '../../row/ReasonRow';
import { space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';

interface ToolsProps {
  readonly tools: readonly KitNeed<SupplyView>[];
  readonly onAdd: (supplyId: string) => void;
}

/** The usual kit of a medium: what of it to take along, and what is not known to be there. */
export function Tools({ tools, onAdd }: ToolsProps) {
  const { preferences } = usePreferences();
  const keep = usePreferenceChange({ quiet: true });
  const owned = tools.flatMap(({ owned: supply, of }) => (supply ? [{ supply, of }] : []));
  const missing = tools.filter((each) => each.owned === null);
  return (
    <>
      {owned.length > 0 && (
        <View role="list" aria-label="Usual with it" style={styles.list}>
          {owned.map(({ supply, of }) => (
            <ReasonRow key={supply.id} supply={supply} reason={`usual with ${of.name}`}>
              <Button
                label="Take it along"
                says={`Take ${supply.name} along`}
                onPress={() => onAdd(supply.id)}
              />
            </ReasonRow>
          ))}
        </View>
      )}
      {missing.map(({ tool, of }) => (
        <Note key={tool} sort="attention">
          <Txt>{`${of.name} usually takes ${sayTool(tool)}, and none is in your stash.`}</Txt>
          <View style={styles.row}>
            <Button
              label="I have one"
              says={`I have ${sayTool(tool)}`}
              onPress={() => keep.mutate({ tools: [...preferences.tools, tool] })}
            />
          </View>
        </Note>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  list: { marginHorizontal: -space.m },
  row: { flexDirection: 'row' },
});
