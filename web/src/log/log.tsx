import type { LogPage } from '@hervir/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Pagination, Tabs } from 'antd';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { Charts } from './charts';
import { LogFilters, type Sought } from './log-filters';
import { LogLine } from './log-line';
import { PastCookForm } from './past-cook-form';
import { clsx } from 'clsx';
import styles from './log.module.css';
import { t } from '../language/t';

const A_PAGE = 20;
function queryOf(sought: Sought, page: number): string {
  const given = Object.entries({ ...sought, offset: (page - 1) * A_PAGE, limit: A_PAGE });
  return new URLSearchParams(
    given.flatMap(([key, value]) => (value === undefined || value === '' ? [] : [[key, String(value)]])),
  ).toString();
}

/** Every finished cook: looked for, sorted, and what they tell together. */
export function Log(): ReactNode {
  const [params, setParams] = useSearchParams();
  const [sought, setSought] = useState<Sought>({});
  const [page, setPage] = useState(1);
  const [adding, setAdding] = useState(false);
  const look = useDeferredValue(sought);
  const query = useQuery({
    queryKey: [...keys.log, look, page],
    queryFn: () => request<LogPage>('GET', `/log?${queryOf(look, page)}`),
    placeholderData: keepPreviousData,
  });
  const change = (part: Sought): void => {
    setSought((before) => ({ ...before, ...part }));
    setPage(1);
  };
  const filtered = Object.values(sought).some((value) => value !== undefined && value !== '');
  const list = query.error ? (
    <Trouble what={t('log.the-log-cannot-be-shown')} error={query.error} again={() => void query.refetch()} />
  ) : query.data === undefined ? (
    <p className="dim">{t('app.opening')}</p>
  ) : query.data.total === 0 ? (
    <p className="dim">{filtered ? t('log.nothing-in-the-log-is') : t('log.nothing-yet-a-cook-is')}</p>
  ) : (
    <>
      <ul className="log-list" aria-label={t('log.cooks')}>
        {query.data.items.map((item) => (
          <LogLine key={item.id} item={item} />
        ))}
      </ul>
      {query.data.total > A_PAGE && (
        <Pagination
          current={page}
          pageSize={A_PAGE}
          total={query.data.total}
          showSizeChanger={false}
          onChange={setPage}
        />
      )}
    </>
  );
  return (
    <div className={clsx('room', styles['log-room'])}>
      <div className="times-head">
        <h1>{t('app.log')}</h1>
        <Button type="primary" onClick={() => setAdding(true)}>
          {t('log.add-a-past-cook')}
        </Button>
      </div>
      <Tabs
        activeKey={params.get('see') === 'charts' ? 'charts' : 'cooks'}
        onChange={(key) => setParams(key === 'charts' ? { see: 'charts' } : {}, { replace: true })}
        items={[
          {
            key: 'cooks',
            label: t('log.cooks'),
            children: (
              <>
                <LogFilters sought={sought} change={change} />
                {list}
              </>
            ),
          },
          { key: 'charts', label: t('log.what-they-tell'), children: <Charts /> },
        ]}
      />
      {adding && <PastCookForm close={() => setAdding(false)} />}
    </div>
  );
}
