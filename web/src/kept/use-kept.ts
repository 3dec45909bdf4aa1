import type { StoredKept } from '@hervir/contract';
import type { Kept } from '@hervir/core';
import { useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { newId, request } from '../api/client';
import { keys } from '../api/queries';

/** What is left of meals and still there. */
export const useKept = (): UseQueryResult<StoredKept[]> =>
  useQuery({ queryKey: keys.keptDishes, queryFn: () => request<StoredKept[]>('GET', '/kept') });

export interface KeptActions {
  keep(kept: Kept): Promise<void>;
  save(id: string, kept: Kept): Promise<void>;
}

/** What can be done with it. Each throws what the server said. */
export function useKeptActions(): KeptActions {
  const client = useQueryClient();
  const done = (): Promise<void> => client.invalidateQueries({ queryKey: keys.keptDishes });
  return {
    async keep(kept) {
      await request('POST', '/kept', { id: newId(), kept });
      await done();
    },
    async save(id, kept) {
      await request('PUT', `/kept/${id}`, kept);
      await done();
    },
  };
}
