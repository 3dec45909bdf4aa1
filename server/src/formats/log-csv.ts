import { say } from '@hervir/language';
import { inWords } from '../language/speech';
import { createHash } from 'node:crypto';
import { logEntrySchema, readBy, type Fault, type LogEntry } from '@hervir/contract';
import { CUTS, cutById, cutTitle, FORMS, GRADES } from '@hervir/core';
import Papa from 'papaparse';
import { dateReader, decimalIn, monthFirst, numberIn, type Reader } from './as-written';

/** A column: its heading, and how it is written and read. Numbers may be negative and are no formulas. */
interface Column {
  readonly heading: string;
  /** Where it stands in an entry, as a fault names it. */
  readonly at: string;
  readonly write: (entry: LogEntry) => string | number | null;
  readonly read: (cell: string, into: Draft, reader: CsvReader) => void;
}
/** How a file writes its numbers and dates. */
interface CsvReader {
  readonly decimal: '.' | ',';
  readonly date: (text: string) => string | null;
}
/** A line on its way to an entry. */
interface Draft {
  readonly flat: Record<string, unknown>;
  readonly pressure: Record<string, unknown>;
  readonly toPin: Record<string, unknown>;
  readonly release: Record<string, unknown>;
  readonly outcome: Record<string, unknown>;
}

const number = (cell: string, { decimal }: CsvReader): number | string | null =>
  cell.trim() === '' ? null : (numberIn(cell, decimal) ?? cell);
const orNothing = (cell: string): string | undefined => (cell.trim() === '' ? undefined : cell.trim());
const heading = (key: keyof LogEntry): Pick<Column, 'heading' | 'at'> => ({ heading: HEADINGS[key] ?? key, at: key });
const words = (
  key: keyof LogEntry,
  read: (cell: string, reader: CsvReader) => string | undefined = orNothing,
): Column => ({
  ...heading(key),
  write: (entry) => entry[key] as string,
  read: (cell, into, reader) => void (into.flat[key] = read(cell, reader)),
});
const figure = (key: keyof LogEntry): Column => ({
  ...heading(key),
  write: (entry) => entry[key] as number | null,
  read: (cell, into, reader) => void (into.flat[key] = number(cell, reader)),
});
const paired = (key: 'pressure' | 'toPin' | 'release', name: string): Column[] =>
  (['planned', 'actual'] as const).map((side) => ({
    heading: `${name} ${side}, min`,
    at: `${key}.${side}`,
    write: (entry: LogEntry) => entry[key][side],
    read: (cell: string, into: Draft, reader: CsvReader) => void (into[key][side] = number(cell, reader)),
  }));

/** A chance that was promised; a line of a notebook has none. */
const promised = (side: 'tender' | 'inTime', name: string): Column => ({
  heading: name,
  at: `promised.${side}`,
  write: (entry) => entry.promised?.[side] ?? null,
  read: (cell, into, reader) => {
    const chance = number(cell, reader);
    if (chance !== null) into.flat['promised'] = { inTime: null, ...(into.flat['promised'] as object), [side]: chance };
  },
});

/** A word of a list as people write it: upper or lower case, with blanks for lines. */
const known = (cell: string, list: readonly string[]): string | undefined => {
  const wanted = cell
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  return cell.trim() === '' ? undefined : (list.find((one) => one === wanted) ?? cell.trim());
};
const plainWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}]+/gu, ' ')
    .trim();
/** A cut by its id, or by its name as people write it. */
function cutIn(cell: string): string | undefined {
  const wanted = plainWords(cell);
  if (wanted === '') return undefined;
  const cut = CUTS.find((cut) =>
    [cut.id, ...cut.words].some((name) => {
      const plain = plainWords(name);
      return plain === wanted || `${cut.species} ${plain}` === wanted || plain === `${cut.species} ${wanted}`;
    }),
  );
  return cut?.id ?? cell.trim();
}

