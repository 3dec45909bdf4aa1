import type { Fault } from '@hervir/contract';
import { withoutMetadata } from './jpeg';
import { say } from '@hervir/language';

/** The largest picture of a cook, bytes. */
export const MOST_PICTURE_BYTES = 6_000_000;

/**
 * A picture as it is kept: without where and with what it was taken.
 *
 * @param bytes of the file
 * @param path where it stands, for the fault
 * @returns the picture, or what is wrong with it
 */
export function pictureOf(bytes: Buffer, path: string): { readonly picture: Buffer } | { readonly fault: Fault } {
  if (bytes.length > MOST_PICTURE_BYTES) {
    return {
      fault: {
        path,
        problem: say('picture.bytes', { count: bytes.length }),
        allowed: say('picture.up-to', { mostPictureBytes: MOST_PICTURE_BYTES }),
      },
    };
  }
  const picture = withoutMetadata(bytes);
  return picture === null
    ? { fault: { path, problem: say('picture.is-no-jpeg-picture'), allowed: 'JPEG' } }
    : { picture };
}
