import sharp from 'sharp';
import { MOST_PIXELS, MOST_SIDE } from './photoLimits';

/** A photo made ready to keep: upright, of a bounded size, with nothing of the camera or the place in it. */
export interface PreparedPhoto {
  readonly full: Buffer;
  readonly thumb: Buffer;
  readonly width: number;
  readonly height: number;
}
/** Why a picture is not kept. */
export type PhotoRefusal = 'too_large' | 'unreadable';

const LONGEST = 1600;
const THUMB = 240;
const QUALITY = 85;
/** Longer than this no honest picture takes. */
const MOST_SECONDS = 10;

sharp.cache(false);
sharp.concurrency(1);

const open = (bytes: Buffer) => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 });

/** Decodes, turns upright by the camera's note, shrinks, and writes anew as JPEG, so that no metadata survives. */
export async function preparePhoto(bytes: Buffer): Promise<PreparedPhoto | PhotoRefusal> {
  try {
    const { width = 0, height = 0 } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (width * height > MOST_PIXELS || Math.max(width, height) > MOST_SIDE) return 'too_large';
    const { data: full, info } = await open(bytes)
      .autoOrient()
      // Transparent parts become white paper.
      .flatten({ background: '#ffffff' })
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .timeout({ seconds: MOST_SECONDS })
      .toBuffer({ resolveWithObject: true });
    const thumb = await open(full)
      .resize({ width: THUMB, height: THUMB, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer();
    return { full, thumb, width: info.width, height: info.height };
  } catch {
    return 'unreadable';
  }
}
