import { cutAlready, nearScraps, toCut } from '@red-shelf/core';
import { StyleSheet, View } from 'react-native';
import { usePreferences, type Stash } from '../../api/queries';
import { sayPlan } from '../../copy/cut';
import { many } from '../../copy/words';
import { ReasonRow } from '../../row/ReasonRow';
import { colour, radius, space } from '../../theme/tokens';
import { Button } from '../../ui/Button';
import { Chip } from '../../ui/Chip';
import { Note } from '../../ui/Note';
import { Txt } from '../../ui/Txt';
import type { CardChoice } from './choice';
import { NewScraps } from './NewScraps';
import { PanelList } from './PanelList';
import { SheetSteps } from './SheetSteps';
import { useCutPlan } from './useCutPlan';

interface CardCutsProps {
  readonly card: CardChoice;
  readonly stash: Stash;
  readonly onChange: (next: CardChoice) => void;
  readonly onRemove: () => void;
}

/** One card: what is wanted of it, what there is to cut, and the plan sheet by sheet. */
export function CardCuts({ card, stash, onChange, onRemove }: CardCutsProps) {
  const { trimmerUm } = usePreferences().preferences;
  const supply = stash.byId.get(card.supplyId);
  const own = supply ? toCut(supply, card.strips) : [];
  const others = supply ? nearScraps(supply, stash.supplies, card.strips) : [];
  const stock = [...own, ...(card.near ? others : [])];
  const { data } = useCutPlan({ panels: card.panels, stock, options: { trimmerUm } });
  if (!supply) return null;
  const sheets = own.reduce((sum, { count, scrap }) => sum + (scrap ? 0 : count), 0);
  const scraps = own.reduce((sum, { count, scrap }) => sum + (scrap ? count : 0), 0);
  const there = card.panels.flatMap((panel) => {
    const count = Math.min(panel.count, supply ? cutAlready(panel, supply.holdings) : 0);
    return count > 0 ? [{ panel, count }] : [];
  });
  const plan = card.panels.length > 0 && data && 'plan' in data ? data.plan : null;
  const nameOf = (id: string): string => card.panels.find((panel) => panel.id === id)?.name ?? 'panel';
  return (
    <View style={styles.card} role="region" aria-label={`Cut ${supply.name}`}>
      <View role="list">
        <ReasonRow
          supply={supply}
          reason={`${many(sheets, 'sheet')} and ${many(scraps, 'scrap')} to cut from`}
        >
          <Button label="Leave it" says={`Do not cut ${supply.name}`} onPress={onRemove} />
        </ReasonRow>
      </View>
      <PanelList
        of={supply.id}
        panels={card.panels}
        onChange={(panels) => onChange({ ...card, panels: [...panels] })}
      />
      <View style={styles.row}>
        <Chip
          many
          label="Cut up strips of full length too"
          on={card.strips}
          onPress={() => onChange({ ...card, strips: !card.strips })}
        />
        {others.length > 0 && (
          <Chip
            many
            label={`Scraps of colours hardly told apart too (${others.length})`}
            on={card.near}
            onPress={() => onChange({ ...card, near: !card.near })}
          />
        )}
      </View>
      {there.map(({ panel, count }) => (
        <Note key={panel.id} sort="attention">
          <Txt>{`${many(count, 'base')} of this size ${count === 1 ? 'is' : 'are'} cut already: ${panel.name}.`}</Txt>
          <View style={styles.row}>
            <Button
              label={count === 1 ? 'Take that first' : 'Take those first'}
              says={`Take ${many(count, 'base')} cut already for ${panel.name}`}
              onPress={() =>
                onChange({ ...card, panels: lessMade(card.panels, Array<string>(count).fill(panel.id)) })
              }
            />
          </View>
        </Note>
      ))}
      {stock.length === 0 && (
        <Note sort="attention">
          There is nothing of it to cut: no sheets are left, or their size is not known. Count it, or say its
          sheet’s size.
        </Note>
      )}
      {data && 'why' in data && <Note sort="error">{data.why}</Note>}
      {plan && plan.used.length > 0 && <Note>{sayPlan(plan)}</Note>}
      {plan && plan.unmade.length > 0 && (
        <Note sort="attention">
          {`Nothing is left for ${plan.unmade.map(({ id, count }) => `${count} × ${nameOf(id)}`).join(', ')}. Another sheet is needed, or a longer trimmer.`}
        </Note>
      )}
      {plan?.used.map((sheet, nr) => {
        const of = stock.find(({ id }) => id === sheet.stockId);
        const whose = of && stash.byId.get(of.supplyId);
        return of && whose ? (
          <SheetSteps
            key={`${sheet.stockId} ${nr}`}
            {...{ sheet, of, nameOf }}
            supply={whose}
            nr={nr + 1}
            onCut={(made) => onChange({ ...card, panels: lessMade(card.panels, made) })}
          />
        ) : null;
      })}
      <NewScraps supply={supply} stash={stash} />
      {plan && plan.used.length === 0 && plan.unmade.length === 0 && <Txt look="quiet">Nothing to cut.</Txt>}
    </View>
  );
}

/** Panels still wanted once some are made, by id. */
function lessMade(panels: CardChoice['panels'], made: readonly string[]): CardChoice['panels'] {
  return panels.flatMap((panel) => {
    const count = panel.count - made.filter((id) => id === panel.id).length;
    return count > 0 ? [{ ...panel, count }] : [];
  });
}

const styles = StyleSheet.create({
  card: {
    gap: space.m,
    padding: space.m - 4,
    backgroundColor: colour.card,
    borderWidth: 1,
    borderColor: colour.hairline,
    borderRadius: radius.m,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
