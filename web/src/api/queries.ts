import type {
  BraiseRecord,
  BraiseSummary,
  CookRecord,
  LearntView,
  RehearsalSummary,
  Settings,
  StoredCooker,
} from '@hervir/contract';
import type { Plan } from '@hervir/core';
import {
  QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { Away, newId, request } from './client';

/** How often a server that does not answer is asked again, ms. */
const ASK_AGAIN_MS = 4_000;

export const queryClient = new QueryClient({
  defaultOptions: {
    // Asked also when the device says it is offline: our server may be this machine, and what was last read stands in.
    queries: {
      networkMode: 'always',
      retry: (count, error) => error instanceof Away && count < 2,
      staleTime: 5_000,
      // A server that was away is asked again by itself, as long as somebody looks.
      refetchInterval: ({ state }) => (state.error instanceof Away ? ASK_AGAIN_MS : false),
    },
    mutations: { networkMode: 'always' },
  },
});

export const keys = {
  braises: ['braises'] as const,
  braise: (id: string) => ['braise', id] as const,
  cookers: ['cookers'] as const,
  settings: ['settings'] as const,
  health: ['health'] as const,
  cook: (id: string) => ['cook', id] as const,
  running: ['cooks', 'running'] as const,
  rehearsals: ['rehearsals'] as const,
  learnt: ['learnt'] as const,
  log: ['log'] as const,
  keptDishes: ['kept-dishes'] as const,
  keptBackups: ['kept-backups'] as const,
};

export const useBraises = (): UseQueryResult<BraiseSummary[]> =>
  useQuery({ queryKey: keys.braises, queryFn: () => request<BraiseSummary[]>('GET', '/braises') });

export const useRehearsals = (): UseQueryResult<RehearsalSummary[]> =>
  useQuery({ queryKey: keys.rehearsals, queryFn: () => request<RehearsalSummary[]>('GET', '/rehearsals') });

export const useLearnt = (): UseQueryResult<LearntView[]> =>
  useQuery({ queryKey: keys.learnt, queryFn: () => request<LearntView[]>('GET', '/learning'), staleTime: 60_000 });

export const useCookers = (): UseQueryResult<StoredCooker[]> =>
  useQuery({ queryKey: keys.cookers, queryFn: () => request<StoredCooker[]>('GET', '/cookers') });

export const useSettings = (): UseQueryResult<Settings> =>
  useQuery({ queryKey: keys.settings, queryFn: () => request<Settings>('GET', '/settings'), staleTime: 60_000 });

export const useHealth = (): UseQueryResult<{ status: 'ok'; demo: boolean }> =>
  useQuery({
    queryKey: keys.health,
    queryFn: () => request<{ status: 'ok'; demo: boolean }>('GET', '/health'),
    staleTime: Infinity,
  });

/** How often a page without a cook looks whether one was begun elsewhere, ms. */
const LOOK_FOR_COOKS = 15_000;

/** Cooks under way; followed closely, by a stream, only once there is one. */
export const useRunning = (): UseQueryResult<CookRecord[]> =>
  useQuery({
    queryKey: keys.running,
    queryFn: () => request<CookRecord[]>('GET', '/cooks/running'),
    refetchInterval: LOOK_FOR_COOKS,
  });

/** Saves settings; what is shown changes at once, and back if the server says no. */
export function useSaveSettings(): UseMutationResult<Settings, Error, Settings, { before: Settings | undefined }> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (settings: Settings) => request<Settings>('PUT', '/settings', settings),
    onMutate: (settings) => {
      const before = client.getQueryData<Settings>(keys.settings);
      client.setQueryData(keys.settings, settings);
      return { before };
    },
    onError: (_error, _settings, context) => client.setQueryData(keys.settings, context?.before),
  });
}

/** Keeps a new plan under an id made here, so that pressing twice, or sending again, keeps one. */
export function useCreateBraise(): UseMutationResult<BraiseRecord, Error, Plan> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (plan: Plan) => request<BraiseRecord>('POST', '/braises', { id: newId(), plan }),
    onSuccess: (record) => {
      client.setQueryData(keys.braise(record.id), record);
      void client.invalidateQueries({ queryKey: keys.braises });
    },
  });
}

export interface PlanActions {
  rename(id: string, name: string): Promise<void>;
  /** Says when it is eaten. */
  eatAt(id: string, serveAt: string): Promise<void>;
  /** Changes a plan as it is kept now. */
  change(id: string, how: (plan: Plan) => Plan): Promise<void>;
  copy(id: string): Promise<void>;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<void>;
}

/** What can be done to a plan from a list. Each throws what the server said. */
export function usePlanActions(): PlanActions {
  const client = useQueryClient();
  const done = async (id: string): Promise<void> => {
    client.removeQueries({ queryKey: keys.braise(id) });
    await client.invalidateQueries({ queryKey: keys.braises });
  };
  const open = (id: string): Promise<BraiseRecord> => request('GET', `/braises/${id}`);
  const change: PlanActions['change'] = async (id, how) => {
    const { plan, revision } = await open(id);
    await request('PUT', `/braises/${id}`, { revision, plan: how(plan) });
    await done(id);
  };
  return {
    rename: (id, name) => change(id, (plan) => ({ ...plan, name })),
    eatAt: (id, serveAt) => change(id, (plan) => ({ ...plan, serveAt })),
    change,
    async copy(id) {
      const { plan } = await open(id);
      const copyId = newId();
      await request('POST', '/braises', {
        id: copyId,
        plan: { ...plan, name: plan.name === '' ? '' : `${plan.name.slice(0, 112)} (copy)` },
      });
      await done(copyId);
    },
    async remove(id) {
      await request('DELETE', `/braises/${id}`);
      await done(id);
    },
    async restore(id) {
      await request('POST', `/braises/${id}/restore`);
      await done(id);
    },
  };
}
