import { LibSqlConnection, LibSqlKnexDialect, LibSqlPlatform, AbstractSqlDriver, type Knex } from '@mikro-orm/libsql';
import type { Configuration } from '@mikro-orm/core';
import type Database from 'libsql';

/**
 * How long a handle waits for another program's lock by itself, ms. The driver waits on the thread that answers requests:
 * whoever can wait longer does so between tries (see writes.ts).
 */
const BUSY_MS = 40;

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

  override validateConnection(handle: Database.Database): boolean {
    return handle.open && !handle.inTransaction;
  }
}

/** The one handle that writes. */
class WriteDialect extends HandleDialect {
  // A commit is on the disk before it is acknowledged: a cook's data survives a kill and a power cut.
  protected override readonly pragmas = ['journal_mode = wal', 'synchronous = full'];

  override _query(handle: unknown, query: Query): Promise<unknown> {
    // A transaction that begins by reading could find at its first write that another program has written since.
    return super._query(handle, query.sql === 'BEGIN;' ? Object.assign(query, { sql: 'BEGIN IMMEDIATE;' }) : query);
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

  /** Lets go of the handle that reads: while it is open, the write-ahead log cannot be emptied. */
  async stopReading(): Promise<void> {
    await Promise.all(this.replicas.map((replica) => replica.close(true)));
  }
}