/** A heading says the unit where there is one. */
const HEADINGS: Readonly<Record<string, string>> = {
  id: 'id',
  source: 'source',
  servedAt: 'served at',
  name: 'name',
  cut: 'cut',
  form: 'form',
  cooker: 'cooker',
  wanted: 'wanted',
  grade: 'came out',
  firstGrade: 'came out at first',
  enough: 'enough at the check',
  boughtG: 'bought, g',
  trimmedG: 'trimmed, g',
  cookedG: 'cooked, g',
  lateMinutes: 'late, min',
  burns: 'burn errors',
  notes: 'notes',
};

const VEGETABLES = 'vegetables';
const COLUMNS: readonly Column[] = [
  words('id'),
  words('source'),
  words('servedAt', (cell, { date }) => (cell.trim() === '' ? undefined : (date(cell) ?? cell))),
  words('name'),
  words('cut', cutIn),
  words('form', (cell) => known(cell, FORMS)),
  words('cooker'),
  words('wanted', (cell) => known(cell, GRADES)),
  words('grade', (cell) => known(cell, GRADES)),
  words('firstGrade', (cell) => known(cell, GRADES)),
  words('enough', (cell) => known(cell, GRADES)),
  figure('boughtG'),
  figure('trimmedG'),
  figure('cookedG'),
  ...paired('pressure', 'under pressure'),
  ...paired('toPin', 'to the pin'),
  ...paired('release', 'letting down'),
  figure('lateMinutes'),
  figure('burns'),
  promised('tender', 'promised tender'),
  promised('inTime', 'promised in time'),
  {
    heading: 'moistness',
    at: 'outcome.moistness',
    write: ({ outcome }) => outcome.moistness,
    read: (cell, into) => void (into.outcome['moistness'] = cell === '' ? null : cell),
  },
  {
    heading: 'sauce',
    at: 'outcome.sauce',
    write: ({ outcome }) => outcome.sauce,
    read: (cell, into) => void (into.outcome['sauce'] = cell === '' ? null : cell),
  },
  {
    heading: VEGETABLES,
    at: 'outcome.vegetables',
    write: ({ outcome }) =>
      Object.entries(outcome.vegetables)
        .map(([name, how]) => `${name}: ${how}`)
        .join('; '),
    read: (cell, into) =>
      void (into.outcome['vegetables'] = Object.fromEntries(
        cell
          .split(';')
          .map((part) => part.split(':').map((word) => word.trim()))
          .filter(([name]) => name !== undefined && name !== '')
          .map(([name, how]) => [name, how ?? '']),
      )),
  },
  words('notes'),
];

/** What a spreadsheet would take for a formula: at the beginning of a cell, and of what follows a semicolon or a new line. */
const FORMULA = /(^|[;\n])('*[=+\-@\t\r])/g;
const DEFUSED = /(^|[;\n])'('*[=+\-@\t\r])/g;
/** Text that would be run is written behind an apostrophe, as spreadsheets show text; and read back without it. */
const defuse = (cell: string): string => cell.replace(FORMULA, "$1'$2");
const refuse = (cell: string): string => cell.replace(DEFUSED, '$1$2');

/**
 * The log as comma-separated values (RFC 4180): UTF-8 with a byte order mark, CRLF, quoted where need be, formulas defused
 * and what holds a semicolon quoted too, for programs that divide by it.
 *
 * @param entries in the order they are written
 */
export function writeLogCsv(entries: readonly LogEntry[]): string {
  const rows = entries.map((entry) =>
    COLUMNS.map(({ write }) => {
      const cell = write(entry);
      return cell === null || cell === undefined ? '' : typeof cell === 'number' ? String(cell) : defuse(cell);
    }),
  );
  const table = Papa.unparse(
    { fields: COLUMNS.map((column) => column.heading), data: rows },
    { newline: '\r\n', quotes: (cell: unknown) => typeof cell === 'string' && cell.includes(';') },
  );
  return `\uFEFF${table}\r\n`;
}

