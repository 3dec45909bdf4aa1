import { dateReader, decimalIn, decimalOf, monthFirst, numberIn } from './as-written';
import { readLogCsv, writeLogCsv } from './log-csv';
import { decoded } from '../log/csv-jobs';

const day = (text: string, first = false): string | null => dateReader(first)(text)?.slice(0, 16) ?? null;

describe('numbers as people write them (Unicode CLDR, through Intl)', () => {
  test.each([
    ['de', ','],
    ['es-ES', ','],
    ['en-GB', '.'],
    ['no such language', '.'],
  ])('%s divides tenths by %s', (language, sign) => expect(decimalOf({ language })).toBe(sign));

  test.each([
    ['1.500,5', ',', 1500.5],
    ['1.500', ',', 1500],
    ['1,5', ',', 1.5],
    ['1,500.5', '.', 1500.5],
    ['1,500', '.', 1500],
    ['1,5', '.', 1.5],
    ['1 500', ',', 1500],
    ['1’500', '.', 1500],
    ['-3', '.', -3],
    ['.5', '.', 0.5],
    ['', '.', null],
    ['1,2,3', '.', null],
    ['a kilo', '.', null],
    ['0x10', '.', null],
  ] as const)('"%s" with %s', (text, decimal, value) => expect(numberIn(text, decimal)).toBe(value));
});

test.each([
  [['1.200', '42,5'], ';', 'en', ','],
  [['1,200', '42.5'], ',', 'de', '.'],
  [['1.200'], ';', 'en', ','],
  [['1.200'], '\t', 'de', ','],
  [['1.200'], ',', 'en', '.'],
  [['1.200.300'], ',', 'en', ','],
  [['', 'a kilo'], ',', 'en', '.'],
] as const)('the sign before the tenths of %j, divided by %j, read in %s: %s', (cells, delimiter, language, sign) => {
  expect(decimalIn(cells, delimiter, { language })).toBe(sign);
});

describe('dates as people write them', () => {
  test.each([
    ['2026-11-05', false, '2026-11-05T19:00'],
    ['5.11.2026', false, '2026-11-05T19:00'],
    ['05/11/2026', false, '2026-11-05T19:00'],
    ['11/5/2026', true, '2026-11-05T19:00'],
    // With points between, nobody puts the month first.
    ['5.11.2026', true, '2026-11-05T19:00'],
    ['5.11.26 18:30', false, '2026-11-05T18:30'],
    ['11/5/26 7:30 pm', true, '2026-11-05T19:30'],
    ['5 Nov 2026', false, '2026-11-05T19:00'],
    ['November 5, 2026', false, '2026-11-05T19:00'],
    ['2026-11-05T18:00:00+01:00', false, '2026-11-05T18:00'],
    ['31.2.2026', false, null],
    ['last Tuesday', false, null],
  ])('%s', (text, first, iso) => expect(day(text, first)).toBe(iso));

  test('the column itself says whether the month stands first; else the language does', () => {
    expect(monthFirst(['3/4/2026', '25/4/2026'], { language: 'en-US' })).toBe(false);
    expect(monthFirst(['3/4/2026', '4/25/2026'], { language: 'de' })).toBe(true);
    expect(monthFirst(['3/4/2026'], { language: 'en-US' })).toBe(true);
    expect(monthFirst(['3/4/2026'], { language: 'en-GB' })).toBe(false);
  });
});

describe('a notebook', () => {
  const NOTEBOOK = 'Datum;Cut;Weight;Minutes;Came out;Notes'.replace('Datum', 'Date');

  test('needs a day and a cut; what it leaves out is what is usual', () => {
    const { entries, faults } = readLogCsv('date,cut\n2026-11-05,Beef shin\n', { language: 'en' });
    expect(faults).toEqual([]);
    expect(entries[0]).toMatchObject({
      source: 'imported',
      cut: 'beef-shin',
      grade: null,
      wanted: 'fork',
      burns: 0,
      pressure: { planned: null, actual: null },
    });
    expect(readLogCsv('date,cut\n2026-11-05,Beef shin\n').entries[0]?.id).toBe(entries[0]?.id);
    expect(readLogCsv('cut\nbeef shin').faults[0]).toMatchObject({ path: 'line 1', problem: 'no column "served at"' });
  });

  test('of another language: semicolons, decimal commas, days first, words in capitals', () => {
    const text = `${NOTEBOOK}\r\n5.11.2026;GOAT NECK;1.600,5;42,5;Fork;"two\nlines"\r\n`;
    const { entries, faults } = readLogCsv(text, { language: 'de' });
    expect(faults).toEqual([]);
    expect(entries[0]).toMatchObject({
      cut: 'goat-neck',
      boughtG: 1600.5,
      grade: 'fork',
      pressure: { actual: 42.5 },
      notes: 'two\nlines',
    });
    expect(entries[0]?.servedAt).toMatch(/^2026-11-05T19:00:00[+-]/);
  });

  test('says what is wrong by line of the file and name of the column', () => {
    const text = `${NOTEBOOK}\n5.11.2026;goat neck;1600;40;fork;"a\nb\nc"\n\nsoon;unicorn;a lot;40;lovely;x\n`;
    const { faults } = readLogCsv(text, { language: 'de' });
    expect(faults.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['line 6, served at', 'line 6, cut', 'line 6, bought, g', 'line 6, came out']),
    );
  });

  test.each([
    ['UTF-16 with its mark', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf16le')],
    ['UTF-16 without it', (text: string) => Buffer.from(text, 'utf16le')],
    ['UTF-16, the other end first', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf16le').swap16()],
    ['UTF-8 with its mark', (text: string) => Buffer.from(`\uFEFF${text}`)],
    ['Windows-1252', (text: string) => Buffer.from(text, 'latin1')],
  ])('saved as %s', (_how, save) => {
    const text = 'date;cut;notes\n5.11.2026;goat neck;à la crème, très bon\n';
    expect(readLogCsv(decoded(save(text)), { language: 'fr' }).entries[0]?.notes).toBe('à la crème, très bon');
  });

  test('a cell that would be a formula to a program that divides by semicolons is none, and comes back as it was', () => {
    const [entry] = readLogCsv('date,cut\n2026-11-05,goat neck').entries;
    if (!entry) throw new Error('not read');
    const notes = 'salty;=HYPERLINK("http://x")\n+1';
    const text = writeLogCsv([{ ...entry, notes }]);
    for (const cell of text.split(/[;\n]/).slice(1)) expect(cell).not.toMatch(/^[=+@]/);
    expect(text).toContain('"salty;');
    expect(readLogCsv(text).entries[0]?.notes).toBe(notes);
  });
});
