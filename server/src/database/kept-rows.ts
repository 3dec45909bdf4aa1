import { speaking } from '../language/speech';
import { BACKUP_TABLES, rowFaults, type BackupTable, type Fault } from '@hervir/contract';
import {
  ChangeSetType,
  JsonType,
  type EntityMetadata,
  type EventSubscriber,
  type FlushEventArgs,
} from '@mikro-orm/core';

/** Something that could not be read back is not written: what came in is refused with its field, and nothing is lost. */
export class UnkeepableRow extends Error {
  constructor(
    readonly table: BackupTable,
    readonly faults: readonly Fault[],
  ) {
    super(
      `a row of ${table} could not be read back: ${faults.map(({ path, problem }) => `${path} ${speaking('en-GB').text(problem)}`).join('; ')}`,
    );
  }
}

const isBackupTable = (table: string): table is BackupTable => (BACKUP_TABLES as readonly string[]).includes(table);

/** Columns of a table that hold JSON: a backup has them as what they hold. */
export function jsonColumns(metadata: EntityMetadata): string[] {
  return metadata.props
    .filter(({ customType }) => customType instanceof JsonType)
    .flatMap(({ fieldNames }) => fieldNames);
}

/** An entity as a row of a backup. */
function rowOf(metadata: EntityMetadata, entity: object): Record<string, unknown> {
  const row: Record<string, unknown> = {};
  for (const { name, fieldNames, autoincrement } of metadata.props) {
    const [column = name] = fieldNames;
    const value = (entity as Record<string, unknown>)[name];
    // The database gives a new row its number.
    row[column] = autoincrement === true ? (value ?? 1) : (value ?? null);
  }
  return row;
}

/** Looks at every row before it is written, by the same schema that reads it back. */
export class KeptRows implements EventSubscriber {
  onFlush({ uow }: FlushEventArgs): Promise<void> {
    for (const { type, entity, meta } of uow.getChangeSets()) {
      const table = meta?.tableName;
      if (meta === undefined || table === undefined || !isBackupTable(table)) continue;
      if (type !== ChangeSetType.CREATE && type !== ChangeSetType.UPDATE) continue;
      const faults = rowFaults(table, rowOf(meta, entity as object));
      if (faults.length > 0) throw new UnkeepableRow(table, faults);
    }
    return Promise.resolve();
  }
}
