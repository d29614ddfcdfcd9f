import { formOf } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { Button } from '../ui/Button';

/** One tap writes one use. Lengths differ each time, so those are asked for. */
export function UseButton({
  supply,
  grow = false,
}: {
  readonly supply: SupplyView;
  readonly grow?: boolean;
}) {
  const use = useChange(() => order(routes.actOnSupply, { id: supply.id, body: { act: 'use', amount: 1 } }));
  const form = formOf(supply.kind, supply.form);
  if (form.counting === 'length')
    return (
      <Button
        label="Cut some"
        main
        grow={grow}
        onPress={() => router.push({ pathname: '/stash', params: { supply: supply.id, act: 'use' } })}
      />
    );
  return (
    <Button
      label="Use one"
      says={`Use one: ${supply.name}`}
      main
      grow={grow}
      onPress={() => use.mutate(undefined)}
    />
  );
}
