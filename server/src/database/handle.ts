import { setTimeout as delay } from 'node:timers/promises';
import { LibSqlConnection, LibSqlKnexDialect, LibSqlPlatform, AbstractSqlDriver, type Knex } from '@mikro-orm/libsql';
import type { Configuration } from '@mikro-orm/core';
import type Database from 'libsql';

/**
 * How long a handle waits for another program's lock by itself, ms. The driver waits on the thread that answers requests:
 * whoever can wait longer does so between tries (see writes.ts).
 */
const BUSY_MS = 40;

/** How long another program's lock is waited for, ms: between tries others are answered. */
const PATIENCE_MS = 5000;
const RETRY_MS = 60;

/** The database is locked by another program. */
export const isBusy = (error: unknown): boolean => {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  return /SQLITE_BUSY|database is locked/.test(`${code} ${message}`);
};

/** Why a client's last transaction did not begin: the client itself goes on as if it had, and fails at its first query. */
const notBegun = new WeakMap<object, unknown>();

/** The part of a client's query that is looked at here. */
interface Query {
  sql: string;
}

/**
 * Handles of the database: each is set up when it is opened, kept for good, and thrown away where a transaction was left
 * open on it, which is what a COMMIT that failed leaves behind.
 */
abstract class HandleDialect extends LibSqlKnexDialect {
  protected abstract readonly pragmas: readonly string[];

  override async acquireRawConnection(): Promise<unknown> {
    const handle = (await super.acquireRawConnection()) as Database.Database;
    // Every handle: a pragma holds for its own handle only.
    for (const pragma of [`busy_timeout = ${BUSY_MS}`, 'foreign_keys = on', ...this.pragmas]) {
      handle.exec(`pragma ${pragma}`);
    }
    return handle;
  }

  /** Asked for by the client, and not in its types. */
  destroyRawConnection(handle: Database.Database): Promise<void> {
    // A handle is only closed for good when its last statement is collected: until then it would hold its lock.
    if (handle.inTransaction) handle.exec('rollback');
    handle.close();
    return Promise.resolve();
  }

  override validateConnection(handle: Database.Database): boolean {
    return handle.open && !handle.inTransaction;
  }
}

/** The one handle that writes. */
class WriteDialect extends HandleDialect {
  // A commit is on the disk before it is acknowledged: a cook's data survives a kill and a power cut.
  protected override readonly pragmas = ['journal_mode = wal', 'synchronous = full'];

  override async _query(handle: Database.Database, query: Query): Promise<unknown> {
    const bare = query.sql.toLowerCase();
    if (bare !== 'begin;' && bare !== 'commit;' && bare !== 'rollback;') return super._query(handle, query);
    // At once and not as a statement: one that failed would stay in progress, and no later transaction could be committed.
    for (const until = performance.now() + PATIENCE_MS; ;) {
      try {
        // A transaction that begins by reading could find at its first write that another program has written since.
        handle.exec(bare === 'begin;' ? 'begin immediate' : bare);
        return Object.assign(query, { response: [], context: { lastID: 0, changes: 0 } });
      } catch (error) {
        if (bare !== 'begin;') throw error;
        if (!isBusy(error) || performance.now() > until) {
          // A transaction has a client of its own, with the settings of the one it came from.
          notBegun.set(this.config as object, error);
          throw error;
        }
        await delay(RETRY_MS);
      }
    }
  }
}

/** The handle that reads: it sees the last commit, and never waits for the one that writes. */
class ReadDialect extends HandleDialect {
  protected override readonly pragmas = ['query_only = on'];
}

class HandleConnection extends LibSqlConnection {
  override createKnex(): void {
    this.client = this.createKnexClient((this.type === 'read' ? ReadDialect : WriteDialect) as unknown as string);
    this.connected = true;
  }

  protected override getKnexOptions(type: string): Knex.Config {
    // One handle each: SQLite has one writer, and the driver does one thing at a time.
    return { ...super.getKnexOptions(type), pool: { min: 1, max: 1 } };
  }
}

/** SQLite in a file, with a handle that writes and one that reads. */
export class KitchenDriver extends AbstractSqlDriver<HandleConnection> {
  constructor(config: Configuration) {
    super(config, new LibSqlPlatform(), HandleConnection, ['knex', 'libsql']);
  }

  /** Why the last transaction did not begin, where the first query of one found that it had not; told once. */
  whyNotBegun(error: unknown): unknown {
    if (!(error instanceof Error) || !error.message.includes('Transaction query already complete')) return error;
    const { config } = this.connection.getKnex().client as { config: object };
    const why = notBegun.get(config) ?? error;
    notBegun.delete(config);
    return why;
  }

  /** Lets go of the handle that reads: while it is open, the write-ahead log cannot be emptied. */
  async stopReading(): Promise<void> {
    await Promise.all(this.replicas.map((replica) => replica.close(true)));
  }
}
