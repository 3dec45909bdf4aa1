import { Logger } from '@nestjs/common';

const log = new Logger('Database');

/**
 * What can be made of rows that were stored: one that cannot be read any more is written down and left out, so that a room
 * shows the others.
 *
 * @param rows as stored
 * @param make of one; throws where it cannot
 */
export function readable<R extends object, T>(rows: readonly R[], make: (row: R) => T): T[] {
  return rows.flatMap((row) => {
    try {
      return [make(row)];
    } catch (error) {
      const id = 'id' in row ? String(row.id) : '';
      log.error(`a stored row ${id} cannot be read and is left out: ${(error as Error).message}`);
      return [];
    }
  });
}

/** @throws Error where a JSON column holds nothing that could be read */
export function present<T>(value: T | null | undefined, column: string): T {
  if (value === null || value === undefined) throw new Error(`its ${column} is not there`);
  return value;
}
