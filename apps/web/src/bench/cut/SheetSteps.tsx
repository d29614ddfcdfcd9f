import { isWorthKeeping, type CutSheet, type ToCut } from '@red-shelf/core';
import type { StockRequestBody, SupplyView } from '@red-shelf/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { order, routes } from '../../api/client';
import { usePreferences } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { sayCut, saySize } from '../../copy/cut';
import { many } from '../../copy/words';
import { colour, LIP, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Txt } from '../../ui/Txt';
import { SheetDrawing } from './SheetDrawing';

interface SheetStepsProps {
  readonly sheet: CutSheet;
  readonly of: ToCut;
  /** Whose sheet or scrap it is. */
  readonly supply: SupplyView;
  readonly nr: number;
  readonly nameOf: (panelId: string) => string;
  /** Called with the panels that were made. */
  readonly onCut: (panelIds: readonly string[]) => void;
}
const WIDTH = 300;

/** One sheet: drawn to scale, cut by cut, with what is kept of the rest; written into the ledger when it is cut. */
export function SheetSteps({ sheet, of, supply, nr, nameOf, onCut }: SheetStepsProps) {
  const { units, keepFromUm } = usePreferences().preferences;
  const [made, setMade] = useState(0);
  const [flipped, setFlipped] = useState<ReadonlySet<number>>(new Set());
  const act = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const kept = sheet.remains.filter((part, i) => isWorthKeeping(part, keepFromUm) !== flipped.has(i));
  const what = of.scrap ? 'Scrap' : 'Sheet';
  const note = (): void => {
    const pieces = [
      ...sheet.panels.map((part) => ({ as: 'base' as const, part })),
      ...kept.map((part) => ({ as: 'scrap' as const, part })),
    ].map(({ as, part: { widthUm, heightUm } }) => ({ as, items: 1, sizeUm: { widthUm, heightUm } }));
    act
      .mutateAsync({
        act: 'cut',
        amount: 1,
        items: sheet.panels.length,
        left: kept.length,
        lotId: of.id,
        pieces,
      })
      .then(() => onCut(sheet.panels.map(({ id }) => id)))
      .catch(() => undefined);
  };
  const title = `${what} ${nr}: ${supply.name}, ${saySize(of, units)}`;
  const panels = sheet.panels.map(({ id, turned }) => nameOf(id) + (turned ? ', turned' : ''));
  return (
    <View style={styles.sheet} role="group" aria-label={title}>
      <View style={styles.lip} />
      <Txt look="strong" level={3}>
        {title}
      </Txt>
      <View style={styles.beside}>
        <SheetDrawing
          {...{ sheet, of, made, units }}
          hex={supply.hex}
          width={WIDTH}
          label={`${title}. ${panels.join('; ')}`}
        />
        <View style={styles.words}>
          <View role="list">
            {sheet.cuts.map((cut, i) => (
              <View key={i} role="listitem" style={styles.step}>
                <Txt
                  look={i === made ? 'strong' : 'quiet'}
                >{`${i + 1}. ${sayCut(cut, i === 0, units)}.`}</Txt>
              </View>
            ))}
          </View>
          <View style={styles.row}>
            <Button
              label="Back"
              says={`One cut back on ${what.toLowerCase()} ${nr}`}
              disabled={made === 0}
              onPress={() => setMade(made - 1)}
            />
            <Button
              label="Next cut"
              says={`Next cut of ${what.toLowerCase()} ${nr}`}
              disabled={made >= sheet.cuts.length}
              onPress={() => setMade(made + 1)}
            />
          </View>
          {sheet.remains.length > 0 && (
            <Txt look="quiet">What remains: what is ticked is kept as a scrap.</Txt>
          )}
          <View style={styles.row}>
            {sheet.remains.map((part, i) => (
              <Chip
                key={i}
                many
                label={saySize(part, units)}
                on={kept.includes(part)}
                onPress={() => {
                  const next = new Set(flipped);
                  if (!next.delete(i)) next.add(i);
                  setFlipped(next);
                }}
              />
            ))}
          </View>
          <View style={styles.row}>
            <Button
              main
              label={`It is cut: ${many(sheet.panels.length, 'panel')}, ${many(kept.length, 'scrap')}`}
              busy={act.isPending}
              onPress={note}
            />
          </View>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: { gap: space.s, paddingTop: space.s, borderTopWidth: 1, borderTopColor: colour.hairline },
  lip: { width: 26, height: LIP, backgroundColor: colour.lip },
  beside: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  words: { flexGrow: 1, flexBasis: 260, gap: space.s },
  step: { paddingVertical: 3 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
