import { addressIn, staysAt, withSpotStaying } from '@red-shelf/core';
import type { UnitView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { Button } from '../ui/Button';

/** Says of a spot that arranging leaves it as it is, or may use it again. */
export function StaysAct({ unit, cell }: { readonly unit: UnitView; readonly cell: number }) {
  const stays = staysAt(unit, cell);
  const say = useChange(() => {
    const { version, name, rules, model, parentId } = unit;
    const facts = withSpotStaying(unit, cell, !stays);
    const body = { version, name, rules, model, facts, ...(parentId ? { parentId } : {}) };
    return order(routes.editUnit, { id: unit.id, body });
  });
  if (unit.facts.stays || unit.model?.model !== 'grid') return null;
  return (
    <Button
      label={stays ? 'May be arranged again' : 'Leave this slot as it is'}
      says={
        stays
          ? `${addressIn(unit, cell)} may be arranged again`
          : `Leave ${addressIn(unit, cell)} as it is when things are arranged`
      }
      busy={say.isPending}
      onPress={() => say.mutate(undefined)}
    />
  );
}

/** What can be done with the whole unit: change what it is, or take it off the wall; what lived in it stays in the stash. */
export function UnitActs({ unit, onDone }: { readonly unit: UnitView; readonly onDone: () => void }) {
  const takeDown = useChange(() =>
    order(routes.removeUnit, { id: unit.id, body: { version: unit.version } }),
  );
  const name = `${unit.label} ${unit.name}`;
  return (
    <>
      <Button
        label={`Change ${name}`}
        onPress={() => router.push({ pathname: '/storage', params: { unit: unit.id } })}
      />
      <Button
        label={`Take ${name} down`}
        busy={takeDown.isPending}
        onPress={() => takeDown.mutate(undefined, { onSuccess: onDone })}
      />
    </>
  );
}
