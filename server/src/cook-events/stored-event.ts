import type { StoredCookEvent } from '@hervir/contract';
import type { CookEventKind, CookEventPayload } from '@hervir/core';
import type { EntityManager } from '@mikro-orm/core';
import type { SqlEntityManager } from '@mikro-orm/libsql';
import type { CookEventEntity } from '../database/entities';

/** An event as clients get it. */
export const stored = ({ seq, id, kind, at, payload }: StoredCookEvent | CookEventEntity): StoredCookEvent => ({
  seq,
  id,
  kind,
  at,
  payload,
});

/** An event as it was kept, with the moment this server heard of it. */
export interface KeptEvent extends StoredCookEvent {
  readonly cookId: string;
  readonly receivedAt: string;
}

interface Row {
  readonly seq: number;
  readonly id: string;
  readonly cook_id: string;
  readonly kind: CookEventKind;
  readonly at: string;
  readonly payload: string;
  readonly received_at: string;
}

/**
 * All that happened in some cooks, in the server's own order. Read as rows: a cook of thousands of events is answered as
 * quickly as its rows are, and nothing of it is watched for changes.
 *
 * @param em of a transaction, or any
 */
export async function eventsOf(em: EntityManager, cookIds: readonly string[]): Promise<KeptEvent[]> {
  if (cookIds.length === 0) return [];
  const transaction: unknown = em.getTransactionContext();
  const connection = (em as SqlEntityManager).getConnection(transaction ? 'write' : 'read');
  const sql = `select * from \`cook_event\` where \`cook_id\` in (${cookIds.map(() => '?').join(', ')}) order by \`seq\``;
  const rows: unknown = await connection.execute(sql, [...cookIds], 'all', transaction);
  return (rows as Row[]).map(({ cook_id: cookId, received_at: receivedAt, payload, ...event }) => ({
    ...event,
    cookId,
    receivedAt,
    payload: payloadOf(payload),
  }));
}

/** When everything in a cook happened, and when this server heard of it: all that a press is held against. */
export async function momentsOf(
  em: EntityManager,
  cookId: string,
): Promise<readonly { readonly at: string; readonly receivedAt: string }[]> {
  const sql = 'select `at`, `received_at` as `receivedAt` from `cook_event` where `cook_id` = ?';
  const connection = (em as SqlEntityManager).getConnection();
  const rows: unknown = await connection.execute(sql, [cookId], 'all', em.getTransactionContext() as never);
  return rows as { at: string; receivedAt: string }[];
}

function payloadOf(text: string): CookEventPayload {
  try {
    return (JSON.parse(text) ?? {}) as CookEventPayload;
  } catch {
    // A disk that failed: the event happened, and says no more.
    return {};
  }
}