/** What a file holds: entries that can be taken, and every line that cannot, with the reason. */
export interface CsvReading {
  readonly entries: LogEntry[];
  readonly faults: Fault[];
}

/** A file of more lines is somebody's mistake. */
const MOST_ROWS = 50_000;
/** More say no more. */
const MOST_FAULTS = 200;
/** Without them a line is no cook of a notebook. */
const NEEDED = ['served at', 'cut'];
/** Headings as notebooks have them. */
const ALSO_CALLED: Readonly<Record<string, string>> = {
  date: 'served at',
  day: 'served at',
  served: 'served at',
  dish: 'name',
  meat: 'cut',
  pot: 'cooker',
  weight: 'bought, g',
  grams: 'bought, g',
  minutes: 'under pressure actual, min',
  'under pressure, min': 'under pressure actual, min',
  result: 'came out',
  comment: 'notes',
  note: 'notes',
};

/** Columns of numbers. */
const FIGURES: ReadonlySet<string> = new Set([
  'boughtG',
  'trimmedG',
  'cookedG',
  'lateMinutes',
  'burns',
  'promised.tender',
  'promised.inTime',
  ...['pressure', 'toPin', 'release'].flatMap((key) => [`${key}.planned`, `${key}.actual`]),
]);

const headingIn = (cell: string): string => {
  const plain = cell.trim().toLowerCase().replace(/\s+/g, ' ');
  return ALSO_CALLED[plain] ?? plain;
};

