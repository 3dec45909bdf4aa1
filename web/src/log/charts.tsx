import type { LogCharts } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { Late } from './late-chart';
import { Losses } from './losses-chart';
import { Reliability } from './reliability';
import { SlowPots } from './slow-pots';
import { ToughCuts } from './tough-cuts';
import styles from './log.module.css';
import { t } from '../language/t';

/** What all cooks tell together: each chart answers one question, in words first. */
export function Charts(): ReactNode {
  const charts = useQuery({
    queryKey: [...keys.log, 'charts'],
    queryFn: () => request<LogCharts>('GET', '/log/charts'),
  });
  if (charts.error)
    return (
      <Trouble what={t('log.the-charts-cannot-be-drawn')} error={charts.error} again={() => void charts.refetch()} />
    );
  if (!charts.data) return <p className="dim">{t('app.opening')}</p>;
  const { toPin, cuts, late, losses, promises } = charts.data;
  return (
    <div className={styles['log-charts']}>
      <SlowPots points={toPin} />
      <ToughCuts cuts={cuts} />
      <Late bins={late} />
      <Losses losses={losses} />
      <Reliability promises={promises} />
    </div>
  );
}
