import { formOf, isCutToSize, packSizeOf, type Kind, type Part } from '@red-shelf/core';
import { stockRequest, type StockRequestBody, type SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { onePart, sayNoParts, sayParts } from '../copy/parts';
import { forgetAll, isBegun } from '../form/draft';
import { into, typed, whole } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { partLabel } from '../form/CountFields';
import { Remains } from './Remains';

const ASKING = ['open', 'cut', 'remains', 'count'] as const;
type Asking = (typeof ASKING)[number];
/** What the parts are beside. */
const BESIDE: Partial<Record<Kind, string>> = {
  ribbon: 'Beside the roll',
  sticker: 'Beside the whole sheets',
};
const MOST = 999_999;
const nameOf = (supply: SupplyView, asking: Asking): string => `parts.${supply.id}.${asking}`;
const countOf = (supply: SupplyView, part: Part): string => `${nameOf(supply, 'count')}.${part}`;

/** Packs, cut bases and scraps of one card colour, remnants of a ribbon, part sheets: open, cut, use one, count. */
export function PartActs({
  supply,
  heldFor,
}: {
  readonly supply: SupplyView;
  readonly heldFor: { readonly heldFor?: string };
}) {
  const [asking, setAsking] = useState<Asking | null>(
    () => ASKING.find((each) => isBegun(nameOf(supply, each))) ?? null,
  );
  const act = useChange((body: StockRequestBody) => order(routes.actOnSupply, { id: supply.id, body }));
  const { parts } = formOf(supply.kind, supply.form);
  if (!parts) return null;
  const toSize = isCutToSize(supply);
  const { pack = 0, base = 0, scrap = 0 } = supply.stock.parts;
  const close = (): void => {
    if (asking) forgetAll(nameOf(supply, asking));
    setAsking(null);
  };
  const write = (body: StockRequestBody) =>
    act.mutateAsync(body.act === 'cut' ? { ...body, ...heldFor } : body).then(close);
  const useOne = (of: Part) => void write({ act: 'use', amount: 1, of }).catch(() => undefined);
  const flip = (what: Asking): void => {
    close();
    if (asking !== what) setAsking(what);
  };
  return (
    <View style={styles.box}>
      <Txt look="quiet">
        {BESIDE[supply.kind] ?? 'Beside the full sheets'}: {sayParts(supply) ?? sayNoParts(supply)}
      </Txt>
      <View style={styles.row}>
        {pack > 0 && <Button label="Open a pack" onPress={() => flip('open')} />}
        {toSize && supply.stock.left > 0 && <Button label="Cut" onPress={() => flip('cut')} />}
        {!toSize && supply.stock.left > 0 && (
          <Button label={`Keep ${onePart('scrap', supply.kind)}`} onPress={() => flip('remains')} />
        )}
        {toSize && (supply.stock.left > 0 || scrap > 0) && (
          <Button
            label="Plan cuts"
            onPress={() => router.push({ pathname: '/bench/cut', params: { supply: supply.id } })}
          />
        )}
        {base > 0 && <Button label="Use a base" onPress={() => useOne('base')} />}
        {scrap > 0 && (
          <Button label={`Use ${onePart('scrap', supply.kind)}`} onPress={() => useOne('scrap')} />
        )}
        <Button label="Count these" onPress={() => flip('count')} />
      </View>
      {asking === 'open' && <Open supply={supply} busy={act.isPending} onWrite={write} />}
      {asking === 'cut' && <Cut supply={supply} busy={act.isPending} onWrite={write} />}
      {asking === 'remains' && (
        <Remains name={nameOf(supply, 'remains')} supply={supply} busy={act.isPending} onWrite={write} />
      )}
      {asking === 'count' &&
        parts.map((part) => (
          <CountPart key={part} part={part} supply={supply} busy={act.isPending} onWrite={write} />
        ))}
    </View>
  );
}

interface AskProps {
  readonly supply: SupplyView;
  readonly busy: boolean;
  readonly onWrite: (body: StockRequestBody) => Promise<unknown>;
}

const someWhole = (least: number) => typed(whole(least, MOST, `Give a whole number, from ${least} up.`));

const openSaid = z
  .object({ sheets: someWhole(1) })
  .transform(({ sheets }) => ({ act: 'open' as const, amount: 1, left: sheets }))
  .transform(into(stockRequest));

function Open({ supply, busy, onWrite }: AskProps) {
  const ask = useAsk(nameOf(supply, 'open'), openSaid, {
    sheets: String(packSizeOf(supply)),
  });
  const submit = (): void => ask.submit(onWrite);
  return (
    <View style={styles.box}>
      <View style={styles.fields}>
        <Field control={ask.control} name="sheets" label="Sheets in the pack" numeric onSubmit={submit} />
      </View>
      <Button label="Note it: opened" main busy={busy} onPress={submit} />
    </View>
  );
}

const cutSaid = z
  .object({ sheets: someWhole(1), bases: someWhole(0), scraps: someWhole(0) })
  .transform(({ sheets, bases, scraps }) => ({
    act: 'cut' as const,
    amount: sheets,
    items: bases,
    left: scraps,
  }))
  .transform(into(stockRequest));

function Cut({ supply, busy, onWrite }: AskProps) {
  const ask = useAsk(nameOf(supply, 'cut'), cutSaid, { sheets: '1', bases: '2', scraps: '0' });
  const submit = (): void => ask.submit(onWrite);
  const scarce = supply.facts.status === 'irreplaceable' || supply.facts.status === 'retired';
  return (
    <View style={styles.box}>
      <View style={styles.fields}>
        <Field control={ask.control} name="sheets" label="Sheets to cut" numeric />
        <Field control={ask.control} name="bases" label="Bases made" numeric />
        <Field control={ask.control} name="scraps" label="Scraps kept" numeric onSubmit={submit} />
      </View>
      {scarce && (
        <Note sort="attention">{`It is ${supply.facts.status} and cannot be bought again. A scrap may do.`}</Note>
      )}
      <Button label="Note it: cut" main busy={busy} onPress={submit} />
    </View>
  );
}

function CountPart({ part, supply, busy, onWrite }: AskProps & { readonly part: Part }) {
  const said = z
    .object({ left: someWhole(0) })
    .transform(({ left }) => ({ act: 'count' as const, items: 0, left, of: part }))
    .transform(into(stockRequest));
  const ask = useAsk(countOf(supply, part), said, {
    left: String(supply.stock.parts[part] ?? 0),
  });
  const submit = (): void => ask.submit(onWrite);
  return (
    <View style={styles.row}>
      <Field
        control={ask.control}
        name="left"
        label={partLabel(part, supply.kind)}
        numeric
        onSubmit={submit}
      />
      <Button
        label="Note it"
        says={`Note the count of ${partLabel(part, supply.kind).toLowerCase()}`}
        busy={busy}
        onPress={submit}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
