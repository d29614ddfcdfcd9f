import { unitFromTemplate, UNIT_TEMPLATES, type UnitTemplate } from '@red-shelf/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colour, LIP, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Txt } from '../../ui/Txt';
import { unitSize } from '../../draw/geometry';
import { UnitDrawing } from '../../draw/UnitDrawing';

const WIDE_PX = 92;
const HIGH_PX = 64;

interface TemplateChoiceProps {
  readonly chosen: string;
  readonly onChoose: (template: UnitTemplate) => void;
}

/** What to start from: one row that says it, open to all of them, each drawn. */
export function TemplateChoice({ chosen, onChoose }: TemplateChoiceProps) {
  const [open, setOpen] = useState(false);
  const name = UNIT_TEMPLATES.find(({ id }) => id === chosen)?.name ?? 'sizes of your own';
  return (
    <View style={styles.box}>
      <View style={styles.head}>
        <Txt style={styles.words}>
          Started from: <Txt look="strong">{name}</Txt>
        </Txt>
        <Button label={open ? 'Close' : 'Start from another'} onPress={() => setOpen(!open)} />
      </View>
      {open && (
        <View style={styles.all} role="radiogroup" aria-label="Sort of rack">
          {UNIT_TEMPLATES.map((template) => (
            <Pressable
              key={template.id}
              role="radio"
              aria-checked={template.id === chosen}
              aria-label={template.name}
              onPress={() => {
                setOpen(false);
                onChoose(template);
              }}
              style={[styles.one, template.id === chosen && styles.on]}
            >
              <View style={styles.drawing}>
                <Small template={template} />
              </View>
              <Txt look="quiet">{template.name}</Txt>
            </Pressable>
          ))}
        </View>
      )}
    </View>
  );
}

function Small({ template }: { readonly template: UnitTemplate }) {
  const { w, h } = unitSize(template);
  return (
    <UnitDrawing unit={unitFromTemplate(template)} slots={[]} scale={Math.min(WIDE_PX / w, HIGH_PX / h)} />
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space.s },
  words: { flexGrow: 1 },
  all: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  one: {
    width: 112,
    padding: space.s,
    gap: space.xs,
    alignItems: 'center',
    backgroundColor: colour.card,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderBottomWidth: LIP,
  },
  on: { borderBottomColor: colour.lip },
  drawing: { height: HIGH_PX, justifyContent: 'flex-end' },
});
