import type { UnitFacts } from '@red-shelf/core';
import { format } from 'date-fns/format';
import { sayPhotoDay } from '../../copy/places';
import { Pictures } from '../../form/Pictures';

type Photos = NonNullable<UnitFacts['photos']>;

interface PlacePhotosProps {
  readonly name: string;
  readonly photos: Photos;
  readonly onChange: (photos: Photos) => void;
}

/** Pictures of a place, open or closed, each with its day: what is behind a door is not forgotten. */
export function PlacePhotos({ name, photos, onChange }: PlacePhotosProps) {
  return (
    <Pictures
      pictures={photos}
      alt={({ on }) => `${name} on ${sayPhotoDay(on)}`}
      says={({ on }) => sayPhotoDay(on)}
      onAdd={(photo) => onChange([...photos, { ...photo, on: format(new Date(), 'yyyy-MM-dd') }])}
      onDrop={(id) => onChange(photos.filter((photo) => photo.id !== id))}
    />
  );
}
