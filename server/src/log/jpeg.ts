/** Markers of a JPEG file (ITU T.81, annex B). */
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const RESTART_FIRST = 0xd0;
const RESTART_LAST = 0xd7;
const APP0 = 0xe0;
const APP15 = 0xef;
/** Adobe's segment says how colours are to be read: without it some pictures come out inverted. */
const ADOBE = 0xee;
const COMMENT = 0xfe;
/** The head of a JFIF segment (ITU T.871): what follows it is a small picture of its own. */
const JFIF_HEAD = 16;

/** Where the coded data of a scan ends: at the next marker that is no restart and no stuffed byte. */
function endOfScan(bytes: Buffer, from: number): number {
  let at = from;
  for (;;) {
    at = bytes.indexOf(0xff, at);
    if (at < 0 || at + 1 >= bytes.length) return -1;
    const marker = bytes[at + 1] as number;
    if (marker !== 0 && marker !== 0xff && (marker < RESTART_FIRST || marker > RESTART_LAST)) return at;
    at += 1;
  }
}

/** An APP0 segment without its small picture; null where it is another one. */
function jfif(segment: Buffer): Buffer | null {
  if (segment.length < JFIF_HEAD + 2 || segment.toString('latin1', 4, 9) !== 'JFIF\0') return null;
  const head = Buffer.from(segment.subarray(0, JFIF_HEAD + 2));
  head.writeUInt16BE(JFIF_HEAD, 2);
  head[16] = 0;
  head[17] = 0;
  return head;
}

/**
 * A JPEG picture without anything but the picture: place, time, camera, comments and small pictures are segments of their
 * own, before, between and after the scans, and are left out; so is what follows its end.
 *
 * @param bytes of the file
 * @returns the same picture; null where it is no JPEG
 */
export function withoutMetadata(bytes: Buffer): Buffer | null {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== START) return null;
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  let scans = 0;
  let at = 2;
  while (at + 2 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] as number;
    // Markers may be preceded by any number of fill bytes (B.1.1.2).
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === END) {
      if (scans === 0) return null;
      kept.push(bytes.subarray(at, at + 2));
      return Buffer.concat(kept);
    }
    if (at + 4 > bytes.length) return null;
    const length = bytes.readUInt16BE(at + 2) + 2;
    if (length < 4 || at + length > bytes.length) return null;
    const segment = bytes.subarray(at, at + length);
    if (marker === APP0) kept.push(jfif(segment) ?? Buffer.alloc(0));
    else if (!((marker > APP0 && marker <= APP15 && marker !== ADOBE) || marker === COMMENT)) kept.push(segment);
    at += length;
    if (marker !== SCAN) continue;
    scans += 1;
    const end = endOfScan(bytes, at);
    // Cut off in its last scan: what there is of it is shown, and closed.
    if (end < 0) return Buffer.concat([...kept, bytes.subarray(at), Buffer.of(0xff, END)]);
    kept.push(bytes.subarray(at, end));
    at = end;
  }
  return null;
}
