import type { SupplyView } from '@red-shelf/contract';
import { useMutation } from '@tanstack/react-query';
import { createElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { uploadPhoto } from '../api/files';
import { chooseFile } from '../ui/files';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';
import { useFactsChange } from '../api/useSupplyChange';

const THUMB = 96;

/** Pictures of a supply: kept upright, small, and without where they were taken. */
export function Photos({ supply }: { readonly supply: SupplyView }) {
  const { photos = [] } = supply.facts;
  const change = useFactsChange(supply);
  const add = useMutation({
    mutationFn: async () => {
      const file = await chooseFile('image/jpeg,image/png,image/webp');
      return file && uploadPhoto(file);
    },
    onSuccess: (photo) => {
      if (photo) change.mutate({ ...supply.facts, photos: [...photos, photo] });
    },
  });
  const drop = (id: string) =>
    change.mutate({ ...supply.facts, photos: photos.filter((photo) => photo.id !== id) });
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Photos
      </Txt>
      <View style={styles.row}>
        {photos.map(({ id }, i) => (
          <View key={id} style={styles.photo}>
            {createElement('a', { href: `/api/photos/${id}`, target: '_blank', rel: 'noreferrer' }, [
              createElement('img', {
                key: id,
                src: `/api/photos/${id}/small`,
                alt: `${supply.name}, photo ${i + 1}`,
                style: {
                  width: THUMB,
                  height: THUMB,
                  objectFit: 'cover',
                  borderRadius: radius.s,
                  border: `1px solid ${colour.hairline}`,
                },
              }),
            ])}
            <Button label="Drop" says={`Drop photo ${i + 1}`} onPress={() => drop(id)} />
          </View>
        ))}
      </View>
      {add.error && <Note sort="error">{add.error.message}</Note>}
      <View style={styles.start}>
        <Button label="Add a photo" busy={add.isPending || change.isPending} onPress={() => add.mutate()} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: space.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  photo: { gap: space.xs, width: THUMB },
  start: { alignItems: 'flex-start' },
});
