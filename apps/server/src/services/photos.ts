import { existsSync } from 'node:fs';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { PhotoView } from '@red-shelf/contract';
import { imageSize } from 'image-size';
import { notFound, Refusal } from './refusal';
import type { PreparedPhoto } from '../jobs/preparePhoto';
import type { Ports } from './ports';

/** Where photos are kept, and who makes them ready. */
export interface PhotoKeeping {
  /** A folder beside the database. */
  readonly folder: string;
  readonly prepare: (bytes: Buffer) => Promise<PreparedPhoto>;
}

/** More pixels than any phone takes: 50 megapixels. */
const MOST_PIXELS = 50e6;
const ID = /^[0-9a-f-]{1,64}$/i;

const unreadable = (): Refusal =>
  new Refusal(422, 'photo_unreadable', 'This picture cannot be read; it may be damaged. Nothing was kept.');

/** Type and size are told by the content, not by the name. */
function refuseOther(bytes: Buffer): void {
  let size: { width: number; height: number; type?: string };
  try {
    size = imageSize(bytes);
  } catch {
    throw new Refusal(422, 'not_a_photo', 'That is not a picture. Choose a JPEG or PNG file.');
  }
  if (size.type !== 'jpg' && size.type !== 'png')
    throw new Refusal(
      422,
      'not_a_photo',
      `A ${(size.type ?? 'strange').toUpperCase()} picture cannot be read here. Save it as JPEG or PNG.`,
    );
  if (size.width * size.height > MOST_PIXELS)
    throw new Refusal(
      422,
      'photo_too_large',
      `${Math.round((size.width * size.height) / 1e6)} megapixels is too large: at most ${MOST_PIXELS / 1e6}.`,
    );
}

/** Keeps a photo and its thumbnail; it belongs to a supply once that supply names it. */
export async function keepPhoto(keeping: PhotoKeeping, ports: Ports, bytes: Buffer): Promise<PhotoView> {
  refuseOther(bytes);
  const photo = await keeping.prepare(bytes).catch(() => {
    throw unreadable();
  });
  const id = ports.newId();
  await mkdir(keeping.folder, { recursive: true });
  await writeFile(join(keeping.folder, `${id}.jpg`), photo.full);
  await writeFile(join(keeping.folder, `${id}.small.jpg`), photo.thumb);
  return { id, width: photo.width, height: photo.height };
}

/** Path of a kept photo. Throws a refusal when there is none. */
export function photoFile({ folder }: PhotoKeeping, id: string, small: boolean): string {
  const file = join(folder, `${id}${small ? '.small' : ''}.jpg`);
  if (!ID.test(id) || !existsSync(file)) throw notFound('photo');
  return file;
}
