import type { BraiseRecord } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { Refused, request } from '../api/client';
import { keys, queryClient, useBraises } from '../api/queries';
import { Nothing } from '../shared/nothing';
import { Trouble } from '../shared/trouble';
import { openBench, useBench } from '../state/bench/bench-store';
import { closeBench, flush, keepBench } from '../state/bench/keep-bench';
import { usePreferences } from '../state/preferences';
import { OpenBench } from './open-bench';
import { t } from '../language/t';

/** The bench without a plan named: the one last open, or a word on how to get one. */
export function BenchDoor(): ReactNode {
  const last = usePreferences((state) => state.lastPlan);
  const braises = useBraises();
  if (braises.isPending) return <p className="room dim">{t('app.opening')}</p>;
  if (braises.error) {
    return (
      <div className="room">
        <Trouble
          what={t('shared.the-plans-cannot-be-shown')}
          error={braises.error}
          again={() => void braises.refetch()}
        />
      </div>
    );
  }
  const plans = braises.data;
  const there = plans.find((plan) => plan.id === last) ?? plans[0];
  if (there) return <Navigate to={`/bench/${there.id}`} replace />;
  return (
    <Nothing
      title={t('bench.the-bench-is-empty')}
      ways={[
        { label: t('bench.say-what-you-have'), to: '/' },
        { label: t('app.from-a-recipe'), to: '/recipe' },
      ]}
    >
      {t('bench.a-plan-comes-here-from')}
    </Nothing>
  );
}

/** One plan on the bench. */
export function Bench(): ReactNode {
  const { id = '' } = useParams();
  const setLastPlan = usePreferences((state) => state.setLastPlan);
  const stored = useQuery({
    queryKey: keys.braise(id),
    queryFn: () => request<BraiseRecord>('GET', `/braises/${id}`),
    // The store is the truth while the bench is open; a refetch must not pull an older plan under the cook's hands.
    staleTime: Infinity,
    gcTime: 0,
  });
  const record = stored.data;
  const openId = useBench((state) => state.id);

  useEffect(() => {
    const end = keepBench();
    const leaving = (): void => void flush(true);
    window.addEventListener('pagehide', leaving);
    return () => {
      window.removeEventListener('pagehide', leaving);
      closeBench();
      end();
      void queryClient.invalidateQueries({ queryKey: keys.braises });
    };
  }, [id]);
  useEffect(() => {
    if (!record) return;
    openBench(record);
    setLastPlan(record.id);
  }, [record, setLastPlan]);

  if (stored.error) {
    if (stored.error instanceof Refused && stored.error.status === 404) {
      return (
        <Nothing title={t('bench.this-plan-is-not-here')} ways={[{ label: t('app.back-to-tonight'), to: '/' }]}>
          {t('bench.it-was-never-kept-or')}
        </Nothing>
      );
    }
    return (
      <div className="room">
        <Trouble what={t('bench.the-plan-cannot-be-opened')} error={stored.error} again={() => void stored.refetch()} />
      </div>
    );
  }
  if (openId !== id) return <p className="room dim">{t('app.opening')}</p>;
  return <OpenBench />;
}
