import type { SupplyView } from '@red-shelf/contract';
import { useFactsChange } from '../api/useSupplyChange';
import { Pictures } from '../form/Pictures';

/** Pictures of a supply. */
export function Photos({ supply }: { readonly supply: SupplyView }) {
  const { photos = [] } = supply.facts;
  const change = useFactsChange(supply);
  return (
    <Pictures
      pictures={photos}
      alt={(_, i) => `${supply.name}, photo ${i + 1}`}
      busy={change.isPending}
      onAdd={(photo) => change.mutate({ ...supply.facts, photos: [...photos, photo] })}
      onDrop={(id) => change.mutate({ ...supply.facts, photos: photos.filter((photo) => photo.id !== id) })}
    />
  );
}
