import { order, routes } from '../api/client';
import { useChange } from '../api/useChange';
import { useHolders, type Holder } from '../api/useHeld';
import { Button } from '../ui/Button';

/** Frees what projects keep back of a supply, one by one. */
export function FreeAside({ supplyId }: { readonly supplyId: string }) {
  const keeping = useHolders().filter(
    ({ body }) =>
      body.what === 'project' && body.members.some((each) => each.supplyId === supplyId && each.amount > 0),
  );
  const free = useChange(({ id, version, body }: Holder) => {
    const members = body.members.map((each) => (each.supplyId === supplyId ? { ...each, amount: 0 } : each));
    return order(routes.editRecord, { id, body: { version, body: { ...body, members } } });
  });
  return keeping.map((project) => (
    <Button
      key={project.id}
      label={`Free what is put aside for ${project.body.name}`}
      onPress={() => free.mutate(project)}
    />
  ));
}
