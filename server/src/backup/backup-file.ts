import { say, type Text } from '@hervir/language';
import { createReadStream, createWriteStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { finished } from 'node:stream/promises';
import {
  BACKUP_FORMAT,
  BACKUP_TABLES,
  BACKUP_VERSION,
  backupHeadFaults,
  faultAt,
  LEFT_OUT_TABLES,
  photoFaults,
  rowFaults,
  type BackupRow,
  type BackupTable,
  type Fault,
} from '@hervir/contract';
import { Tokenizer, TokenParser, TokenType, type ParsedTokenInfo } from '@streamparser/json';

/** More say no more. */
export const MOST_FAULTS = 50;
/** Read at once, bytes. */
const CHUNK = 1 << 20;

/** What is written into a backup. */
export interface BackupContent {
  readonly made: string;
  /** Rows of a table, JSON columns as what they hold. */
  rows(table: BackupTable): Iterable<BackupRow>;
  readonly photosFolder: string;
  readonly photoIds: readonly string[];
}

/** How much a backup holds. */
export interface BackupCount {
  readonly holds: Readonly<Record<BackupTable, number>>;
  readonly photos: number;
  /** Rows that an older Hervir kept and this one cannot read: in the file, and not put back. */
  readonly unreadable: number;
}

const none = (): Record<BackupTable, number> =>
  Object.fromEntries(BACKUP_TABLES.map((table) => [table, 0])) as Record<BackupTable, number>;

/**
 * Writes a backup, a row at a time: no more of it than that is in memory. A row that could not be read again is set apart,
 * so that the rest can.
 *
 * @param path of the file
 * @param content of the kitchen
 */
export async function writeBackupFile(path: string, content: BackupContent): Promise<BackupCount> {
  const out = createWriteStream(path, { mode: 0o600, highWaterMark: CHUNK });
  const done = finished(out);
  // What fails is told where it is awaited.
  done.catch(() => undefined);
  const write = async (text: string): Promise<void> => {
    if (!out.write(text))
      await Promise.race([new Promise<void>((resolve) => out.once('drain', () => resolve())), done]);
  };
  const holds = none();
  const unreadable: string[] = [];
  await write(
    `{"format":${JSON.stringify(BACKUP_FORMAT)},"version":${BACKUP_VERSION},"made":${JSON.stringify(content.made)},"tables":{`,
  );
  for (const [i, table] of BACKUP_TABLES.entries()) {
    await write(`${i === 0 ? '' : ','}\n"${table}":[`);
    for (const row of content.rows(table)) {
      const faults = rowFaults(table, row);
      if (faults.length > 0) {
        unreadable.push(JSON.stringify({ table, row, faults: faults.slice(0, 3) }));
        continue;
      }
      await write(`${holds[table] === 0 ? '' : ','}\n${JSON.stringify(row)}`);
      holds[table] += 1;
    }
    await write(']');
  }
  await write('},\n"photos":{');
  let photos = 0;
  for (const id of content.photoIds) {
    const picture = await readFile(join(content.photosFolder, `${id}.jpg`)).catch(() => null);
    // Thrown away since the list was made.
    if (picture === null) continue;
    await write(`${photos === 0 ? '' : ','}\n"${id}":"${picture.toString('base64')}"`);
    photos += 1;
  }
  await write(`}${unreadable.length === 0 ? '' : `,\n"unreadable":[\n${unreadable.join(',\n')}]`}}\n`);
  out.end();
  await done;
  return { holds, photos, unreadable: unreadable.length };
}

/** What is done with what a backup holds, as it is read. */
export interface BackupTaker {
  row(table: BackupTable, row: BackupRow): void;
  /** @returns what is wrong with it */
  photo(id: string, base64: string): Promise<readonly Fault[]>;
}

const KNOWN_KEYS = ['format', 'version', 'made', 'tables', 'photos', 'unreadable'];
const NOT_JSON: Fault = {
  path: '',
  problem: say('faults.is-not-json'),
  allowed: say('backup-file.a-backup-of-hervir'),
};
const shapeFault = (path: string, allowed: Text): Fault => ({
  path,
  problem: say('backup-file.is-not-possible-here'),
  allowed,
});

/** Looks at the shape of the document while its parts are read: which keys it has, and what lies under them. */
function shapeWatch(report: (fault: Fault) => void): (token: ParsedTokenInfo) => void {
  let depth = 0;
  let section = '';
  let key = '';
  let isKey = false;
  let awaited: { readonly path: string; readonly token: TokenType; readonly allowed: Text } | null = null;
  return ({ token, value }) => {
    if (depth === 0 && token !== TokenType.LEFT_BRACE) report(shapeFault('', say('backup-file.a-backup-of-hervir')));
    const opens = token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET;
    if (awaited !== null && token !== TokenType.COLON) {
      if (token !== awaited.token) report(shapeFault(awaited.path, awaited.allowed));
      awaited = null;
    } else if (isKey && token === TokenType.STRING) {
      key = String(value);
      if (depth === 1) {
        section = key;
        if (!KNOWN_KEYS.includes(key)) report(shapeFault(key.slice(0, 40), KNOWN_KEYS.join(', ')));
        if (key === 'tables')
          awaited = { path: key, token: TokenType.LEFT_BRACE, allowed: say('backup-file.an-object-of-tables') };
        if (key === 'photos')
          awaited = { path: key, token: TokenType.LEFT_BRACE, allowed: say('backup-file.an-object-of-photos') };
      } else if (depth === 2 && section === 'tables') {
        const known = [...BACKUP_TABLES, ...LEFT_OUT_TABLES];
        if (!known.includes(key)) report(shapeFault(`tables.${key.slice(0, 40)}`, known.join(', ')));
        else
          awaited = {
            path: `tables.${key}`,
            token: TokenType.LEFT_BRACKET,
            allowed: say('backup-file.a-list-of-rows'),
          };
      }
    }
    if (opens) depth += 1;
    if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) depth -= 1;
    isKey =
      token === TokenType.LEFT_BRACE ||
      (token === TokenType.COMMA && depth <= 2 && !(depth === 2 && section === 'unreadable'));
  };
}

