import { withoutMetadata } from './jpeg';

/** A segment of a JPEG file: ITU T.81, B.1.1.4. */
const segment = (marker: number, text: string | Buffer): Buffer => {
  const body = Buffer.from(text as string, 'latin1');
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
};
const START = Buffer.from('ffd8', 'hex');
const END = Buffer.from('ffd9', 'hex');
const TABLE = segment(0xdb, 'quantised');
const scan = (data: string): Buffer => Buffer.concat([segment(0xda, 'head'), Buffer.from(data, 'hex')]);

test('everything that is not the picture is left out: before, between and after the scans', () => {
  const picture = Buffer.concat([
    START,
    segment(0xe1, 'Exif\0\0GPS 46.5 N'),
    segment(0xe2, 'MPF a second picture'),
    segment(0xfe, 'taken by the refuge'),
    TABLE,
    scan('01ff0002ffd003'),
    segment(0xed, 'Photoshop: GPS'),
    segment(0xfe, 'GPS again'),
    scan('0405'),
    END,
    Buffer.from('trailer: GPS and a film'),
  ]);
  const clean = withoutMetadata(picture);
  expect(clean).toEqual(Buffer.concat([START, TABLE, scan('01ff0002ffd003'), scan('0405'), END]));
});

test('the head of JFIF stays, without its small picture; that of colours stays whole', () => {
  const jfif = (more: string): Buffer =>
    segment(0xe0, Buffer.concat([Buffer.from('4a46494600010200000100010000', 'hex'), Buffer.from(more)]));
  const small = Buffer.from('4a46494600010200000100010101', 'hex');
  const adobe = segment(0xee, 'Adobe and how colours are read');
  const clean = withoutMetadata(
    Buffer.concat([
      START,
      segment(0xe0, Buffer.concat([small, Buffer.from('RGB')])),
      segment(0xe0, 'JFXX\0thumbnail'),
      adobe,
      scan('01'),
      END,
    ]),
  );
  expect(clean).toEqual(Buffer.concat([START, jfif(''), adobe, scan('01'), END]));
});

test.each([
  ['nothing', ''],
  ['another picture', '89504e470d0a1a0a'],
  ['a start and an end', 'ffd8ffd9'],
  ['a segment longer than the file', 'ffd8ffe1ffff00'],
  ['a segment of no length', 'ffd8ffe1000000'],
])('%s is no JPEG', (_what, hex) => {
  expect(withoutMetadata(Buffer.from(hex, 'hex'))).toBeNull();
});

test('one cut off in its scan is closed', () => {
  expect(withoutMetadata(Buffer.concat([START, scan('010203')]))).toEqual(Buffer.concat([START, scan('010203'), END]));
});
