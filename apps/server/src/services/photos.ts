import { existsSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { PhotoView } from '@red-shelf/contract';
import { notFound, Refusal } from './refusal';
import { MOST_PIXELS, MOST_SIDE } from '../jobs/photoLimits';
import type { PhotoRefusal, PreparedPhoto } from '../jobs/preparePhoto';
import { writeDurably } from '../db/durably';
import type { Ports } from './ports';

/** Where photos are kept, and who makes them ready. */
export interface PhotoKeeping {
  /** A folder beside the database. */
  readonly folder: string;
  readonly prepare: (bytes: Buffer) => Promise<PreparedPhoto | PhotoRefusal>;
}

const ID = /^[0-9a-f-]{1,64}$/i;
/** How a kept picture's file is called, whole or small. */
export const PHOTO_FILE = /^[0-9a-f-]{1,64}(\.small)?\.jpg$/i;

const refusePhoto = (why: PhotoRefusal): Refusal =>
  why === 'unreadable'
    ? new Refusal(
        422,
        'photo_unreadable',
        'This picture cannot be read; it may be damaged. Nothing was kept.',
      )
    : new Refusal(
        422,
        'photo_too_large',
        `This picture is too large: at most ${MOST_PIXELS / 1e6} megapixels, and ${MOST_SIDE} along one side. Nothing was kept.`,
      );

/** How a picture that is read here begins. */
const JPEG = [0xff, 0xd8, 0xff] as const;
const BEGINNINGS: readonly (readonly (number | null)[])[] = [
  JPEG,
  // PNG
  [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  // WebP: RIFF, four bytes of length, WEBP
  [0x52, 0x49, 0x46, 0x46, null, null, null, null, 0x57, 0x45, 0x42, 0x50],
];

/** Whether a file says of itself that it is a JPEG. */
export const isJpeg = (bytes: Uint8Array): boolean => JPEG.every((byte, i) => bytes[i] === byte);

/** What a file is, is told by its first bytes, not by its name; nothing else is ever opened. */
function refuseOther(bytes: Buffer): void {
  const is = BEGINNINGS.some((begin) => begin.every((byte, i) => byte === null || bytes[i] === byte));
  if (!is)
    throw new Refusal(
      422,
      'not_a_photo',
      'That is not a picture that can be read here. Choose a JPEG, PNG or WebP file.',
    );
}

/** Keeps a photo and its thumbnail; it belongs to a supply once that supply names it. */
export async function keepPhoto(keeping: PhotoKeeping, ports: Ports, bytes: Buffer): Promise<PhotoView> {
  refuseOther(bytes);
  const photo = await keeping.prepare(bytes);
  if (typeof photo === 'string') throw refusePhoto(photo);
  const id = ports.newId();
  await mkdir(keeping.folder, { recursive: true, mode: 0o700 });
  await writeDurably(join(keeping.folder, `${id}.small.jpg`), photo.thumb);
  await writeDurably(join(keeping.folder, `${id}.jpg`), photo.full);
  return { id, width: photo.width, height: photo.height };
}

/** Path of a kept photo. Throws a refusal when there is none. */
export function photoFile({ folder }: PhotoKeeping, id: string, small: boolean): string {
  const file = join(folder, `${id}${small ? '.small' : ''}.jpg`);
  if (!ID.test(id) || !existsSync(file)) throw notFound('photo');
  return file;
}
