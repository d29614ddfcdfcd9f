import type { Picture } from '@red-shelf/core';
import { chooseFile } from '../ui/files';

/** Pictures are judged at this size; a colour needs no more. */
const LONGEST = 900;

/** Lets the person choose or take a picture and reads its pixels; null when they changed their mind. */
export async function choosePicture(): Promise<
  { image: HTMLCanvasElement; picture: Picture } | { message: string } | null
> {
  const file = await chooseFile('image/*');
  if (!file) return null;
  let bitmap: ImageBitmap;
  try {
    // Upright as the camera held it.
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { message: `“${file.name}” is not a picture this browser can read. Choose a JPEG or PNG.` };
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const image = document.createElement('canvas');
  image.width = Math.max(1, Math.round(bitmap.width * scale));
  image.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = image.getContext('2d', { willReadFrequently: true });
  if (!context) return { message: 'This browser does not let pictures be read.' };
  context.drawImage(bitmap, 0, 0, image.width, image.height);
  const { data } = context.getImageData(0, 0, image.width, image.height);
  return { image, picture: { width: image.width, height: image.height, data } };
}
