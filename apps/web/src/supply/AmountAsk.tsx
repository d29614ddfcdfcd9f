import { formFor, LEVELS, levelOf, printLength, type FormDefinition } from '@red-shelf/core';
import { stockRequest, type HoldingView, type StockRequestBody, type SupplyView } from '@red-shelf/contract';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { usePreferences } from '../api/queries';
import { useSpotName } from '../api/spotName';
import { AMOUNT_LABEL, readAmount } from '../form/amount';
import { ChoiceField } from '../form/bound';
import { LevelChoice } from '../form/LevelChoice';
import { into, price, typedOr } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { colour, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Txt } from '../ui/Txt';
import { CountingHelp } from './CountingHelp';

export const ACT_NAMES = {
  use: 'Use',
  refill: 'Refill',
  count: 'Count',
  buy: 'Buy',
  discard: 'Discard',
} as const;
export type ActName = keyof typeof ACT_NAMES;
/** Acts that ask how much. */
type AmountAct = Exclude<ActName, 'refill'>;

/** Under which name an act is kept while its amount is being said. */
export const askName = ({ id }: SupplyView, act: ActName): string =>
  act === 'refill' ? `refill.${id}` : `stock.${id}.${act}`;

function startText(act: AmountAct, { stock }: SupplyView, form: FormDefinition): string {
  if (form.counting === 'length') {
    if (act === 'count') return printLength(stock.left, 'm');
    return act === 'buy' ? printLength(form.usualPurchase, 'm') : '';
  }
  if (act === 'count') return String(form.counting === 'fill' ? stock.items : stock.left);
  return act === 'buy' ? String(form.usualPurchase) : '1';
}

/** An amount as typed, read into what the ledger is told. */
const amountSaid = (
  act: AmountAct,
  form: FormDefinition,
  currency: string,
  lots: readonly Pick<HoldingView, 'id' | 'version'>[],
) =>
  z
    .object({
      text: z.string(),
      level: z.enum(LEVELS),
      lotId: z.string(),
      price: typedOr(null, price(currency)),
    })
    .transform(({ text, level, lotId, price: paid }, context): StockRequestBody => {
      const refuse = (message: string): never => {
        context.addIssue({ code: 'custom', path: ['text'], message });
        return z.NEVER;
      };
      const reading = readAmount(text, act === 'count' ? level : 'full', form);
      if (!reading.ok) return refuse(reading.message);
      const { items, left } = reading.count;
      if (act === 'count') {
        const lot = lots.find(({ id }) => id === lotId) ?? lots[0];
        return { act, items, left, ...(lot ? { lotId: lot.id, version: lot.version } : {}) };
      }
      const amount = form.counting === 'fill' ? items : left;
      if (amount === 0) return refuse('Nothing is not an amount; give something above 0.');
      return act === 'buy' && paid ? { act, amount, price: paid } : { act, amount };
    })
    .transform(into(stockRequest));

interface AmountAskProps {
  readonly act: AmountAct;
  readonly supply: SupplyView;
  readonly busy: boolean;
  /** Tells whether it was written. */
  readonly onWrite: (body: StockRequestBody) => Promise<boolean>;
}

/** How much was used, bought, let go, or is there. */
export function AmountAsk({ act, supply, busy, onWrite }: AmountAskProps) {
  const form = formFor(supply);
  const { currency } = usePreferences().preferences;
  const counting = act === 'count';
  const lots = supply.holdings.filter(
    (each) => each.as === 'whole' && (each.spot !== null || each.left > 0 || each.items > 0),
  );
  const spotName = useSpotName();
  const placeOf = (id: string): string => {
    const spot = lots.find((each) => each.id === id)?.spot;
    return spot ? spotName(spot) : 'without a place';
  };
  const whole = lots.length > 0 ? lots : supply.holdings.slice(0, 1);
  const ask = useAsk(askName(supply, act), amountSaid(act, form, currency, whole), {
    text: startText(act, supply, form),
    level: levelOf(supply.stock, form.usesPerFill ?? 1),
    lotId: lots[0]?.id ?? '',
    price: '',
  });
  const submit = (): void => ask.submit(onWrite);
  return (
    <View style={styles.ask}>
      <Txt look="strong">{counting ? 'What is there now?' : `${ACT_NAMES[act]} how much?`}</Txt>
      <Field
        control={ask.control}
        name="text"
        label={AMOUNT_LABEL[form.counting]}
        onSubmit={submit}
        numeric={form.counting !== 'length'}
        autoFocus
      />
      {counting && lots.length > 1 && (
        <ChoiceField
          control={ask.control}
          name="lotId"
          label="Of those in"
          options={lots.map(({ id }) => id)}
          say={placeOf}
        />
      )}
      {counting && form.counting === 'fill' && (
        <LevelChoice value={ask.said.level} onChange={(level) => ask.set('level', level)} />
      )}
      {act === 'buy' && (
        <Field control={ask.control} name="price" label="Price" hint={`4.50 ${currency}; may stay empty`} />
      )}
      <Button label={`Note it: ${ACT_NAMES[act].toLowerCase()}`} main busy={busy} onPress={submit} />
      {counting && <CountingHelp name={askName(supply, act)} supply={supply} onWrite={onWrite} />}
    </View>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s + 2, padding: space.m - 4, borderWidth: 1, borderColor: colour.hairline },
});
