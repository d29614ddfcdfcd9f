import { useMutation } from '@tanstack/react-query';
import { createElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { uploadPhoto } from '../api/files';
import { colour, radius, space } from '../theme/tokens';
import { Button } from '../ui/Button';
import { chooseFile } from '../ui/files';
import { Note } from '../ui/Note';
import { Txt } from '../ui/Txt';

const THUMB = 96;

/** A picture that was kept. */
interface Picture {
  readonly id: string;
}

/** A small picture that opens as a large one. */
export const Thumb = ({
  id,
  alt,
  size = THUMB,
}: Picture & { readonly alt: string; readonly size?: number }) =>
  createElement('a', { href: `/api/photos/${id}`, target: '_blank', rel: 'noreferrer' }, [
    createElement('img', {
      key: id,
      src: `/api/photos/${id}/small`,
      alt,
      style: {
        width: size,
        height: size,
        objectFit: 'cover',
        borderRadius: radius.s,
        border: `1px solid ${colour.hairline}`,
      },
    }),
  ]);

interface PicturesProps<P extends Picture> {
  readonly pictures: readonly P[];
  /** What a picture is of, in words for those who do not see it. */
  readonly alt: (picture: P, i: number) => string;
  /** What is said under one. */
  readonly says?: (picture: P) => string;
  readonly busy?: boolean;
  readonly onAdd: (picture: NonNullable<Awaited<ReturnType<typeof uploadPhoto>>>) => void;
  readonly onDrop: (id: string) => void;
}

/** Pictures in a row, one more, one less: kept upright, small, and without where they were taken. */
export function Pictures<P extends Picture>({ pictures, alt, says, busy, onAdd, onDrop }: PicturesProps<P>) {
  const add = useMutation({
    mutationFn: async () => {
      const file = await chooseFile('image/jpeg,image/png,image/webp');
      return file && uploadPhoto(file);
    },
    onSuccess: (photo) => {
      if (photo) onAdd(photo);
    },
  });
  return (
    <View style={styles.box}>
      <Txt look="strong" level={2}>
        Photos
      </Txt>
      <View style={styles.row}>
        {pictures.map((picture, i) => (
          <View key={picture.id} style={styles.photo}>
            <Thumb id={picture.id} alt={alt(picture, i)} />
            {says && <Txt look="quiet">{says(picture)}</Txt>}
            <Button label="Drop" says={`Drop photo ${i + 1}`} onPress={() => onDrop(picture.id)} />
          </View>
        ))}
      </View>
      {add.error && <Note sort="error">{add.error.message}</Note>}
      <View style={styles.start}>
        <Button label="Add a photo" busy={add.isPending || busy === true} onPress={() => add.mutate()} />
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
