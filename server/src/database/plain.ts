import { BACKUP_TABLES, type BackupRow, type BackupTable } from '@hervir/contract';
import Database from 'libsql';

/** How long a handle of a worker waits for a lock: nobody else waits for it meanwhile, ms. */
const BUSY_MS = 10_000;

/** A table as it is read and written without entities: its columns, and which of them hold JSON. */
export interface PlainTable {
  readonly name: BackupTable;
  readonly columns: readonly string[];
  readonly json: ReadonlySet<string>;
}

const quoted = (path: string): string => `'${path.replaceAll("'", "''")}'`;

/** A kitchen's database in a worker, which has a handle of its own and knows no entities. */
export class PlainDatabase {
  private readonly handle: Database.Database;

  /** @param file of the database */
  constructor(file: string) {
    this.handle = new Database(file);
    this.handle.exec(`pragma busy_timeout = ${BUSY_MS}`);
    this.handle.exec('pragma foreign_keys = on');
  }

  exec(sql: string): void {
    this.handle.exec(sql);
  }

  all<T>(sql: string, ...values: unknown[]): T[] {
    return this.handle.prepare(sql).all(values) as T[];
  }

  /** Rows one by one: none is kept. */
  each<T>(sql: string): IterableIterator<T> {
    return this.handle.prepare(sql).iterate() as IterableIterator<T>;
  }

  /** The tables of a backup, as this database has them. Columns of type JSON hold JSON: the migrations say so. */
  tables(): PlainTable[] {
    return BACKUP_TABLES.map((name) => {
      const columns = this.all<{ name: string; type: string }>(`pragma table_info(\`${name}\`)`);
      return {
        name,
        columns: columns.map((column) => column.name),
        json: new Set(columns.filter(({ type }) => type.toLowerCase() === 'json').map((column) => column.name)),
      };
    });
  }

  /** Rows of a table as a backup has them. A JSON column that holds none is left as it stands. */
  *rows({ name, json }: PlainTable): Generator<BackupRow> {
    for (const row of this.each<Record<string, unknown>>(`select * from \`${name}\` order by 1`)) {
      for (const column of json) {
        const text = row[column];
        if (typeof text === 'string') row[column] = parsedOr(text);
      }
      yield row;
    }
  }

  /** What writes rows of a backup into a table; columns this database does not know are left out. */
  inserter({ name, columns, json }: PlainTable): (row: BackupRow) => void {
    const prepared = new Map<string, (values: unknown[]) => void>();
    const known = new Set(columns);
    return (row) => {
      const names = Object.keys(row).filter((key) => known.has(key));
      const sql = `insert into \`${name}\` (${names.map((key) => `\`${key}\``).join(', ')}) values (${names.map(() => '?').join(', ')})`;
      let run = prepared.get(sql);
      if (run === undefined) {
        const statement = this.handle.prepare(sql);
        run = (values) => void statement.run(values);
        prepared.set(sql, run);
      }
      run(
        names.map((key) => {
          const value = row[key];
          if (json.has(key) && value !== null) return JSON.stringify(value);
          return typeof value === 'boolean' ? Number(value) : value;
        }),
      );
    };
  }

  /** In one transaction, or not at all. */
  transaction<T>(work: () => T): T {
    this.exec('begin immediate');
    try {
      const done = work();
      this.exec('commit');
      return done;
    } catch (error) {
      this.exec('rollback');
      throw error;
    }
  }

  /** Another database beside this one, under a name. */
  attach(file: string, as: string): void {
    this.exec(`attach database ${quoted(file)} as \`${as}\``);
  }

  /** A database with the tables of this one, and nothing in them: for what is on its way in. */
  emptyCopy(file: string): PlainDatabase {
    const copy = new PlainDatabase(file);
    // What is on its way need not survive a power cut.
    copy.exec('pragma synchronous = off');
    for (const { name } of this.tables()) {
      const [made] = this.all<{ sql: string }>("select sql from sqlite_master where type = 'table' and name = ?", name);
      if (made) copy.exec(made.sql);
    }
    return copy;
  }

  close(): void {
    this.handle.close();
  }
}

function parsedOr(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    // Not JSON: as it stands it is a text, which no schema of a JSON column takes.
    return text;
  }
}