/**
 * Reads a backup as a stream, row by row and photo by photo, each looked at by the schema that let it be written.
 *
 * @param path of the file
 * @param take what is done with each
 * @returns how much it holds, and the first faults, by table and row
 */
// oxlint-disable-next-line max-lines-per-function -- its checks stand in the order in which a file can be wrong
export async function readBackupFile(
  path: string,
  take: BackupTaker,
): Promise<{ readonly count: BackupCount; readonly faults: readonly Fault[] }> {
  const faults: Fault[] = [];
  const report = (fault: Fault): void => void (faults.length < MOST_FAULTS && faults.push(fault));
  const holds = none();
  const head: Record<string, unknown> = {};
  let photos = 0;
  let unreadable = 0;
  const pictures: { readonly id: string; readonly base64: string }[] = [];
  const tokenizer = new Tokenizer();
  const parser = new TokenParser({
    paths: ['$.format', '$.version', '$.made', '$.tables.*.*', '$.photos.*', '$.unreadable.*'],
    keepStack: false,
  });
  const watch = shapeWatch(report);
  let broken = false;
  let ended = false;
  const fail = (): void => {
    if (!broken) report(NOT_JSON);
    broken = true;
  };
  tokenizer.onToken = (token) => {
    if (broken) return;
    watch(token);
    parser.write(token);
  };
  tokenizer.onError = fail;
  parser.onError = fail;
  parser.onEnd = () => (ended = true);
  parser.onValue = ({ key, value, stack }) => {
    const section = stack[1]?.key;
    if (section === undefined) head[String(key)] = value;
    else if (section === 'unreadable') unreadable += 1;
    else if (section === 'photos') pictures.push({ id: String(key), base64: typeof value === 'string' ? value : '' });
    else {
      const table = String(stack[2]?.key) as BackupTable;
      if (!(table in holds)) return;
      const place = holds[table];
      holds[table] += 1;
      const wrong = rowFaults(table, value);
      for (const fault of wrong) report(faultAt(table, place, fault));
      if (table === 'settings' && place > 0)
        report(shapeFault(`tables.settings[${place}]`, say('backup-file.one-row-of-settings')));
      if (wrong.length === 0) take.row(table, value as unknown as BackupRow);
    }
  };
  const stream = createReadStream(path, { highWaterMark: CHUNK });
  try {
    for await (const chunk of stream) {
      tokenizer.write(chunk as Uint8Array);
      for (const { id, base64 } of pictures.splice(0)) {
        const wrong = [...photoFaults(id)];
        if (wrong.length === 0) wrong.push(...(await take.photo(id, base64)));
        wrong.forEach(report);
        photos += 1;
      }
      if (broken || faults.length >= MOST_FAULTS) break;
    }
  } finally {
    stream.destroy();
  }
  if (!ended && faults.length === 0) fail();
  if (!broken) for (const fault of backupHeadFaults(head)) faults.unshift(fault);
  return { count: { holds, photos, unreadable }, faults: faults.slice(0, MOST_FAULTS) };
}
