import { LOG_SORTS, RESULTS, type LogItem, type LogPage, type LogQuery, type Result } from '@hervir/contract';
import { CUTS, SPECIES, type Species } from '@hervir/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Input, Pagination, Select, Tabs } from 'antd';
import dayjs from 'dayjs';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { request } from '../api/client';
import { keys, useCookers } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import { Charts } from './charts';
import { PastCookForm } from './past-cook-form';
import { cameOut, cutName, lateWords, RESULT_WORDS } from './words';
import { clsx } from 'clsx';
import styles from './log.module.css';

const A_PAGE = 20;
const SORT_WORDS: Readonly<Record<(typeof LOG_SORTS)[number], string>> = {
  newest: 'Newest first',
  oldest: 'Oldest first',
  'latest-dinner': 'Latest dinner first',
  toughest: 'Toughest animal first',
  heaviest: 'Heaviest first',
};
const SPECIES_WORDS: Readonly<Record<Species, string>> = { beef: 'Beef', pork: 'Pork', lamb: 'Lamb', goat: 'Goat' };

type Sought = Partial<Omit<LogQuery, 'offset' | 'limit'>>;

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
  const found = useQuery({
    queryKey: [...keys.log, look, page],
    queryFn: () => request<LogPage>('GET', `/log?${queryOf(look, page)}`),
    placeholderData: keepPreviousData,
  });
  const cookers = useCookers().data ?? [];
  const change = (part: Sought): void => {
    setSought((before) => ({ ...before, ...part }));
    setPage(1);
  };
  const filtered = Object.values(sought).some((value) => value !== undefined && value !== '');
  const list = found.error ? (
    <Trouble what="The log cannot be shown." error={found.error} again={() => void found.refetch()} />
  ) : found.data === undefined ? (
    <p className="dim">Opening…</p>
  ) : found.data.total === 0 ? (
    <p className="dim">
      {filtered
        ? 'Nothing in the log is like that.'
        : 'Nothing yet. A cook is in the log once it is closed at the pot; one from before can be added by hand.'}
    </p>
  ) : (
    <>
      <ul className="log-list" aria-label="Cooks">
        {found.data.items.map((item) => (
          <Line key={item.id} item={item} />
        ))}
      </ul>
      {found.data.total > A_PAGE && (
        <Pagination
          current={page}
          pageSize={A_PAGE}
          total={found.data.total}
          showSizeChanger={false}
          onChange={setPage}
        />
      )}
    </>
  );
  return (
    <div className={clsx('room', styles['log-room'])}>
      <div className="times-head">
        <h1>Log</h1>
        <Button type="primary" onClick={() => setAdding(true)}>
          Add a past cook
        </Button>
      </div>
      <Tabs
        activeKey={params.get('see') === 'charts' ? 'charts' : 'cooks'}
        onChange={(key) => setParams(key === 'charts' ? { see: 'charts' } : {}, { replace: true })}
        items={[
          {
            key: 'cooks',
            label: 'Cooks',
            children: (
              <>
                <div className={styles['log-filters']} role="search">
                  <Input.Search
                    allowClear
                    placeholder="Look for words"
                    aria-label="Look for words"
                    onChange={(event) => change({ text: event.target.value })}
                  />
                  <Select
                    allowClear
                    showSearch={{ optionFilterProp: 'label' }}
                    placeholder="Any cut"
                    aria-label="Cut"
                    value={sought.cut ?? null}
                    options={CUTS.map(({ id }) => ({ value: id, label: cutName(id) }))}
                    onChange={(cut: string | null) => change({ cut: cut ?? undefined })}
                  />
                  <Select
                    allowClear
                    placeholder="Any animal"
                    aria-label="Animal"
                    value={sought.species ?? null}
                    options={SPECIES.map((value) => ({ value, label: SPECIES_WORDS[value] }))}
                    onChange={(species: Species | null) => change({ species: species ?? undefined })}
                  />
                  <Select
                    allowClear
                    placeholder="Any cooker"
                    aria-label="Cooker"
                    value={sought.cooker ?? null}
                    options={cookers.map(({ cooker: { name } }) => ({ value: name, label: name }))}
                    onChange={(cooker: string | null) => change({ cooker: cooker ?? undefined })}
                  />
                  <Select
                    allowClear
                    placeholder="Any outcome"
                    aria-label="How it came out"
                    value={sought.result ?? null}
                    options={RESULTS.map((value) => ({ value, label: RESULT_WORDS[value] }))}
                    onChange={(result: Result | null) => change({ result: result ?? undefined })}
                  />
                  <label className={styles['log-date']}>
                    from
                    <Input
                      type="date"
                      aria-label="From"
                      onChange={(event) => change({ from: event.target.value || undefined })}
                    />
                  </label>
                  <label className={styles['log-date']}>
                    to
                    <Input
                      type="date"
                      aria-label="To"
                      onChange={(event) => change({ to: event.target.value || undefined })}
                    />
                  </label>
                  <Select
                    aria-label="Sorted"
                    value={sought.sort ?? 'newest'}
                    options={LOG_SORTS.map((value) => ({ value, label: SORT_WORDS[value] }))}
                    onChange={(sort: LogQuery['sort']) => change({ sort })}
                  />
                </div>
                {list}
              </>
            ),
          },
          { key: 'charts', label: 'What they tell', children: <Charts /> },
        ]}
      />
      {adding && <PastCookForm close={() => setAdding(false)} />}
    </div>
  );
}

function Line({ item }: { readonly item: LogItem }): ReactNode {
  const { print } = useUnits();
  const { id, servedAt, name, cut, boughtG, cooker, result, pressure, lateMinutes, burns } = item;
  const off = [lateWords(lateMinutes), burns > 0 ? `■ ${burns === 1 ? 'burn error' : `${burns} burn errors`}` : ''];
  return (
    <li>
      <span className="figure dim log-when">{dayjs(servedAt).format('D MMM YYYY')}</span>
      <Link to={`/log/${id}`} className={styles['log-name']}>
        {name}
      </Link>
      <span className="dim">
        {print('mass', boughtG)} of {cutName(cut).toLowerCase()}, {cooker.replace(/^The /, 'the ')}
        {pressure.actual === null ? '' : `, ${Math.round(pressure.actual)} min`}
      </span>
      <span className={clsx(styles['log-result'], result)}>
        {RESULT_WORDS[result].slice(0, 2)}
        {cameOut(item)}
      </span>
      <span className={styles['log-off']}>{off.filter((text) => text !== '' && text !== 'on time').join(', ')}</span>
    </li>
  );
}