/** The id of a line that has none: the same line again is the same cook. A UUID by its content: RFC 9562, version 8. */
function idOf(row: readonly string[]): string {
  const hex = createHash('sha256').update(JSON.stringify(row)).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** What a line leaves out, by what it says. */
function completed(
  { flat, pressure, toPin, release, outcome }: Draft,
  row: readonly string[],
): Record<string, unknown> {
  const cut = CUTS.find(({ id }) => id === flat['cut']);
  const nothing = { planned: null, actual: null };
  return {
    id: flat['id'] ?? idOf(row),
    source: flat['source'] ?? 'imported',
    servedAt: flat['servedAt'],
    name: flat['name'] ?? (cut === undefined ? '' : inWords(cutTitle(cutById(cut.id)))),
    cut: flat['cut'],
    form: flat['form'] ?? cut?.forms[0],
    cooker: flat['cooker'] ?? '',
    wanted: flat['wanted'] ?? 'fork',
    grade: flat['grade'] ?? null,
    boughtG: flat['boughtG'] ?? (cut === undefined ? undefined : Math.round(cut.usualKg * 1000)),
    trimmedG: flat['trimmedG'] ?? null,
    cookedG: flat['cookedG'] ?? null,
    pressure: { ...nothing, ...pressure },
    toPin: { ...nothing, ...toPin },
    release: { ...nothing, ...release },
    lateMinutes: flat['lateMinutes'] ?? null,
    burns: flat['burns'] ?? 0,
    ...(flat['firstGrade'] === undefined ? {} : { firstGrade: flat['firstGrade'] }),
    ...(flat['enough'] === undefined ? {} : { enough: flat['enough'] }),
    ...(flat['promised'] === undefined ? {} : { promised: flat['promised'] }),
    outcome,
    notes: flat['notes'] ?? '',
  };
}

const headingAt = (path: string): string =>
  COLUMNS.find(({ at }) => path === at || path.startsWith(`${at}.`) || path.startsWith(`${at}[`))?.heading ?? path;

/**
 * Reads a log from comma-separated values: with commas, semicolons or tabs, any line ends, with or without a byte order mark,
 * numbers and dates as the reader's language writes them. Only the date and the cut are needed; what else a line leaves out
 * is what is usual, and nothing where nothing is.
 *
 * @param text of the file
 * @param reader whose numbers and dates they are
 * @param refusal what else is wrong with a line, by its field; left out, nothing
 * @returns the entries and, by line and column, what is wrong
 * @example readLogCsv('date,cut\n2026-11-05,beef shin').entries[0].cut // 'beef-shin'
 */
// oxlint-disable-next-line max-lines-per-function -- one walk over the rows, whose faults are told together
export function readLogCsv(
  text: string,
  reader: Reader = { language: 'en' },
  refusal: (entry: LogEntry) => Fault | null = () => null,
): CsvReading {
  const faults: Fault[] = [];
  const report = (fault: Fault): void => void (faults.length < MOST_FAULTS && faults.push(fault));
  const entries: LogEntry[] = [];
  const seen = new Map<string, number>();
  const table = text.replace(/^\uFEFF/, '');
  const { data, errors, meta } = Papa.parse<string[]>(table, { skipEmptyLines: false });
  const isBlank = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');
  const first = data.findIndex((row) => !isBlank(row));
  const head = data[first] ?? [];
  const place = new Map(head.map((cell, i) => [headingIn(cell), i]));
  const missing = NEEDED.filter((name) => !place.has(name));
  if (missing.length > 0) {
    const problem = `no column ${missing.map((name) => `"${name}"`).join(', ')}`;
    const allowed = COLUMNS.map((column) => column.heading).join(', ');
    return { entries, faults: [{ path: `line ${Math.max(1, first + 1)}`, problem, allowed }] };
  }
  const rows = data.length - first - 1;
  if (rows > MOST_ROWS) {
    return {
      entries,
      faults: [
        { path: '', problem: say('log-csv.lines', { rows }), allowed: say('log-csv.up-to', { most: MOST_ROWS }) },
      ],
    };
  }
  const there = COLUMNS.flatMap((column) => {
    const i = place.get(column.heading);
    return i === undefined ? [] : [{ column, i }];
  });
  // A file that Hervir wrote has its own figures; what a spreadsheet or a hand wrote has those of its language.
  const ours = meta.delimiter === ',' && place.has('id') && place.has('source');
  const dates = data.slice(first + 1).map((row) => row[place.get('served at') ?? -1] ?? '');
  const figures = there.filter(({ column }) => FIGURES.has(column.at)).map(({ i }) => i);
  const numbers = data.slice(first + 1).flatMap((row) => figures.map((i) => row[i] ?? ''));
  const how: CsvReader = {
    decimal: ours ? '.' : decimalIn(numbers, meta.delimiter, reader),
    date: dateReader(monthFirst(dates, reader)),
  };
  let line = 1;
  data.forEach((row, i) => {
    const here = line;
    // A cell may hold line breaks of its own.
    line += 1 + row.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    if (i <= first || isBlank(row)) return;
    const draft: Draft = { flat: {}, pressure: {}, toPin: {}, release: {}, outcome: {} };
    for (const { column, i: at } of there) column.read(refuse(row[at] ?? ''), draft, how);
    const checked = readBy(logEntrySchema, completed(draft, row));
    if (!checked.ok) {
      for (const { path, problem, allowed } of checked.faults) {
        report({ path: `line ${here}, ${headingAt(path)}`, problem, allowed });
      }
      return;
    }
    const { id } = checked.value;
    const before = seen.get(id);
    if (before !== undefined) {
      report({
        path: `line ${here}, id`,
        problem: say('log-csv.is-that-of-line', { before }),
        allowed: say('log-csv.one-line-a-cook'),
      });
      return;
    }
    seen.set(id, here);
    const refused = refusal(checked.value);
    if (refused === null) entries.push(checked.value);
    else report({ ...refused, path: `line ${here}, ${headingAt(refused.path)}` });
  });
  for (const { row, message, code } of errors) {
    if (code === 'UndetectableDelimiter') continue;
    report({ path: `line ${(row ?? 0) + 1}`, problem: message, allowed: say('log-csv.comma-separated-values') });
  }
  return { entries: faults.length > 0 ? [] : entries, faults };
}
