import { t } from '../language/t';

/** Longest side of a kept photo, px. */
const LONGEST = 1600;
const QUALITY = 0.85;

/**
 * A photo as the log keeps it: drawn anew, so that nothing but the picture goes along, and no larger than it need be.
 *
 * @returns JPEG in base64
 * @throws Error where the browser cannot read the file as a picture
 */
export async function asPicture(file: File): Promise<string> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error(t('log.that-file-is-no-picture'));
  });
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY).replace(/^.*,/, '');
}
