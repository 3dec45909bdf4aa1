import { logEntrySchema, type Fault, type LogEntry } from '@hervir/contract';
import Papa from 'papaparse';

/** A column: its heading, and how it is written and read. Numbers may be negative and are no formulas. */
interface Column {
  readonly heading: string;
  readonly write: (entry: LogEntry) => string | number | null;
  readonly read: (cell: string, into: Draft) => void;
}
/** A line on its way to an entry. */
interface Draft {
  readonly flat: Record<string, unknown>;
  readonly pressure: Record<string, unknown>;
  readonly toPin: Record<string, unknown>;
  readonly release: Record<string, unknown>;
  readonly outcome: Record<string, unknown>;
}

const number = (cell: string): number | string | null => {
  if (cell.trim() === '') return null;
  const value = Number(cell.replace(',', '.'));
  return Number.isFinite(value) ? value : cell;
};
const words = (key: keyof LogEntry): Column => ({
  heading: HEADINGS[key] ?? key,
  write: (entry) => entry[key] as string,
  read: (cell, into) => void (into.flat[key] = cell),
});
const figure = (key: keyof LogEntry): Column => ({
  heading: HEADINGS[key] ?? key,
  write: (entry) => entry[key] as number | null,
  read: (cell, into) => void (into.flat[key] = number(cell)),
});
const orNull = (key: keyof LogEntry): Column => ({
  heading: HEADINGS[key] ?? key,
  write: (entry) => entry[key] as string | null,
  read: (cell, into) => void (into.flat[key] = cell === '' ? null : cell),
});
const paired = (key: 'pressure' | 'toPin' | 'release', name: string): Column[] =>
  (['planned', 'actual'] as const).map((side) => ({
    heading: `${name} ${side}, min`,
    write: (entry: LogEntry) => entry[key][side],
    read: (cell: string, into: Draft) => void (into[key][side] = number(cell)),
  }));

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
  words('servedAt'),
  words('name'),
  words('cut'),
  words('form'),
  words('cooker'),
  words('wanted'),
  orNull('grade'),
  figure('boughtG'),
  figure('trimmedG'),
  figure('cookedG'),
  ...paired('pressure', 'under pressure'),
  ...paired('toPin', 'to the pin'),
  ...paired('release', 'letting down'),
  figure('lateMinutes'),
  figure('burns'),
  {
    heading: 'moistness',
    write: ({ outcome }) => outcome.moistness,
    read: (cell, into) => void (into.outcome['moistness'] = cell === '' ? null : cell),
  },
  {
    heading: 'sauce',
    write: ({ outcome }) => outcome.sauce,
    read: (cell, into) => void (into.outcome['sauce'] = cell === '' ? null : cell),
  },
  {
    heading: VEGETABLES,
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

/** What a spreadsheet would take for a formula. */
const FORMULA = /^'*[=+\-@\t\r]/;
/** Text that would be run is written behind an apostrophe, as spreadsheets show text; and read back without it. */
const defuse = (cell: string): string => (FORMULA.test(cell) ? `'${cell}` : cell);
const refuse = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/**
 * The log as comma-separated values (RFC 4180): UTF-8 with a byte order mark, CRLF, quoted where need be, formulas defused.
 *
 * @param entries in the order they are written
 */
export function writeLogCsv(entries: readonly LogEntry[]): string {
  const rows = entries.map((entry) =>
    COLUMNS.map(({ write }) => {
      const cell = write(entry);
      return cell === null ? '' : typeof cell === 'number' ? String(cell) : defuse(cell);
    }),
  );
  const table = Papa.unparse({ fields: COLUMNS.map(({ heading }) => heading), data: rows }, { newline: '\r\n' });
  return `\uFEFF${table}\r\n`;
}

const nested = ({ pressure, toPin, release, outcome }: Draft): object => ({ pressure, toPin, release, outcome });

/** What a file holds: entries that can be taken, and every line that cannot, with the reason. */
export interface CsvReading {
  readonly entries: LogEntry[];
  readonly faults: Fault[];
}

/** A file of more lines is somebody's mistake. */
const MOST_ROWS = 50_000;

/**
 * Reads a log from comma-separated values, with commas or semicolons, any line ends, with or without a byte order mark.
 *
 * @param text of the file
 * @returns the entries and, line by line, what is wrong; nothing is guessed
 */
export function readLogCsv(text: string): CsvReading {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = parsed.data;
  const faults: Fault[] = [];
  const place = new Map(head.map((heading, i) => [heading.trim().toLowerCase(), i]));
  const missing = COLUMNS.filter(({ heading }) => !place.has(heading)).map(({ heading }) => heading);
  if (missing.length > 0) {
    return {
      entries: [],
      faults: [
        {
          path: 'line 1',
          problem: `no column ${missing.map((name) => `"${name}"`).join(', ')}`,
          allowed: COLUMNS.map(({ heading }) => heading).join(', '),
        },
      ],
    };
  }
  if (rows.length > MOST_ROWS) {
    return { entries: [], faults: [{ path: '', problem: `${rows.length} lines`, allowed: `up to ${MOST_ROWS}` }] };
  }
  const entries: LogEntry[] = [];
  const seen = new Map<string, number>();
  rows.forEach((row, i) => {
    const line = i + 2;
    const draft: Draft = { flat: {}, pressure: {}, toPin: {}, release: {}, outcome: {} };
    for (const { heading, read } of COLUMNS) read(refuse(row[place.get(heading) ?? -1] ?? ''), draft);
    const checked = logEntrySchema.safeParse({ ...draft.flat, ...nested(draft) });
    if (!checked.success) {
      for (const issue of checked.error.issues) {
        faults.push({
          path: `line ${line}, ${issue.path.join('.')}`,
          problem: 'cannot be read',
          allowed: issue.message,
        });
      }
      return;
    }
    const before = seen.get(checked.data.id);
    if (before !== undefined) {
      faults.push({ path: `line ${line}, id`, problem: `is that of line ${before} too`, allowed: 'one line a cook' });
      return;
    }
    seen.set(checked.data.id, line);
    entries.push(checked.data);
  });
  for (const { row, message } of parsed.errors) {
    if (row !== undefined)
      faults.push({ path: `line ${row + 1}`, problem: message, allowed: 'comma-separated values (RFC 4180)' });
  }
  return { entries: faults.length > 0 ? [] : entries, faults };
}
