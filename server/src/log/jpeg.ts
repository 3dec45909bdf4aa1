/** Markers of a JPEG file (ITU T.81, annex B): start, start of scan, and the segments that hold metadata. */
const START = 0xd8;
const SCAN = 0xda;
const APP0 = 0xe0;
const APP15 = 0xef;
/** Adobe's segment says how colours are to be read: without it some pictures come out inverted. */
const ADOBE = 0xee;
const COMMENT = 0xfe;

/**
 * A JPEG picture without anything but the picture: place, time, camera and comments are segments of their own before
 * the scan, and are left out.
 *
 * @param bytes of the file
 * @returns the same picture; null where it is no JPEG
 */
export function withoutMetadata(bytes: Buffer): Buffer | null {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== START) return null;
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] as number;
    if (marker === SCAN) {
      kept.push(bytes.subarray(at));
      return Buffer.concat(kept);
    }
    const length = bytes.readUInt16BE(at + 2) + 2;
    if (length < 4 || at + length > bytes.length) return null;
    const metadata = (marker > APP0 && marker <= APP15 && marker !== ADOBE) || marker === COMMENT;
    if (!metadata) kept.push(bytes.subarray(at, at + length));
    at += length;
  }
  return null;
}
