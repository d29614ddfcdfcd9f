import { familyOf, formOf, groupOf } from '@red-shelf/core';
import type { NewSupplyInput, WishBody } from '@red-shelf/contract';
import { router } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { order, routes } from '../api/client';
import { usePreferences, type Stash } from '../api/queries';
import { useChange } from '../api/useChange';
import { sayMuch } from '../copy/gaps';
import { colour, space, TOUCH } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Swatch } from '../ui/Swatch';
import { Txt } from '../ui/Txt';
import { closeTo } from '../judge/closeTo';
import { sayCost, sayWish, type Wish } from './shopping';

interface WishRowProps {
  readonly wish: Wish;
  readonly stash: Stash;
  /** Nothing is bought: what could do instead comes first. */
  readonly noSpend: boolean;
}

/** One thing to buy: how much, why, what it costs, what one owns that is close; bought, it is in the stash. */
export function WishRow({ wish, stash, noSpend }: WishRowProps) {
  const { body } = wish;
  const { units } = usePreferences().preferences;
  const remove = useChange(
    () => order(routes.removeRecord, { id: wish.id, body: { version: wish.version } }),
    { silent: true },
  );
  const drop = useChange(() => order(routes.removeRecord, { id: wish.id, body: { version: wish.version } }));
  const buy = useChange((id: string) =>
    order(routes.actOnSupply, { id, body: { act: 'buy', amount: body.amount } }),
  );
  const add = useChange((supply: NewSupplyInput) => order(routes.addSupply, { body: supply }));
  const change = useChange((amount: number) =>
    order(routes.editRecord, { id: wish.id, body: { version: wish.version, body: { ...body, amount } } }),
  );
  const owned = body.supplyId ? stash.byId.get(body.supplyId) : undefined;
  const bought = (): void => {
    const done = owned ? buy.mutateAsync(owned.id) : add.mutateAsync(supplyOf(body));
    done.then(() => remove.mutateAsync(undefined)).catch(() => undefined);
  };
  const close = closeTo({ kind: body.kind, hex: body.hex, not: body.supplyId }, stash);
  const step = formOf(body.kind, body.form).usualPurchase;
  const much = sayMuch(body.kind, body.form, body.amount, units);
  return (
    <View role="listitem" aria-label={`${much}${body.name}`} style={styles.row}>
      <View style={styles.thing}>
        {body.hex && <Swatch hex={body.hex} group={owned?.group ?? groupOf(familyOf(body.hex).family)} />}
        <View style={styles.words}>
          <Txt look="strong">{`${much}${sayWish(body)}`}</Txt>
          <Txt look="quiet">
            {[formOf(body.kind, body.form).name, body.why, sayCost(body)].filter(Boolean).join(' · ')}
          </Txt>
        </View>
      </View>
      {close.length > 0 && (
        <View style={styles.close}>
          <Txt look={noSpend ? 'strong' : 'quiet'}>
            {noSpend ? 'Instead, from what you own:' : 'Close to it you own:'}
          </Txt>
          {close.map(({ supply, difference }) => (
            <Pressable
              key={supply.id}
              role="link"
              onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id } })}
              style={styles.near}
            >
              <Swatch hex={supply.hex} group={supply.group} />
              <Txt>{`${supply.name}, ${difference.words}`}</Txt>
            </Pressable>
          ))}
        </View>
      )}
      {noSpend && close.length === 0 && <Txt look="quiet">Nothing you own comes near it. It waits.</Txt>}
      <View style={styles.acts}>
        {!noSpend && (
          <>
            <Button
              label="−"
              says={`Less of ${body.name}`}
              disabled={body.amount <= step}
              onPress={() => change.mutate(body.amount - step)}
            />
            <Button
              label="+"
              says={`More of ${body.name}`}
              onPress={() => change.mutate(body.amount + step)}
            />
            <Button
              main
              label="Bought"
              says={`Bought: ${body.name}`}
              busy={buy.isPending || add.isPending}
              onPress={bought}
            />
          </>
        )}
        <Button
          label={noSpend && close.length > 0 ? 'Use that instead' : 'Off the list'}
          says={`Off the list: ${body.name}`}
          onPress={() => drop.mutate(undefined)}
        />
      </View>
    </View>
  );
}

/** Something new, as it comes into the stash once it is bought. */
function supplyOf({ kind, form, name, maker, range, code, hex, amount, price }: WishBody): NewSupplyInput {
  const { counting, usesPerFill = 1 } = formOf(kind, form);
  return {
    ...{ kind, form, name, maker, range, code, finish: 'matte' },
    hex: hex ?? '#808080',
    facts: price ? { price } : {},
    count: counting === 'fill' ? { items: amount, left: amount * usesPerFill } : { items: 1, left: amount },
  };
}

const styles = StyleSheet.create({
  row: {
    gap: space.s,
    paddingHorizontal: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.hairline,
    backgroundColor: colour.card,
  },
  thing: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  words: { flex: 1 },
  close: { gap: 4 },
  near: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TOUCH },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
