import type { StoredCookEvent } from '@hervir/contract';
import type { CookEventEntity } from '../database/entities';

/** An event as clients get it. */
export const stored = ({ seq, id, kind, at, payload }: CookEventEntity): StoredCookEvent => ({
  seq,
  id,
  kind,
  at,
  payload,
});
