import { Jimp, JimpMime } from 'jimp';

/** A photo made ready to keep: upright, of a bounded size, with nothing of the camera or the place in it. */
export interface PreparedPhoto {
  readonly full: Buffer;
  readonly thumb: Buffer;
  readonly width: number;
  readonly height: number;
}

const LONGEST = 1600;
const THUMB = 240;
const QUALITY = 85;

/** Decodes, turns upright by the camera's note, shrinks, and writes anew as JPEG, so that no metadata survives. */
export async function preparePhoto(bytes: Buffer): Promise<PreparedPhoto> {
  const image = await Jimp.read(bytes);
  const longest = Math.max(image.width, image.height);
  if (longest > LONGEST) image.scale(LONGEST / longest);
  // Transparent parts of a PNG become white paper.
  const upright = new Jimp({ width: image.width, height: image.height, color: 0xffffffff });
  upright.composite(image);
  const thumb = upright.clone();
  thumb.scale(Math.min(1, THUMB / Math.max(thumb.width, thumb.height)));
  return {
    full: await upright.getBuffer(JimpMime.jpeg, { quality: QUALITY }),
    thumb: await thumb.getBuffer(JimpMime.jpeg, { quality: QUALITY }),
    width: upright.width,
    height: upright.height,
  };
}
